import type { Circuit, Part, PartOf } from '../circuit/circuit';
import type { Kind } from '../devices/index';
import { capacitor } from './capacitor';
import { diode } from './diode';
import { led } from './led';
import type { Mistake } from './mistake';
import type { PartReport } from '../solver/report';
import type { Overload } from './overload';
import { inductor, ldr, signal, speaker, wire } from './others';
import type { PartTraits, Surroundings } from './part';
import { pin } from './pin';
import { potentiometer } from './potentiometer';
import { resistor } from './resistor';
import { supply } from './supply';
import { switchTraits } from './switch';
import { timer } from './timer';
import { transistor } from './transistor';
import { zener } from './zener';

/** What is said of every kind of part. A kind without an entry does not compile. */
export const PARTS: { readonly [K in Kind]: PartTraits<K> } = {
  supply,
  resistor,
  potentiometer,
  capacitor,
  inductor,
  led,
  diode,
  zener,
  transistor,
  timer,
  ldr,
  switch: switchTraits,
  wire,
  speaker,
  pin,
  signal,
};

/** The traits of a part. One kind always goes with its own parameters; TypeScript cannot see it through the union. */
export function traitsOf<K extends Kind>(part: PartOf<K>): PartTraits<K> {
  return PARTS[part.kind] as unknown as PartTraits<K>;
}

/** What is too much for a part, in what it does now. */
export function overloadOf(part: Part, now: PartReport): Overload | undefined {
  return traitsOf(part).overload(part, now);
}

/** Everything a hand may do wrong with one part. */
export function mistakesOf(part: Part, around: Surroundings): Mistake[] {
  return traitsOf(part).mistakes(part, around);
}

/** Whether two pins of a part may be exchanged without any difference. */
export function pinName(part: Part, pin: string): string {
  const group = PARTS[part.kind].alike.find((pins) => pins.includes(pin));
  // An electrolytic has two ends, a ceramic has two alike.
  const free = part.kind === 'capacitor' && !part.params.polarised;
  if (free) return part.id;
  return group ? `${part.id} ${group[0]}` : `${part.id}.${pin}`;
}

/** The first part of a kind, if a circuit has one. */
export function firstOf<K extends Kind>(circuit: Circuit, kind: K): PartOf<K> | undefined {
  return circuit.parts.find((part): part is Extract<Part, PartOf<K>> => part.kind === kind) as
    PartOf<K> | undefined;
}
