import { stallVolts, timesOf, type TimingForm } from '../catalogue/timing';
import type { TimerFamily } from '../catalogue/timers';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Farads, Hertz, Ohms, Seconds, Volts } from '../quantities/units';

export interface TimingWish {
  readonly form: TimingForm;
  readonly family: TimerFamily;
  readonly volts: Volts;
  /** Period, or the length of a single pulse. */
  readonly seconds: Seconds;
  /** Share of the period that the output is high; the standard form only. */
  readonly duty?: number;
}

export interface TimingDrawer {
  readonly ohms: readonly Ohms[];
  readonly capacitors: readonly { readonly farads: Farads; readonly tolerance: number }[];
  readonly tolerance: number;
}

/** What is wrong with a resistor: discharge current below 1 kΩ; bias current and leakage above 1 MΩ. */
export type TimingCaution = 'low-ohms' | 'high-ohms';

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
  readonly cautions: readonly TimingCaution[];
}

const LOW_OHMS = 1e3;
const HIGH_OHMS = 1e6;
const SHOWN = 12;

/**
 * Resistors and capacitors of a drawer for a wanted period, duty or pulse, closest first.
 *
 * @returns up to twelve choices, or why there is none: the chip stalls, the duty is out of reach, the drawer is empty
 */
export function timingChoices(wish: TimingWish, drawer: TimingDrawer): Outcome<TimingChoice[]> {
  const { form, family, volts, duty } = wish;
  if (drawer.ohms.length === 0) return refused(finding('nothing-to-choose', { what: 'resistor' }));
  if (drawer.capacitors.length === 0) return refused(finding('nothing-to-choose', { what: 'capacitor' }));
  if (form === 'output-driven' && volts <= stallVolts(family)) {
    return refused(finding('timer-stalls', { volts, limit: stallVolts(family) }));
  }
  if (duty !== undefined && form === 'standard' && !(duty > 0.5 && duty < 1)) {
    return refused(finding('duty-out-of-reach', { duty, low: 0.5, high: 1 }));
  }
  const choices = drawer.capacitors.flatMap((capacitor) =>
    pairs(form, drawer.ohms).map(([ra, r]) => choice(wish, drawer.tolerance, capacitor, ra, r)),
  );
  const wanted = form === 'standard' ? duty : undefined;
  const off = (c: TimingChoice) =>
    Math.abs(Math.log1p(c.error)) + (wanted === undefined ? 0 : Math.abs(c.duty - wanted));
  const ranked = choices
    .map((c) => ({ c, off: off(c) }))
    .sort((a, b) => a.off - b.off || a.c.cautions.length - b.c.cautions.length || a.c.farads - b.c.farads);
  return accepted(ranked.slice(0, SHOWN).map(({ c }) => c));
}

function pairs(form: TimingForm, ohms: readonly Ohms[]): [Ohms, Ohms][] {
  return form === 'standard'
    ? ohms.flatMap((ra) => ohms.map((r): [Ohms, Ohms] => [ra, r]))
    : ohms.map((r) => [0, r]);
}

function choice(
  wish: TimingWish,
  tolerance: number,
  capacitor: TimingDrawer['capacitors'][number],
  ra: Ohms,
  r: Ohms,
): TimingChoice {
  const at = (sense: number) => {
    const ohms = 1 + sense * tolerance;
    const farads = capacitor.farads * (1 + sense * capacitor.tolerance);
    return timesOf(wish.form, wish.family, wish.volts, { ra: ra * ohms, r: r * ohms, farads });
  };
  const { high, low } = at(0);
  const period = high + low;
  const [least, most] = [at(-1), at(1)];
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
    cautions: cautionsOf(wish.form === 'standard' ? [ra, r] : [r]),
  };
}

function cautionsOf(ohms: readonly Ohms[]): TimingCaution[] {
  return [
    ...(ohms.some((value) => value < LOW_OHMS) ? (['low-ohms'] as const) : []),
    ...(ohms.some((value) => value > HIGH_OHMS) ? (['high-ohms'] as const) : []),
  ];
}
