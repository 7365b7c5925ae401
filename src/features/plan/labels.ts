import {
  boardOf,
  extraPart,
  formatFarads,
  formatOhms,
  formatQuantity,
  isSource,
  letterCode,
  thingsOf,
  type Circuit,
  type LampSorts,
  type Part,
  type Placement,
  type Plan,
  type Thing,
} from '@/core';
import { atHole, PLUG_WIDTH, UNIT, type Point, type View } from './geometry';
import { lampMiddle } from './LampDrawing';
import { CHARACTER, LETTERS, overlap, type Box } from './lettering';

/** Name and value of a part, where they stand on the drawing. */
export interface PlacedLabel {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle' | 'end';
  readonly text: string;
  readonly second?: string;
}

interface Ground {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly view: View;
}

/** Boards with more pieces carry names only; the card and the list carry the values. */
const LABELLED_MOST = 40;
/** Of so many lamps each has room to say where its long leg is. */
const MARKED_MOST = 2;
/** Half widths of what is drawn, in drawing units. */
const BODY = 7;
const LAMP = 12;
const CAN = 14;
const CHIP = 4;
const WIRE = 2;
/** What it costs a label to lie over something, and to be told in short. */
const COST = { body: 20, label: 30, wire: 3, cut: 60, short: 5, place: 0.2 } as const;

/** The labels of all parts that wear one, each where it lies over the least. */
export function labelsOf(ground: Ground): PlacedLabel[] {
  const { plan, view } = ground;
  const things = new Map(thingsOf(ground.circuit).map((thing) => [thing.id, thing]));
  const bodies = plan.placements.flatMap((placement) => bodyOf(placement, ground, things) ?? []);
  const wires = plan.placements
    .filter(({ kind }) => kind === 'jumper')
    .flatMap(({ legs }) => along(Object.values(legs).map((hole) => atHole(plan, hole, view))));
  const taken: Box[] = [];
  return plan.placements.flatMap((placement): PlacedLabel[] => {
    const { part } = placement;
    const texts = textsOf(placement, ground, things);
    const own = bodies.find((body) => body.part === part);
    if (!texts || !own) return [];
    const others = bodies.filter((body) => body !== own).map(({ box }) => box);
    const costOf = (box: Box) =>
      (isCut(box, plan, view) ? COST.cut : 0) +
      COST.body * others.filter((other) => overlap(box, other)).length +
      COST.label * taken.filter((other) => overlap(box, other)).length +
      COST.wire * wires.filter((other) => overlap(box, other)).length;
    const ways = texts.flatMap((text, i) =>
      placesAround(own.box, text.second !== undefined).map((place, k) => {
        const box = boxOf(place, text);
        return { place, text, box, cost: costOf(box) + COST.short * i + COST.place * k };
      }),
    );
    const best = ways.reduce((a, b) => (b.cost < a.cost ? b : a));
    taken.push(best.box);
    return [{ part, ...best.place, ...best.text }];
  });
}

/** Whether a label would reach out of the drawing at the sides of a plug-in board. */
function isCut(box: Box, plan: Plan, view: View): boolean {
  if (boardOf(plan).copper !== 'rows') return false;
  const far = (PLUG_WIDTH + 2) * UNIT;
  return view === 'flat' ? box.top < 0 || box.foot > far + UNIT : box.left < 0 || box.right > far + UNIT;
}

type Things = ReadonlyMap<string, Thing>;

/** What the label of a placed part may say, in full first; nothing of wires, leads, and what is drawn with its name. */
function textsOf(
  placement: Placement,
  { plan, circuit, sorts }: Ground,
  things: Things,
): readonly Text[] | undefined {
  if (placement.kind === 'jumper' || placement.standIn?.kind === 'wire') return undefined;
  const body = things.get(placement.part);
  if (body && (isSource(circuit, body.id) || body.kind === 'rgb')) return undefined;
  const part = body ? body.parts[0] : extraPart(placement, placement.legs);
  const texts = part && TEXTS[part.kind]?.(part as never, placement, sorts);
  if (!texts) return undefined;
  if (plan.placements.length > LABELLED_MOST) return [{ text: placement.part }];
  return texts.filter(({ second }) => second === undefined || lampsOf(plan) <= MARKED_MOST);
}

interface Text {
  readonly text: string;
  readonly second?: string;
}
type TextsOf = (part: never, placement: Placement, sorts: LampSorts) => readonly Text[];

