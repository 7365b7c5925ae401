import type { Circuit, Part, ThingKind } from '../circuit/circuit';
import type { Footprint, Room } from './footprint';
import { PARTS, traitsOf } from './index';
import type { PolarityMarks } from './polarity';

/** One thing that is picked up and placed: most parts are one, a three-colour lamp holds three, a controller its rail and its pins, a sound lead its two sides. */
export interface Thing {
  readonly id: string;
  readonly kind: ThingKind;
  /** Net at each leg, in the order of the legs on the thing itself; legs in use by nothing have nets of their own. */
  readonly legs: Readonly<Record<string, string>>;
  readonly parts: readonly Part[];
}

/** Legs of a three-colour lamp as they stand side by side: the long one is common. */
export const RGB_LEGS = ['red', 'common', 'green', 'blue'] as const;

/** What is said of a thing that houses several parts: the three-colour lamp. */
const RGB: { footprint: Footprint; room: Room; height: number; letter: string } = {
  letter: 'D',
  footprint: { form: 'comb', pitch: 1 },
  room: { along: 0, across: 1.5, round: true },
  height: 4,
};

/** Kinds whose things bear their name when several parts are in one. */
const HOUSES: ReadonlySet<ThingKind> = new Set(['supply', 'signal']);

/** The things of a circuit in the order in which it lists them; wires of the circuit itself are no things. */
export function thingsOf(circuit: Circuit): Thing[] {
  const things = new Map<string, Thing>();
  for (const part of circuit.parts) {
    if (part.kind === 'wire') continue;
    if (!part.body) {
      things.set(part.id, { id: part.id, kind: part.kind, legs: allLegs(part), parts: [part] });
      continue;
    }
    const { id, legs } = part.body;
    const before = things.get(id);
    const named = Object.fromEntries(Object.entries(legs).map(([pin, leg]) => [leg, part.pins[pin]!]));
    const kind = before?.kind ?? (HOUSES.has(part.kind) ? part.kind : 'rgb');
    const all = { ...before?.legs, ...named };
    const ordered = kind === 'rgb' ? inOrder(all) : all;
    things.set(id, { id, kind, legs: ordered, parts: [...(before?.parts ?? []), part] });
  }
  return [...things.values()];
}

/** A chip has all its pins, in use or not. */
function allLegs(part: Part): Record<string, string> {
  const print = PARTS[part.kind].footprint;
  if (print.form !== 'dual') return part.pins;
  const unused = (pin: string) => `${part.id} ${pin} unused`;
  return Object.fromEntries(
    [...print.left, ...print.right].map((pin) => [pin, part.pins[pin] ?? unused(pin)]),
  );
}

function inOrder(legs: Readonly<Record<string, string>>): Record<string, string> {
  return Object.fromEntries(RGB_LEGS.flatMap((leg) => (leg in legs ? [[leg, legs[leg]!]] : [])));
}

export function thingOf(circuit: Circuit, id: string): Thing | undefined {
  return thingsOf(circuit).find((thing) => thing.id === id);
}

export function footprintOf({ kind }: Pick<Thing, 'kind'>): Footprint {
  return kind === 'rgb' ? RGB.footprint : PARTS[kind].footprint;
}

export function roomOf({ kind }: Pick<Thing, 'kind'>): Room {
  return kind === 'rgb' ? RGB.room : PARTS[kind].room;
}

export function heightOf({ kind }: Pick<Thing, 'kind'>): number {
  return kind === 'rgb' ? RGB.height : PARTS[kind].height;
}

/** How the legs of a thing are told apart. */
export function polarityOf({ kind, legs, parts }: Thing): PolarityMarks {
  if (kind !== 'rgb') return traitsOf(parts[0]!).polarity(parts[0]!);
  const pins = Object.keys(legs).map((leg) => [leg, leg === 'common' ? 'longest-leg' : 'beside-the-longest']);
  return { polarised: true, pins: Object.fromEntries(pins) as PolarityMarks['pins'] };
}

/** Whether the joined legs of a three-colour lamp are its cathodes. */
export function isCommonCathode({ legs, parts }: Thing): boolean {
  return parts.every((part) => part.pins['cathode'] === legs['common']);
}
