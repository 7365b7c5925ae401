import type { LampFigures, LampType } from '../../catalogue/lamps';
import { supplyFigures, type Age, type SourceChoice } from '../../catalogue/supplies';
import { withPart, type Circuit, type Part, type PartOf } from '../../circuit/circuit';
import { sourceOf, type Source } from '../../circuit/source';
import type { Ohms, Watts } from '../../quantities/units';

export const PLUS = 'plus';
export const MINUS = 'minus';

/** A limit is set to a digit, and held to about so much of it. */
const LIMIT_SHARE = 0.02;

/** The parts of steady-light circuits, complete, under the names of the lesson. */
export function supplyPart(choice: SourceChoice, age?: Age): Source {
  const { volts, ohms, tolerance, limitAmps } = supplyFigures(choice, age);
  if (choice.pulses) {
    const { hertz, duty } = choice.pulses;
    // From nothing to the peak: half of it up and down from half of it.
    const params = { shape: 'square', amplitude: volts / 2, offset: volts / 2, hertz, duty, ohms } as const;
    return { id: 'B1', kind: 'signal', pins: { plus: PLUS, minus: MINUS }, params };
  }
  const params = { volts, ohms, tolerance, limitAmps, ...(limitAmps ? { limitTolerance: LIMIT_SHARE } : {}) };
  return { id: 'B1', kind: 'supply', pins: { plus: PLUS, minus: MINUS }, params };
}

export function resistorPart(
  id: string,
  a: string,
  b: string,
  ohms: Ohms,
  tolerance: number,
  watts: Watts = 0.25,
): PartOf<'resistor'> {
  return { id, kind: 'resistor', pins: { a, b }, params: { ohms, tolerance, watts } };
}

export function lampPart(id: string, anode: string, cathode: string, lamp: LampFigures): PartOf<'led'> {
  const { vf, at, n, rs, vfLow, vfHigh, maxAmps } = lamp;
  return { id, kind: 'led', pins: { anode, cathode }, params: { vf, at, n, rs, vfLow, vfHigh, maxAmps } };
}

export function circuitFrom(parts: readonly Part[]): Circuit {
  return { title: '', ground: MINUS, parts, checks: [] };
}

/** The same circuit off the same supply at another age. */
export function atAge(circuit: Circuit, choice: SourceChoice, age: Age): Circuit {
  const source = sourceOf(circuit);
  const { params } = supplyPart(choice, age);
  return source ? withPart(circuit, source.id, (part) => ({ ...part, params }) as Part) : circuit;
}

/** The sort of lamp that each LED of a circuit is. */
export type LampSorts = Readonly<Record<string, LampType>>;
