import type { Volts } from '../quantities/units';
import { SUPPLIES, type SupplyChoice, type SupplyFigures } from './supplies';

/** The knots of a cell's life: share of the capacity that is spent, unloaded volts, ohms. */
function knotsOf({ kind }: SupplyChoice) {
  const { volts, ohms, empty, spentAt } = SUPPLIES[kind];
  if (!spentAt || empty === undefined) return undefined;
  const rise = (ohms.tired - ohms.fresh) / spentAt.tired;
  return [
    { spent: 0, volts: volts.fresh, ohms: ohms.fresh },
    { spent: spentAt.nominal, volts: volts.nominal, ohms: ohms.fresh + rise * spentAt.nominal },
    { spent: spentAt.tired, volts: volts.tired, ohms: ohms.tired },
    { spent: 1, volts: empty, ohms: ohms.fresh + rise },
  ];
}

/**
 * A battery at a point of its discharge, straight lines between fresh, nominal, tired and empty.
 *
 * @param spent share of the capacity that has been drawn, 0 to 1
 * @returns unloaded volts and ohms of the whole stack; undefined for what does not run down
 */
export function supplySpent(choice: SupplyChoice, spent: number): SupplyFigures | undefined {
  const knots = knotsOf(choice);
  const { capacity, tolerance, cellsMost } = SUPPLIES[choice.kind];
  if (!knots || capacity === undefined) return undefined;
  const cells = cellsMost > 1 ? choice.cells : 1;
  const i = Math.max(
    1,
    knots.findIndex((knot) => knot.spent >= spent),
  );
  const [before, after] = [knots[i - 1]!, knots[i]!];
  const share = (spent - before.spent) / (after.spent - before.spent);
  const between = (a: number, b: number) => cells * (a + share * (b - a));
  return {
    volts: between(before.volts, after.volts),
    ohms: between(before.ohms, after.ohms),
    tolerance,
    capacity,
  };
}

/** Share of a battery's charge that is spent when it stands at some open volts; undefined for what does not run down. */
export function spentAt(choice: SupplyChoice, open: Volts): number | undefined {
  if (!supplySpent(choice, 0)) return undefined;
  let [low, high] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (supplySpent(choice, middle)!.volts > open) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
