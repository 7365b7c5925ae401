import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { supplyFigures, type SupplyChoice } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { bankOf } from '../steady/bank';
import { finish } from '../steady/finish';
import type { Way } from '../steady/way';
import { judgeWay, unmetWay } from '../steady/ways';
import { ampsSchema, choiceOverrides, supplyRefusals } from '../wishes';

/** An isolated 12 V supply, the safe stand-in for a mains lamp. */
export const COVER_VOLTS = 12;

export const lampCoverParams = z.strictObject({
  count: z.number().int().min(3).max(40),
  lamp: z.enum(LAMP_TYPES),
  amps: ampsSchema,
  /** Lamps in a row; left out, as many as leave the resistor enough to hold the current steady. */
  length: z.number().int().min(1).max(6).optional(),
  ...choiceOverrides,
});
export type LampCoverParams = z.output<typeof lampCoverParams>;

/** Many lamps in strings on an isolated 12 V supply. */
export const lampCover: Pattern<'lamp-cover', LampCoverParams> = {
  id: 'lamp-cover',
  params: lampCoverParams,
  board: 'strip',
  after: ['strings', 'panel'],
  standsInFor: 'mains lamp',
  batch: () => BATCH,
  withWay: (params, way) => ({ ...params, length: way.length }),
  defaults: () => ({ count: 12, lamp: 'white', amps: 0.01 }),
  design,
};

/** Lamps soldered together before a test. */
const BATCH = 6;

/** Volts that a resistor must keep so that its string's current does not wander with every lamp. */
const HELD_SHARE = 0.15;

function design(params: LampCoverParams, means: Means): Outcome<Design> {
  const supply: SupplyChoice = {
    kind: 'bench',
    cells: 1,
    age: 'fresh',
    volts: COVER_VOLTS,
    limitAmps: limitFor(params),
  };
  const { volts } = supplyFigures(supply);
  const unfit = supplyRefusals(volts);
  if (unfit.length) return refused(...unfit);
  const drop = new Junction(means.shelf.lamps[params.lamp]).voltsAt(params.amps);
  const most = Math.max(1, Math.min(6, Math.floor((volts * (1 - HELD_SHARE)) / drop)));
  const length = params.length ?? most;
  const ways = Array.from({ length: Math.min(most + 1, 6, params.count) }, (_, i) =>
    wayOf(params, supply, i + 1, means),
  );
  const built = bankOf(wishOf(params, supply, length), means);
  if (!built.ok)
    return refused(...built.findings, finding('no-way-works', { ways: ways.filter((w) => w.works).length }));
  const marked = ways.map((way) => ({ ...way, taken: way.length === length }));
  const { circuit, sorts, strings } = built.value;
  return finish({ circuit, supply, sorts, strings, ways: marked }, means);
}

/** The supply's limit: what the whole cover may draw, and a quarter more. */
function limitFor({ count, amps }: LampCoverParams): number {
  return Math.min(10, Math.max(0.05, count * amps * 1.25));
}

function wishOf(params: LampCoverParams, supply: SupplyChoice, length: number) {
  const strings = [];
  for (let left = params.count; left > 0; left -= length) {
    strings.push(Array.from({ length: Math.min(length, left) }, () => params.lamp));
  }
  return { ...params, supply, strings, side: 'plus' as const };
}

function wayOf(params: LampCoverParams, supply: SupplyChoice, length: number, means: Means): Way {
  const kind = length === 1 ? ('own' as const) : ('strings' as const);
  const built = bankOf(wishOf(params, supply, length), means);
  if (!built.ok) return unmetWay(kind, length, supply, built);
  const { circuit, sorts } = built.value;
  return judgeWay({ kind, length, supply, circuit, sorts }, means);
}
