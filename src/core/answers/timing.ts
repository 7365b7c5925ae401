import { leakAmps } from '../catalogue/capacitors';
import { stallVolts, timesOf, type OutputLoad, type TimingForm } from '../catalogue/timing';
import type { TimerFamily } from '../catalogue/timers';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Amps, Farads, Hertz, Ohms, Seconds, Volts } from '../quantities/units';

export interface TimingWish {
  readonly form: TimingForm;
  readonly family: TimerFamily;
  readonly volts: Volts;
  /** Period, or the length of a single pulse. */
  readonly seconds: Seconds;
  /** Share of the period that the output is high; the standard form only. */
  readonly duty?: number;
  /** How much a share that is off counts against a time that is off; left out, as much. */
  readonly dutyWeight?: number;
  /** What the output carries besides. */
  readonly load?: OutputLoad | undefined;
}

export interface TimingDrawer {
  readonly ohms: readonly Ohms[];
  readonly capacitors: readonly {
    readonly farads: Farads;
    readonly tolerance: number;
    /** An electrolytic leaks: where its leakage would eat the charging current it is not offered. */
    readonly polarised?: boolean;
  }[];
  readonly tolerance: number;
}

/**
 * What is wrong with a choice: discharge current below 1 kΩ; bias current above 1 MΩ; a capacitor whose leakage is a tenth
 * of its charging current or more.
 */
export type TimingCaution = 'low-ohms' | 'high-ohms' | 'leaks';

export interface TimingChoice {
  /** From supply to discharge; the standard form only. */
  readonly ra?: Ohms;
  readonly r: Ohms;
  readonly farads: Farads;
  readonly period: Seconds;
  readonly high: Seconds;
  readonly low: Seconds;
  readonly duty: number;
  readonly hertz: Hertz;
  /** Of the period from the wanted one, as a share. */
  readonly error: number;
  /** The period with every part at one end of its tolerance. */
  readonly shortest: Seconds;
  readonly longest: Seconds;
  /** What the timing alone draws from the supply, on average. */
  readonly drawAmps: Amps;
  readonly cautions: readonly TimingCaution[];
  /** The share of its charging current that its capacitor leaks, where it charges slowest. */
  readonly leaks: number;
}

const LOW_OHMS = 1e3;
const HIGH_OHMS = 1e6;
const SHOWN = 12;

/**
 * Resistors and capacitors of a drawer that come near a wanted period, duty or pulse, in no order.
 *
 * @returns the choices, or why there is none: the chip stalls, the duty is out of reach, the drawer is empty or leaks
 */
export function nearestTimings(wish: TimingWish, drawer: TimingDrawer): Outcome<TimingChoice[]> {
  const { form, family, volts, duty } = wish;
  if (drawer.ohms.length === 0) return refused(finding('nothing-to-choose', { what: 'resistor' }));
  if (drawer.capacitors.length === 0) return refused(finding('nothing-to-choose', { what: 'capacitor' }));
  const stalls = stallVolts(family, wish.load?.up);
  if (form === 'output-driven' && volts <= stalls) {
    return refused(finding('timer-stalls', { volts, limit: stalls }));
  }
  if (duty !== undefined && form === 'standard' && !(duty > 0.5 && duty < 1)) {
    return refused(finding('duty-out-of-reach', { duty, low: 0.5, high: 1 }));
  }
  const choices = nearest(wish, drawer);
  if (choices.length === 0) return refused(finding('capacitors-leak', { volts }));
  return accepted(choices);
}

/**
 * The same, the closest twelve.
 *
 * @returns up to twelve choices, closest first, or why there is none
 */
export function timingChoices(wish: TimingWish, drawer: TimingDrawer): Outcome<TimingChoice[]> {
  const found = nearestTimings(wish, drawer);
  if (!found.ok) return found;
  const ranked = found.value
    .map((c) => ({ c, off: offBy(wish, c) }))
    .sort((a, b) => a.off - b.off || a.c.cautions.length - b.c.cautions.length || a.c.farads - b.c.farads);
  return accepted(ranked.slice(0, SHOWN).map(({ c }) => c));
}

