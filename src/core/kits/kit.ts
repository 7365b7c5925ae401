import { BOARDS, choiceOf } from '../board/boards';
import { bodiesOf, type Body } from '../board/bodies';
import type { Plan } from '../board/plan';
import { SUPPLIES, type SupplyChoice } from '../catalogue/supplies';
import type { LampType } from '../catalogue/lamps';
import { isKind, type Circuit } from '../circuit/circuit';
import type { Extra } from './extras';
import { LOSS_RATES, sparesFor } from './spares';
import { stockKey, type StockItem, type StockSpec } from './stock';

export interface KitLine {
  readonly key: string;
  readonly spec: StockSpec;
  /** Names on the plan: R1, W1 … */
  readonly parts: readonly string[];
  readonly each: number;
  readonly forGroup: number;
  readonly spares: number;
  readonly need: number;
  readonly have: number;
  readonly short: number;
  readonly packs: number;
  readonly packSize: number;
  /** Price of one pack in cents; 0 where the store knows none. */
  readonly packCents: number;
  readonly buyCents: number;
  /** Price of the parts in one kit at the pack's rate, in cents; undefined without a price. */
  readonly eachCents?: number;
  readonly lossRate: number;
}

export interface Kit {
  readonly students: number;
  readonly lines: readonly KitLine[];
  readonly eachCents: number;
  /** What one student would pay who bought the same as whole packs. */
  readonly aloneCents: number;
  readonly buyCents: number;
  /** Lines the store does not hold at all, so that they have no price. */
  readonly unpriced: readonly string[];
}

export interface KitRequest {
  readonly circuit: Circuit;
  readonly plan: Plan;
  readonly supply: SupplyChoice;
  readonly lamps: Readonly<Record<string, LampType>>;
  /** Further resistors that each student tries in turn. */
  readonly spareValues?: readonly number[];
  /** What the lesson wants besides its circuit. */
  readonly extras?: readonly Extra[];
  readonly students: number;
  readonly spareRisk: number;
  readonly stock: readonly StockItem[];
}

/** Parts for one, for the group with spares, against the stock, and what to buy in whole packs. */
export function kitFor(request: KitRequest): Kit {
  const lines = needs(request).map((need) => line(need, request));
  return {
    students: request.students,
    lines,
    eachCents: lines.reduce((sum, l) => sum + (l.eachCents ?? 0), 0),
    aloneCents: lines.reduce((sum, l) => sum + Math.ceil(l.each / l.packSize) * l.packCents, 0),
    buyCents: lines.reduce((sum, l) => sum + l.buyCents, 0),
    unpriced: lines.filter((l) => l.eachCents === undefined).map((l) => l.key),
  };
}

interface Need {
  readonly spec: StockSpec;
  readonly parts: string[];
  each: number;
}

function needs({ circuit, plan, supply, lamps, spareValues, extras }: KitRequest): Need[] {
  const found = new Map<string, Need>();
  const add = (spec: StockSpec, part: string, count = 1) => {
    const need = found.get(stockKey(spec)) ?? { spec, parts: [], each: 0 };
    need.each += count;
    need.parts.push(part);
    found.set(stockKey(spec), need);
  };
  for (const body of bodiesOf(circuit)) {
    const spec = specOf(body, lamps);
    if (spec) add(spec, body.id);
    if (isKind(body.parts[0]!, 'supply')) addSupply(supply, body.id, add);
  }
  const board = choiceOf(plan.board);
  for (const placement of plan.placements) {
    if (placement.kind === 'jumper') add({ kind: WIRES[BOARDS[plan.board].copper] }, placement.part);
  }
  if (board === 'card') add({ kind: 'tape' }, 'tapes', tapesOf(plan));
  for (const ohms of spareValues ?? []) add({ kind: 'resistor', ohms }, 'in turn');
  add({ kind: 'board', board }, 'board');
  for (const { name, each } of extras ?? []) add({ kind: 'thing', name }, 'extra', each);
  return [...found.values()];
}

const WIRES = { rows: 'jumper', strips: 'tinned-wire', pads: 'tinned-wire', tapes: 'tape' } as const;

/** What the store calls a thing; the supply is several things and has its own list. */
function specOf({ kind, legs, parts }: Body, lamps: KitRequest['lamps']): StockSpec | undefined {
  if (kind === 'rgb') {
    const cathodes = parts.every((part) => part.pins['cathode'] === legs['common']);
    return { kind: 'rgb-lamp', common: cathodes ? 'cathode' : 'anode' };
  }
  const part = parts[0]!;
  switch (part.kind) {
    case 'resistor':
    case 'potentiometer':
      return { kind: part.kind, ohms: part.params.ohms };
    case 'led':
      return { kind: 'led', lamp: lamps[part.id]! };
    case 'zener':
      return { kind: 'zener', volts: part.params.vz };
    case 'switch':
      return { kind: 'button' };
    default:
      return undefined;
  }
}

/** Pieces of tape that a card is laid with: plus, minus, and one between each two things of a lane. */
function tapesOf(plan: Plan): number {
  const stubs = new Set(
    plan.placements.flatMap((p) =>
      Object.values(p.legs)
        .filter((hole) => /^\d/u.test(hole))
        .map((hole) => hole.replace('t', 's')),
    ),
  );
  return 2 + stubs.size;
}

function addSupply(
  supply: SupplyChoice,
  part: string,
  add: (spec: StockSpec, part: string, count?: number) => void,
): void {
  const row = SUPPLIES[supply.kind];
  if (row.style !== 'cell') return add({ kind: 'supply', supply: supply.kind }, part);
  add({ kind: 'cell', supply: supply.kind }, part, supply.cells);
  add({ kind: 'holder', supply: supply.kind, cells: supply.cells }, part);
}

function line(need: Need, request: KitRequest): KitLine {
  const lossRate = LOSS_RATES[need.spec.kind];
  const forGroup = need.each * request.students;
  const spares = sparesFor(forGroup, lossRate, request.spareRisk);
  const key = stockKey(need.spec);
  const held = request.stock.find((item) => stockKey(item.spec) === key);
  const wanted = forGroup + spares;
  const short = Math.max(0, wanted - (held?.have ?? 0));
  const packSize = held?.packSize ?? 1;
  const packs = Math.ceil(short / packSize);
  return {
    key,
    spec: need.spec,
    parts: need.parts,
    each: need.each,
    forGroup,
    spares,
    need: wanted,
    have: held?.have ?? 0,
    short,
    packs,
    packSize,
    packCents: held?.packCents ?? 0,
    buyCents: packs * (held?.packCents ?? 0),
    ...(held ? { eachCents: (need.each * held.packCents) / held.packSize } : {}),
    lossRate,
  };
}
