import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { AGES, type SupplyChoice } from '../../catalogue/supplies';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { bankOf, type Bank } from '../steady/bank';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, supplyPart } from '../steady/parts';
import type { Way } from '../steady/way';
import { judgeWay, unmetWay } from '../steady/ways';
import { ampsSchema, choiceOverrides } from '../wishes';

export const COPIES_MOST = 6;

export const coinLightParams = z.strictObject({
  lamp: z.enum(LAMP_TYPES),
  copies: z.number().int().min(1).max(COPIES_MOST),
  cells: z.number().int().min(1).max(2),
  age: z.enum(AGES),
  /** Straight across the cell, which limits the current itself, or with a resistor for each lamp. */
  resistor: z.boolean(),
  /** Wanted current where there is a resistor. */
  amps: ampsSchema,
  ...choiceOverrides,
});
export type CoinLightParams = z.output<typeof coinLightParams>;

/** Lamps across a coin cell, taped or clipped: both schools, with and without a resistor, compared. */
export const coinLight: Pattern<'coin-light', CoinLightParams> = {
  id: 'coin-light',
  params: coinLightParams,
  board: 'card',
  after: [],
  withWay: (params, way) => ({ ...params, resistor: way.kind === 'own' }),
  defaults: () => ({ lamp: 'white', copies: 1, cells: 1, age: 'fresh', resistor: false, amps: 0.002 }),
  design,
};

function design(params: CoinLightParams, means: Means): Outcome<Design> {
  const supply: SupplyChoice = { kind: 'coin-20mm', cells: params.cells, age: params.age };
  // Straight across holds for one cell only: two push what no lamp here survives.
  if (!params.resistor && params.cells > 1) {
    return refused(finding('never-without-resistor', { cells: params.cells }));
  }
  const straight = bare(params, supply, means);
  const resisted = bankOf({ ...wishOf(params, supply) }, means);
  const built = params.resistor ? resisted : ({ ok: true, value: straight, findings: [] } as const);
  if (!built.ok) return built;
  const ways: Way[] = [
    ...(params.cells > 1
      ? []
      : [{ ...judgeWay({ kind: 'none', length: 1, supply, ...straight }, means), taken: !params.resistor }]),
    resisted.ok
      ? { ...judgeWay({ kind: 'own', length: 1, supply, ...resisted.value }, means), taken: params.resistor }
      : unmetWay('own', 1, supply, resisted),
  ];
  const { circuit, sorts, strings } = built.value;
  return finish({ circuit, supply, sorts, strings, ways }, means);
}

function wishOf(params: CoinLightParams, supply: SupplyChoice) {
  const { amps, rounding, values, lamp, copies } = params;
  const strings = Array.from({ length: copies }, () => [lamp]);
  return { supply, strings, amps, side: 'plus' as const, rounding, values };
}

function bare({ lamp, copies }: CoinLightParams, supply: SupplyChoice, { shelf }: Means): Bank {
  const ids = Array.from({ length: copies }, (_, i) => `D${i + 1}`);
  const lamps = ids.map((id) => lampPart(id, PLUS, MINUS, shelf.lamps[lamp]));
  return {
    circuit: circuitFrom([supplyPart(supply), ...lamps]),
    sorts: Object.fromEntries(ids.map((id) => [id, lamp])),
    strings: [],
  };
}
