import { isKind, type Circuit } from '../../circuit/circuit';
import type { Checkpoint } from '../pattern';

/** So many resistors are measured one by one; of larger panels the first of every batch. */
const RESISTORS_MOST = 8;
/** Lamps are measured one by one where there are few. */
const LAMPS_MOST = 4;

/**
 * Where a beginner reaches with two probes: the pack under load, every resistor (its volts tell its branch's
 * current), the lamps where there are few, and the current of everything in the supply's red lead.
 */
export function steadyCheckpoints(circuit: Circuit, batch = 1): Checkpoint[] {
  const resistors = circuit.parts.filter((part) => isKind(part, 'resistor'));
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  const step = Math.max(batch, Math.ceil(resistors.length / RESISTORS_MOST));
  const measured = resistors.length > RESISTORS_MOST ? resistors.filter((_, i) => i % step === 0) : resistors;
  return [
    across('pack', 'B1', 'plus', 'minus'),
    ...measured.map(({ id }) => across(id, id, 'a', 'b')),
    ...(lamps.length <= LAMPS_MOST ? lamps.map(({ id }) => across(id, id, 'anode', 'cathode')) : []),
    { id: 'current', part: 'B1', measure: 'amps', gap: { part: 'B1', pin: 'plus' } },
  ];
}

function across(id: string, part: string, from: string, to: string): Checkpoint {
  return { id, part, measure: 'volts', from: { part, pin: from }, to: { part, pin: to } };
}
