import type { DEVICES, Kind } from '../devices/index';

type ParamsOf<K extends Kind> = Exclude<
  ReturnType<(typeof DEVICES)[K]['resolve']>,
  { readonly problem: string }
>;

/** One part of a circuit, complete: no field is missing, every figure is SI. */
export type PartOf<K extends Kind> = {
  readonly id: string;
  readonly kind: K;
  /** Node name at each pin. */
  readonly pins: Readonly<Record<string, string>>;
  readonly params: ParamsOf<K>;
  /** The thing that holds it together with others, and which of its legs each pin is: a three-colour lamp, a controller board. A pin that is no leg is joined inside. */
  readonly body?: { readonly id: string; readonly legs: Readonly<Record<string, string>> };
};
export type Part = { [K in Kind]: PartOf<K> }[Kind];

/** What is picked up and placed: most parts by themselves, a three-colour lamp as the house of three, a controller as the supply that it is. */
export type ThingKind = Kind | 'rgb';

export type Check =
  | { readonly id: string; readonly measure: 'amps'; readonly part: string }
  | { readonly id: string; readonly measure: 'volts'; readonly from: string; readonly to: string };

export interface Circuit {
  readonly title: string;
  /** Name of the node that counts as 0 V. */
  readonly ground: string;
  readonly parts: readonly Part[];
  readonly checks: readonly Check[];
}

export function isKind<K extends Kind>(part: Part, kind: K): part is Extract<Part, PartOf<K>> {
  return part.kind === kind;
}

/** The circuit with one part replaced by what `change` makes of it. */
export function withPart(circuit: Circuit, id: string, change: (part: Part) => Part): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => (part.id === id ? change(part) : part)),
  };
}

export function partOf(circuit: Circuit, id: string): Part | undefined {
  return circuit.parts.find((part) => part.id === id);
}
