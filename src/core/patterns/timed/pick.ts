import { nearestTimings, offBy, type TimingChoice, type TimingWish } from '../../answers/timing';
import { capacitorTolerance } from '../../catalogue/capacitors';
import { capacitorsOf, valuesOf, type ValueSource } from '../../catalogue/shelf';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Means } from '../pattern';
import { toleranceOf } from '../style';
import type { TimingOption } from './figures';

/** Ohms that a timer is given: less draws and heats, more lets leakage decide. */
const OHMS_LEAST = 1e3;
const OHMS_MOST = 1e6;
/** A choice further from the wish than this does not meet it. */
export const MEETS_SHARE = 0.15;
/** Products of resistor and capacitor within this share give the same time. */
const SAME_PRODUCT = 1e-6;

/** Choices that are offered beside the one that is taken. */
const OFFERED = 12;
/** Choices nearer than this to one another are the same to anybody with a watch. */
const SAME_SHARE = 0.02;
const BY_SPREAD = 0.2;
const BY_CAUTION = 0.05;

/** How good a choice is: how near, how far its parts let it stray, and what it is cautioned for; what it draws decides. */
function rankOf(choice: TimingChoice, wish: TimingWish): number {
  const spread = (choice.longest - choice.shortest) / (2 * choice.period);
  const all = offBy(wish, choice) + BY_SPREAD * spread + BY_CAUTION * choice.cautions.length;
  return Math.round(all / SAME_SHARE);
}

export interface Picked {
  readonly taken: TimingChoice;
  readonly options: readonly TimingOption[];
}

/**
 * The resistors and the capacitor of the drawer that come nearest to a time.
 *
 * @param whole what the wish is called by when it cannot be had
 * @returns the choice and those beside it, or the nearest wish that works
 */
export function pickTiming(
  wish: TimingWish,
  { shelf, style }: Means,
  values: ValueSource | undefined,
): Outcome<Picked> {
  const ohms = valuesOf(shelf, values ?? style.values).filter((r) => r >= OHMS_LEAST && r <= OHMS_MOST);
  const capacitors = capacitorsOf(shelf).map((sort) => ({ ...sort, tolerance: capacitorTolerance(sort) }));
  const found = nearestTimings(wish, { ohms, capacitors, tolerance: toleranceOf(style) });
  if (!found.ok) return found;
  const ranked = found.value
    .map((choice) => ({ choice, rank: rankOf(choice, wish), off: offBy(wish, choice) }))
    .sort((a, b) => a.rank - b.rank || a.choice.drawAmps - b.choice.drawAmps || a.off - b.off)
    .slice(0, OFFERED)
    .map(({ choice }) => choice);
  const taken = ranked[0]!;
  const wantsDuty = wish.duty !== undefined && wish.dutyWeight === undefined;
  if (!meets(taken.error) && !(wantsDuty && unlike(taken, wish))) {
    const nearest = found.value.reduce((best, one) => (offBy(wish, one) < offBy(wish, best) ? one : best));
    // Were it not for what they leak, larger capacitors would do.
    const dry = capacitors.map(({ farads, tolerance }) => ({ farads, tolerance }));
    const dryOnes = nearestTimings(wish, { ohms, capacitors: dry, tolerance: toleranceOf(style) });
    const leaks =
      nearest.period < wish.seconds &&
      dryOnes.ok &&
      dryOnes.value.some((one) => offBy(wish, one) < offBy(wish, nearest));
    return refused(
      finding('no-such-time', {
        seconds: wish.seconds,
        nearest: nearest.period,
        ...(leaks ? { leaks: { ohms: (nearest.ra ?? 0) + nearest.r, farads: nearest.farads } } : {}),
      }),
    );
  }
  if (wantsDuty && unlike(taken, wish)) {
    const { high, low } = taken;
    return refused(finding('no-such-duty', { duty: wish.duty!, nearest: taken.duty, high, low }));
  }
  return accepted({ taken, options: ranked.map((choice) => optionOf(choice, taken)) });
}

function meets(error: number): boolean {
  return Math.abs(Math.log1p(error)) <= Math.log1p(MEETS_SHARE);
}

/** Whether one of the two times that were wished is another one altogether. */
function unlike({ high, low }: TimingChoice, { seconds, duty = 0.5 }: TimingWish): boolean {
  const away = (got: number, wanted: number) => Math.abs(Math.log(got / wanted));
  return Math.max(away(high, duty * seconds), away(low, (1 - duty) * seconds)) > Math.log1p(2 * MEETS_SHARE);
}

/** A choice as it stands beside the one that is taken. */
export function optionOf(choice: TimingChoice, taken: TimingChoice): TimingOption {
  const { ra, r, farads, high, low, period, error, shortest, longest, drawAmps, cautions, leaks } = choice;
  const product = (c: TimingChoice) => [(c.ra ?? 0) * c.farads, c.r * c.farads] as const;
  const wanted = product(taken);
  const sameTime = product(choice).every((rc, i) => Math.abs(rc - wanted[i]!) <= SAME_PRODUCT * wanted[i]!);
  const spread = Math.max(longest / period - 1, 1 - shortest / period);
  return {
    ...(ra === undefined ? {} : { ra }),
    ...{ r, farads, high, low, error, spread, drawAmps, cautions, leaks, sameTime },
  };
}
