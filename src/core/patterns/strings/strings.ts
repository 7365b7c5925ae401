import { z } from 'zod';
import { LAMP_TYPES, type LampType } from '../../catalogue/lamps';
import { isSteady, supplyFigures, type SupplyChoice } from '../../catalogue/supplies';
import { valuesOf } from '../../catalogue/shelf';
import { Junction } from '../../devices/junction';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { choose } from '../steady/choose';
import { ampsOf, bankOf, type Bank } from '../steady/bank';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import type { Way } from '../steady/way';
import { bestWay, judgeWay, unmetWay } from '../steady/ways';
import { SIDES, toleranceOf } from '../style';
import { ampsSchema, choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

export const LAMPS_MOST = 40;
export const LENGTH_MOST = 8;

export const waySchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('best') }),
  z.strictObject({ kind: z.literal('own') }),
  z.strictObject({ kind: z.literal('strings'), length: z.number().int().min(2).max(LENGTH_MOST) }),
  z.strictObject({ kind: z.literal('shared') }),
]);
export type WayChoice = z.output<typeof waySchema>;

export const groupsSchema = z
  .array(z.strictObject({ lamp: z.enum(LAMP_TYPES), count: z.number().int().min(1).max(LAMPS_MOST) }))
  .min(1)
  .max(6)
  .readonly();

export const stringsParams = z.strictObject({
  supply: supplySchema,
  groups: groupsSchema,
  amps: ampsSchema,
  way: waySchema,
  side: z.enum(SIDES),
  ...choiceOverrides,
});
export type StringsParams = z.output<typeof stringsParams>;

/** Several lamps off one supply: each with its own resistor, in strings, or on one resistor together. */
export const strings: Pattern<'strings', StringsParams> = {
  id: 'strings',
  params: stringsParams,
  board: 'half',
  after: ['single'],
  withWay,
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    groups: [
      { lamp: 'blue', count: 3 },
      { lamp: 'red', count: 2 },
    ],
    amps: 0.008,
    way: { kind: 'best' },
    side: style.side,
  }),
  design,
};

function design(params: StringsParams, means: Means): Outcome<Design> {
  const unfit = supplyRefusals(supplyFigures(params.supply).volts);
  if (unfit.length) return refused(...unfit);
  const lamps = lampList(params.groups);
  if (lamps.length > LAMPS_MOST) {
    return refused(finding('too-many-lamps', { lamps: lamps.length, most: LAMPS_MOST }));
  }
  const ways = waysFor(params, lamps, means);
  const taken = wayTaken(params.way, ways);
  if (!taken) return refused(...allReasons(ways));
  const built = buildWay(params, params.supply, lamps, taken, means);
  if (!built.ok) return built;
  const here = ways.filter((way) => way.supply === ways[0]!.supply);
  const best = bestWay(here);
  const marked = ways.map((way) => ({
    ...way,
    ...(best && isSame(way, best) ? { best: best.best } : {}),
    taken: way.supply === params.supply && way.kind === taken.kind && way.length === taken.length,
  }));
  const { circuit, sorts, strings: sums } = built.value;
  const way = marked.find((w) => w.taken);
  const findings = way ? way.why : [];
  return finish({ circuit, supply: params.supply, sorts, strings: sums, findings, ways: marked }, means);
}

/** The same lamps joined in another way, off the supply that it was worked out for. */
function withWay(params: StringsParams, { kind, length, supply }: Way): StringsParams | undefined {
  if (kind === 'none' || !isSteady(supply)) return undefined;
  return { ...params, supply, way: kind === 'strings' ? { kind, length } : { kind } };
}

export function lampList(groups: StringsParams['groups']): LampType[] {
  return groups.flatMap(({ lamp, count }) => Array.from({ length: count }, () => lamp));
}

type Joining = Pick<Way, 'kind' | 'length'>;

function isSame(one: Way, other: Way): boolean {
  return one.kind === other.kind && one.length === other.length && one.supply === other.supply;
}

function wayTaken(choice: WayChoice, ways: readonly Way[]): Joining | undefined {
  if (choice.kind === 'strings') return choice;
  if (choice.kind !== 'best') return { kind: choice.kind, length: 1 };
  const here = ways.filter((way) => way.supply === ways[0]!.supply);
  return bestWay(here) ?? here.find((way) => way.figures);
}

function allReasons(ways: readonly Way[]): Way['why'] {
  const seen = new Set<string>();
  return ways
    .filter((way) => way.supply === ways[0]!.supply)
    .flatMap((way) => way.why)
    .filter(({ code }) => !seen.has(code) && seen.add(code));
}

/** Other supplies that the same lamps are compared on, each in the way that is best there. */
const COMPARED: readonly SupplyChoice[] = [
  { kind: 'usb', cells: 1, age: 'nominal' },
  { kind: 'aa-alkaline', cells: 3, age: 'fresh' },
  { kind: 'aa-alkaline', cells: 4, age: 'fresh' },
  { kind: 'block-9v', cells: 1, age: 'fresh' },
];

