import type { LampType } from '../../catalogue/lamps';
import { valuesOf, type ValueSource } from '../../catalogue/shelf';
import { supplyFigures, type SupplyChoice } from '../../catalogue/supplies';
import type { Circuit, Part } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Amps, Ohms } from '../../quantities/units';
import type { Means } from '../pattern';
import { choose } from './choose';
import { toleranceOf, type Rounding, type Side } from '../style';
import type { StringSum } from './figures';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart, type LampSorts } from './parts';

/** Strings side by side on one supply, each lamps in a row with its own resistor. */
export interface BankWish {
  readonly supply: SupplyChoice;
  readonly strings: readonly (readonly LampType[])[];
  /** Current of each string. */
  readonly amps: Amps;
  readonly side: Side;
  readonly rounding?: Rounding | undefined;
  readonly values?: ValueSource | undefined;
}

export interface Bank {
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly strings: readonly StringSum[];
}

/** Builds the bank, or names the first string that the supply cannot light. */
export function bankOf(wish: BankWish, means: Means): Outcome<Bank> {
  const { shelf, style } = means;
  const values = valuesOf(shelf, wish.values ?? style.values);
  const sums: StringSum[] = [];
  const parts: Part[] = [supplyPart(wish.supply)];
  const sorts: Record<string, LampType> = {};
  let number = 0;
  for (const [i, types] of wish.strings.entries()) {
    const lamps = types.map((type) => ({ part: `D${++number}`, type }));
    const resistor = `R${i + 1}`;
    const sum = stringSum(resistor, lamps, wish, means, values);
    if (!sum.ok) return sum;
    sums.push(sum.value);
    for (const { part, type } of lamps) sorts[part] = type;
    parts.push(...stringParts(sum.value, wish.side, means));
  }
  return accepted({ circuit: circuitFrom(parts), sorts, strings: withAlike(sums) });
}

function stringSum(
  resistor: string,
  lamps: readonly { part: string; type: LampType }[],
  wish: BankWish,
  { shelf, style }: Means,
  values: readonly Ohms[],
): Outcome<StringSum> {
  const supply = supplyFigures(wish.supply);
  const junctions = lamps.map(({ type }) => new Junction(shelf.lamps[type]));
  const withVolts = lamps.map((lamp, i) => ({ ...lamp, volts: junctions[i]!.voltsAt(wish.amps) }));
  const lampVolts = withVolts.reduce((sum, { volts }) => sum + volts, 0);
  // The supply's own ohms carry the current of every string.
  const shared = supply.ohms * wish.strings.length;
  const voltsLeft = supply.volts - lampVolts;
  const exactOhms = voltsLeft / wish.amps - shared;
  if (exactOhms <= 0) {
    const needVolts = lampVolts + wish.amps * shared;
    const lamp = lamps.map(({ type }) => type).join('+');
    const amps = ampsOf(junctions, supply.volts, shared);
    return refused(finding('cannot-light', { supply: supply.volts, lampVolts, lamp, amps, needVolts }));
  }
  const ampsWith = (ohms: Ohms) => ampsOf(junctions, supply.volts, ohms + shared);
  const chosen = choose(wish.rounding ?? style.rounding, values, exactOhms, wish.amps, ampsWith);
  if (chosen === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest: Math.max(...values) }));
  }
  const { amps: wanted } = wish;
  return accepted({
    resistor,
    alike: [resistor],
    lamps: withVolts,
    wanted,
    lampVolts,
    voltsLeft,
    lessOhms: shared,
    exactOhms,
    chosen,
  });
}

/** Current of lamps in a row behind ohms, by bisection on their exact curves. */
export function ampsOf(junctions: readonly Junction[], volts: number, ohms: Ohms): Amps {
  let low = 0;
  let high = volts / Math.max(ohms, 1e-6);
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    const used = junctions.reduce((sum, junction) => sum + junction.voltsAt(middle), middle * ohms);
    if (used < volts) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function stringParts(sum: StringSum, side: Side, { shelf, style }: Means): Part[] {
  const { resistor, lamps, chosen } = sum;
  const between = (i: number) => `${resistor}.${i}`;
  const nodes = [PLUS, ...Array.from({ length: lamps.length }, (_, i) => between(i)), MINUS];
  const first = side === 'plus' ? 1 : 0;
  const inRow = lamps.map(({ part, type }, i) =>
    lampPart(part, nodes[i + first]!, nodes[i + first + 1]!, shelf.lamps[type]),
  );
  const own = side === 'plus' ? [nodes[0]!, nodes[1]!] : [nodes[lamps.length]!, nodes[lamps.length + 1]!];
  const part = resistorPart(resistor, own[0]!, own[1]!, chosen, toleranceOf(style));
  return side === 'plus' ? [part, ...inRow] : [...inRow, part];
}

/** Strings with the same lamps have the same sum: it is worked once, and said of all. */
function withAlike(sums: readonly StringSum[]): StringSum[] {
  const keyOf = (sum: StringSum) => `${sum.lamps.map(({ type }) => type).join()} ${sum.chosen}`;
  return sums.map((sum) => ({
    ...sum,
    alike: sums.filter((other) => keyOf(other) === keyOf(sum)).map(({ resistor }) => resistor),
  }));
}
