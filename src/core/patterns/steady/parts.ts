import type { LampFigures, LampType } from '../../catalogue/lamps';
import { supplyFigures, type Age, type SupplyChoice } from '../../catalogue/supplies';
import { isKind, type Circuit, type Part, type PartOf } from '../../circuit/circuit';
import type { Ohms, Watts } from '../../quantities/units';

export const PLUS = 'plus';
export const MINUS = 'minus';

/** The parts of steady-light circuits, complete, under the names of the lesson. */
export function supplyPart(choice: SupplyChoice, age?: Age): PartOf<'supply'> {
  const { volts, ohms, tolerance, limitAmps } = supplyFigures(choice, age);
  const params = { volts, ohms, tolerance, limitAmps };
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
export function atAge(circuit: Circuit, choice: SupplyChoice, age: Age): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) =>
      isKind(part, 'supply') ? { ...part, params: supplyPart(choice, age).params } : part,
    ),
  };
}

/** The sort of lamp that each LED of a circuit is. */
export type LampSorts = Readonly<Record<string, LampType>>;