function waysFor(params: StringsParams, lamps: readonly LampType[], means: Means): Way[] {
  const { supply } = params;
  const here = waysOn(params, supply, lamps, means);
  // A list that shows no ways needs none of the other supplies.
  const others = means.brief ? [] : COMPARED;
  const elsewhere = others
    .filter((other) => other.kind !== supply.kind || other.cells !== supply.cells)
    .flatMap((other): Way[] => {
      // Which is best there is told without hours; only the one that is shown gets them.
      const best = bestWay(waysOn(params, other, lamps, { ...means, brief: true }));
      return best ? [wayWith(params, other, lamps, best, means)] : [];
    });
  return [...here, ...elsewhere];
}

function waysOn(
  params: StringsParams,
  supply: SupplyChoice,
  lamps: readonly LampType[],
  means: Means,
): Way[] {
  const { volts } = supplyFigures(supply);
  const lengths = lengthsFor(lamps, volts, params.amps, means);
  const joinings: Joining[] = [
    { kind: 'own', length: 1 },
    ...lengths.map((length) => ({ kind: 'strings' as const, length })),
    ...(lamps.length > 1 ? [{ kind: 'shared' as const, length: 1 }] : []),
  ];
  return joinings.map((joining) => wayWith(params, supply, lamps, joining, means));
}

function wayWith(
  params: StringsParams,
  supply: SupplyChoice,
  lamps: readonly LampType[],
  { kind, length }: Joining,
  means: Means,
): Way {
  const built = buildWay(params, supply, lamps, { kind, length }, means);
  if (!built.ok) return unmetWay(kind, length, supply, built);
  const { circuit, sorts } = built.value;
  return judgeWay({ kind, length, supply, circuit, sorts }, means);
}

/** Lengths worth showing: all that fit, and the first that does not, with the volts it would need. */
function lengthsFor(lamps: readonly LampType[], volts: number, amps: number, { shelf }: Means): number[] {
  const least = Math.min(...lamps.map((type) => new Junction(shelf.lamps[type]).voltsAt(amps)));
  const most = Math.min(LENGTH_MOST, lamps.length, Math.floor(volts / least) + 1);
  return Array.from({ length: Math.max(0, most - 1) }, (_, i) => i + 2);
}

/** Like lamps stand together in strings of one length; what is left over makes a shorter one. */
export function stringsOf(lamps: readonly LampType[], length: number): LampType[][] {
  const found: LampType[][] = [];
  let rest: LampType[] = [];
  for (const type of new Set(lamps)) {
    const same = lamps.filter((lamp) => lamp === type);
    while (same.length >= length) found.push(same.splice(0, length));
    rest = [...rest, ...same];
  }
  while (rest.length) {
    found.push(rest.slice(0, length));
    rest = rest.slice(length);
  }
  return found;
}

function buildWay(
  params: StringsParams,
  supply: SupplyChoice,
  lamps: readonly LampType[],
  { kind, length }: Joining,
  means: Means,
): Outcome<Bank> {
  if (kind === 'shared') return sharedBank(params, supply, lamps, means);
  const wish = { ...params, supply, strings: stringsOf(lamps, kind === 'own' ? 1 : length) };
  return bankOf(wish, means);
}

/** All lamps side by side on one resistor, sized as if they shared the current fairly. */
function sharedBank(
  params: StringsParams,
  supply: SupplyChoice,
  lamps: readonly LampType[],
  means: Means,
): Outcome<Bank> {
  const { shelf, style } = means;
  const { volts, ohms } = supplyFigures(supply);
  const total = params.amps * lamps.length;
  const junctions = lamps.map((type) => new Junction(shelf.lamps[type]));
  const lampVolts = Math.max(...junctions.map((junction) => junction.voltsAt(params.amps)));
  const exactOhms = (volts - lampVolts) / total - ohms;
  if (exactOhms <= 0) {
    const needVolts = lampVolts + total * ohms;
    const data = { supply: volts, lampVolts, lamp: lamps.join('+'), amps: 0, needVolts };
    return refused(finding('cannot-light', data));
  }
  const values = valuesOf(shelf, params.values ?? style.values);
  const ampsWith = (value: number) => ampsOf([junctions[0]!], volts, (value + ohms) * lamps.length);
  const chosen = choose(params.rounding ?? style.rounding, values, exactOhms, params.amps, ampsWith);
  if (chosen === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest: Math.max(...values) }));
  }
  const named = lamps.map((type, i) => ({
    part: `D${i + 1}`,
    type,
    volts: junctions[i]!.voltsAt(params.amps),
  }));
  const [from, to] = params.side === 'plus' ? ['common', MINUS] : [PLUS, 'common'];
  const [a, b] = params.side === 'plus' ? [PLUS, 'common'] : ['common', MINUS];
  const resistor = resistorPart('R1', a, b, chosen, toleranceOf(style));
  const parts = named.map(({ part, type }) => lampPart(part, from, to, shelf.lamps[type]));
  const sum = {
    resistor: 'R1',
    alike: ['R1'],
    lamps: named,
    wanted: total,
    lampVolts,
    voltsLeft: volts - lampVolts,
    lessOhms: ohms,
    exactOhms,
    chosen,
    sideBySide: true,
  };
  return {
    ok: true,
    findings: [],
    value: {
      circuit: circuitFrom([supplyPart(supply), resistor, ...parts]),
      sorts: Object.fromEntries(named.map(({ part, type }) => [part, type])),
      strings: [sum],
    },
  };
}
