import { CONTROLLERS } from '../catalogue/controllers';
import { BOARDS, boughtAs, buildType } from '../board/boards';
import type { Plan } from '../board/plan';
import { isSteady, SUPPLIES, type SourceChoice } from '../catalogue/supplies';
import type { LampType } from '../catalogue/lamps';
import type { Circuit } from '../circuit/circuit';
import { isSource } from '../circuit/source';
import { isGapped, type Checkpoint } from '../observe/checkpoint';
import { traitsOf } from '../parts/index';
import { isCommonCathode, thingsOf, type Thing } from '../parts/thing';
import type { Extra } from './extras';
import { LOSS_RATES, sparesFor } from './spares';
import { stockKey, type StockItem, type StockSpec } from './stock';

/** Whom a thing is for. */
export type Per = 'student' | 'bench' | 'class';
/** Students who share what stands on a bench. */
export const AT_A_BENCH = 2;

export interface KitLine {
  readonly key: string;
  readonly spec: StockSpec;
  /** Names on the plan: R1, W1 … */
  readonly parts: readonly string[];
  readonly each: number;
  /** Whom it is counted for: every student has one, two at a bench share it, or one does for the class. */
  readonly per: Per;
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
  /** What one student's share of it costs at the pack's rate, in cents; undefined without a price. */
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
  readonly supply: SourceChoice;
  readonly lamps: Readonly<Record<string, LampType>>;
  /** Further resistors that each student tries in turn. */
  readonly spareValues?: readonly number[];
  /** A resistor that parks an open end while one half is tested alone. */
  readonly parkOhms?: number | undefined;
  /** What the lesson wants besides its circuit. */
  readonly extras?: readonly Pick<Extra, 'name' | 'each'>[];
  /** Where it is measured: a current wants a third hand. */
  readonly checkpoints: readonly Checkpoint[];
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
    aloneCents: lines
      .filter((l) => l.per === 'student')
      .reduce((sum, l) => sum + Math.ceil(l.each / l.packSize) * l.packCents, 0),
    buyCents: lines.reduce((sum, l) => sum + l.buyCents, 0),
    unpriced: lines.filter((l) => l.eachCents === undefined).map((l) => l.key),
  };
}

interface Need {
  readonly spec: StockSpec;
  readonly parts: string[];
  readonly per: Per;
  each: number;
}

type Add = (spec: StockSpec, part: string, count?: number, per?: Per) => void;

function needs(request: KitRequest): Need[] {
  const { circuit, plan, supply, lamps, spareValues, extras } = request;
  const found = new Map<string, Need>();
  const add: Add = (spec, part, count = 1, per = 'student') => {
    const need = found.get(stockKey(spec)) ?? { spec, parts: [], per, each: 0 };
    need.each += count;
    need.parts.push(part);
    found.set(stockKey(spec), need);
  };
  const board = BOARDS[plan.board];
  const build = buildType(board);
  for (const thing of thingsOf(circuit)) {
    const spec = specOf(thing, lamps);
    if (spec !== 'elsewhere') add(spec, thing.id);
    if (isSource(circuit, thing.id)) addSource(supply, thing, build, add);
  }
  for (const placement of plan.placements) {
    if (placement.kind === 'jumper') add({ kind: WIRES[board.copper] }, placement.part);
  }
  if (build === 'taped') add({ kind: 'tape' }, 'tapes', tapesOf(plan));
  for (const ohms of spareValues ?? []) add({ kind: 'resistor', ohms }, 'in turn');
  if (request.parkOhms !== undefined) add({ kind: 'resistor', ohms: request.parkOhms }, 'parked');
  const bought = boughtAs(plan.board);
  add({ kind: 'board', board: bought.board }, 'board', bought.count);
  // A lead is lifted with one hand and two probes are held with the others: clips are the third hand.
  if (request.checkpoints.some(isGapped)) add({ kind: 'clip-lead' }, 'meter', 2, 'bench');
  if (build === 'soldered') add({ kind: 'iron' }, 'iron', 1, 'bench');
  for (const { name, each } of extras ?? []) add({ kind: 'thing', name }, 'extra', each);
  return [...found.values()];
}

const WIRES = { rows: 'jumper', strips: 'tinned-wire', pads: 'tinned-wire', tapes: 'tape' } as const;

/** What the store calls a thing; the supply is several things and has its own list. */
function specOf(thing: Thing, lamps: KitRequest['lamps']): StockSpec | 'elsewhere' {
  if (thing.kind === 'rgb') return { kind: 'rgb-lamp', common: isCommonCathode(thing) ? 'cathode' : 'anode' };
  const part = thing.parts[0]!;
  return traitsOf(part).stock(part, lamps);
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

/** A supply, or the controller that is one: its leads are loose wires with a plug at both ends. */
function addSource(supply: SourceChoice, thing: Thing, build: ReturnType<typeof buildType>, add: Add): void {
  const board = Object.values(CONTROLLERS).find((one) => one.supply.kind === supply.kind);
  if (!board || thing.parts.length < 2) return addSupply(supply, thing.id, build, add);
  add({ kind: 'controller', controller: board.id }, thing.id);
  add({ kind: 'jumper' }, thing.id, Object.keys(thing.legs).length);
}

/** What the supply is made of: cells with what holds them, a lead, or what two at a bench share, with its fuse. */
function addSupply(supply: SourceChoice, part: string, build: ReturnType<typeof buildType>, add: Add): void {
  const { style } = SUPPLIES[supply.kind];
  if (!isSteady(supply)) {
    add({ kind: 'supply', supply: supply.kind }, part);
    if (!supply.pulses) return;
    const { cell } = supply.pulses;
    return addSupply({ kind: cell, cells: 1, age: supply.age }, part, build, add);
  }
  const shared = style === 'bench' || style === 'accumulator';
  if (style !== 'cell') add({ kind: 'supply', supply: supply.kind }, part, 1, shared ? 'bench' : 'student');
  else add({ kind: 'cell', supply: supply.kind }, part, supply.cells);
  // A coin cell on card lies between its tapes: no step uses a holder.
  const folded = build === 'taped' && supply.kind === 'coin-20mm';
  if (style === 'cell' && !folded) {
    add({ kind: 'holder', supply: supply.kind, cells: supply.cells }, part);
  }
  if (shared) add({ kind: 'clip-lead' }, part, 2, 'bench');
  if (style === 'accumulator') add({ kind: 'fuse' }, part, 1, 'bench');
}

/** How many there must be of what is for one student, one bench or one class. */
function sharersIn(students: number, per: Per): number {
  if (per === 'student') return students;
  return per === 'bench' ? Math.ceil(students / AT_A_BENCH) : 1;
}

function line(need: Need, request: KitRequest): KitLine {
  const lossRate = LOSS_RATES[need.spec.kind];
  const forGroup = need.each * sharersIn(request.students, need.per);
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
    per: need.per,
    forGroup,
    spares,
    need: wanted,
    have: held?.have ?? 0,
    short,
    packs,
    packSize,
    packCents: held?.packCents ?? 0,
    buyCents: packs * (held?.packCents ?? 0),
    ...(held
      ? { eachCents: (forGroup * held.packCents) / held.packSize / Math.max(1, request.students) }
      : {}),
    lossRate,
  };
}
