import type { Circuit, Part } from '../circuit/circuit';

/** One thing that is picked up and placed: most parts are one, a three-colour lamp holds three. */
export interface Body {
  readonly id: string;
  readonly kind: Part['kind'] | 'rgb';
  /** Net at each leg, in the order of the legs on the thing itself. */
  readonly legs: Readonly<Record<string, string>>;
  readonly parts: readonly Part[];
}

/** Legs of a three-colour lamp as they stand side by side: the long one is common. */
export const RGB_LEGS = ['red', 'common', 'green', 'blue'] as const;

/** The things of a circuit in the order in which it lists them; wires of the circuit itself are no things. */
export function bodiesOf(circuit: Circuit): Body[] {
  const bodies = new Map<string, Body>();
  for (const part of circuit.parts) {
    if (part.kind === 'wire') continue;
    if (!part.body) {
      bodies.set(part.id, { id: part.id, kind: part.kind, legs: part.pins, parts: [part] });
      continue;
    }
    const { id, legs } = part.body;
    const before = bodies.get(id);
    const named = Object.fromEntries(Object.entries(legs).map(([pin, leg]) => [leg, part.pins[pin]!]));
    bodies.set(id, {
      id,
      kind: 'rgb',
      legs: inOrder({ ...before?.legs, ...named }),
      parts: [...(before?.parts ?? []), part],
    });
  }
  return [...bodies.values()];
}

function inOrder(legs: Readonly<Record<string, string>>): Record<string, string> {
  return Object.fromEntries(RGB_LEGS.flatMap((leg) => (leg in legs ? [[leg, legs[leg]!]] : [])));
}

export function bodyOf(circuit: Circuit, id: string): Body | undefined {
  return bodiesOf(circuit).find((body) => body.id === id);
}