/** How far a choice is off the wish: in time, and in what share of it the output is up. */
export function offBy(
  { form, seconds, duty, dutyWeight }: TimingWish,
  { high, low }: Pick<TimingChoice, 'high' | 'low'>,
): number {
  const away = (got: Seconds, wanted: Seconds) => Math.abs(Math.log(got / wanted));
  const whole = away(high + low, seconds);
  if (form !== 'standard' || duty === undefined) return whole;
  if (dutyWeight !== undefined) return whole + dutyWeight * Math.abs(high / (high + low) - duty);
  // Of two times that are both wished, the one that is further off counts besides.
  return whole + 0.5 * Math.max(away(high, duty * seconds), away(low, (1 - duty) * seconds));
}
/** So many are looked at closely; all others are further from the wish. */
const NEAREST = 150;

/** The pairs of the drawer whose nominal times are nearest to the wish, and whose capacitor does not leak its charge away. */
function nearest(wish: TimingWish, drawer: TimingDrawer): TimingChoice[] {
  const { form, family, volts, load } = wish;
  const found: { readonly ra: Ohms; readonly r: Ohms; readonly c: number; readonly away: number }[] = [];
  drawer.capacitors.forEach((capacitor, c) => {
    for (const [ra, r] of pairs(form, drawer.ohms)) {
      if (leakShare(volts, capacitor, ra + r) >= 1) continue;
      const times = timesOf(form, family, volts, { ra, r, farads: capacitor.farads }, load);
      found.push({ ra, r, c, away: offBy(wish, times) });
    }
  });
  return found
    .sort((a, b) => a.away - b.away)
    .slice(0, NEAREST)
    .map(({ ra, r, c }) => timingChoice(wish, drawer.tolerance, drawer.capacitors[c]!, ra, r));
}

/** The share of its charging current that a capacitor leaks where it charges slowest: at two thirds of the supply. */
function leakShare(
  volts: Volts,
  { farads, polarised = false }: TimingDrawer['capacitors'][number],
  ohms: Ohms,
): number {
  return leakAmps({ farads, polarised }, (2 * volts) / 3) / (volts / 3 / ohms);
}

const LEAKS_SHARE = 0.1;

function pairs(form: TimingForm, ohms: readonly Ohms[]): [Ohms, Ohms][] {
  return form === 'standard'
    ? ohms.flatMap((ra) => ohms.map((r): [Ohms, Ohms] => [ra, r]))
    : ohms.map((r) => [0, r]);
}

/** One choice with its times, and how far its parts let them stray. */
export function timingChoice(
  wish: TimingWish,
  tolerance: number,
  capacitor: TimingDrawer['capacitors'][number],
  ra: Ohms,
  r: Ohms,
): TimingChoice {
  const at = (sense: number) => {
    const ohms = 1 + sense * tolerance;
    const farads = capacitor.farads * (1 + sense * capacitor.tolerance);
    return timesOf(wish.form, wish.family, wish.volts, { ra: ra * ohms, r: r * ohms, farads }, wish.load);
  };
  const { high, low } = at(0);
  const period = high + low;
  const [least, most] = [at(-1), at(1)];
  const leaks = leakShare(wish.volts, capacitor, ra + r);
  return {
    ...(wish.form === 'standard' ? { ra } : {}),
    r,
    farads: capacitor.farads,
    period,
    high,
    low,
    duty: high / period,
    hertz: 1 / period,
    error: period / wish.seconds - 1,
    shortest: least.high + least.low,
    longest: most.high + most.low,
    // A third of the supply goes in and out of the capacitor each round; the standard form sinks RA's current besides.
    drawAmps:
      (capacitor.farads * wish.volts) / 3 / period + (ra > 0 ? (wish.volts / ra) * (low / period) : 0),
    cautions: [
      ...cautionsOf(wish.form === 'standard' ? [ra, r] : [r]),
      ...(leaks >= LEAKS_SHARE ? (['leaks'] as const) : []),
    ],
    leaks,
  };
}

function cautionsOf(ohms: readonly Ohms[]): TimingCaution[] {
  return [
    ...(ohms.some((value) => value < LOW_OHMS) ? (['low-ohms'] as const) : []),
    ...(ohms.some((value) => value > HIGH_OHMS) ? (['high-ohms'] as const) : []),
  ];
}