/** What the label of a part says, in full first, then in short. Kinds that are not here are drawn with theirs. */
const TEXTS: Readonly<Partial<Record<Part['kind'], TextsOf>>> = {
  resistor: ((part: Extract<Part, { kind: 'resistor' }>, { standIn }) => {
    const ohms = standIn?.kind === 'resistor' ? standIn.ohms : part.params.ohms;
    return [{ text: `${part.id} ${formatOhms(ohms)}` }, { text: `${part.id} ${letterCode(ohms)}` }];
  }) as TextsOf,
  led: ((part: Part, { legs, standIn }, sorts) => {
    const type = standIn?.kind === 'led' ? standIn.type : (sorts[part.id] ?? 'red');
    const text = `${part.id} ${type}`;
    return [{ text, second: `long leg ${legs['anode']!}` }, { text }, { text: part.id }];
  }) as TextsOf,
  zener: ((part: Extract<Part, { kind: 'zener' }>) => [
    { text: `${part.id} ${formatQuantity(part.params.vz, 'V')}` },
  ]) as TextsOf,
  diode: ((part: Part) => [{ text: part.id }]) as TextsOf,
  capacitor: ((part: Extract<Part, { kind: 'capacitor' }>) => [
    { text: `${part.id} ${formatFarads(part.params.farads)}` },
  ]) as TextsOf,
  transistor: ((part: Extract<Part, { kind: 'transistor' }>) => [
    { text: `${part.id} ${part.params.polarity.toUpperCase()}` },
    { text: part.id },
  ]) as TextsOf,
};

function lampsOf({ placements }: Plan): number {
  return placements.filter(({ legs }) => 'anode' in legs).length;
}

/** The ground that the body of a part takes on the drawing; none of wires and leads. */
function bodyOf(
  placement: Placement,
  { plan, circuit, view }: Ground,
  things: Things,
): { readonly part: string; readonly box: Box } | undefined {
  if (placement.kind === 'jumper') return undefined;
  const body = things.get(placement.part);
  if (body && isSource(circuit, body.id)) return undefined;
  const ends = Object.values(placement.legs).map((hole) => atHole(plan, hole, view));
  const kind = body?.kind ?? placement.standIn?.kind;
  const { part } = placement;
  if (kind === 'led' || kind === 'rgb') {
    const standing = boardOf(plan).copper !== 'rows' || ends.length > 2;
    return { part, box: about(lampMiddle(ends, view, standing), LAMP) };
  }
  if (kind === 'capacitor' || kind === 'transistor') return { part, box: about(middleOf(ends), CAN) };
  return { part, box: boxAround(ends, kind === 'timer' ? CHIP : BODY) };
}

function middleOf(ends: readonly Point[]): Point {
  const [first, last] = [ends[0]!, ends[ends.length - 1]!];
  return { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 };
}

function about({ x, y }: Point, half: number): Box {
  return { left: x - half, right: x + half, top: y - half, foot: y + half };
}

function boxAround(points: readonly Point[], half: number): Box {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return {
    left: Math.min(...xs) - half,
    right: Math.max(...xs) + half,
    top: Math.min(...ys) - half,
    foot: Math.max(...ys) + half,
  };
}

/** A wire as small boxes from hole to hole. */
function along([from, to]: readonly Point[]): Box[] {
  if (!from || !to) return [];
  const count = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / UNIT));
  return Array.from({ length: count + 1 }, (_, i) => {
    const share = i / count;
    return about({ x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) }, WIRE);
  });
}

type Place = Pick<PlacedLabel, 'x' | 'y' | 'anchor'>;

/** Where a label may stand about a body: at its sides, over and under it, and at the corners. */
function placesAround({ left, right, top, foot }: Box, tall: boolean): Place[] {
  const [middle, centre] = [(top + foot) / 2 + (tall ? -2 : 4), (left + right) / 2];
  const [over, under] = [top - (tall ? 16 : 4), foot + 12];
  return [
    { x: right + 3, y: middle, anchor: 'start' },
    { x: right + 3, y: top + 10, anchor: 'start' },
    { x: right + 3, y: foot - 3, anchor: 'start' },
    { x: left - 3, y: middle, anchor: 'end' },
    { x: centre, y: over, anchor: 'middle' },
    { x: centre, y: under, anchor: 'middle' },
    { x: left - 3, y: top + 10, anchor: 'end' },
    { x: left - 3, y: foot - 3, anchor: 'end' },
    { x: left, y: over, anchor: 'start' },
    { x: right, y: over, anchor: 'end' },
    { x: left, y: under, anchor: 'start' },
    { x: right, y: under, anchor: 'end' },
  ];
}

function boxOf({ x, y, anchor }: Place, { text, second = '' }: Text): Box {
  const width = CHARACTER * Math.max(text.length * LETTERS.label, second.length * LETTERS.second) + UNIT / 9;
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - 0.8 * LETTERS.label, foot: y + (second ? 14 : 3) };
}
