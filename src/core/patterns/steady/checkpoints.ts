import { isKind, type Circuit, type ThingKind } from '../../circuit/circuit';
import type { Checkpoint, Held } from '../../observe/checkpoint';
import { sourceOf } from '../../circuit/source';
import { closedBy } from '../../observe/held';

/** So many resistors are measured one by one; of larger panels the first of every batch. */
const RESISTORS_MOST = 8;
/** Lamps are measured one by one where there are few. */
const LAMPS_MOST = 4;

/**
 * Where a beginner reaches with two probes: the pack under load, every resistor (its volts tell its branch's
 * current), the lamps where there are few, and the current of everything in the supply's red lead. Buttons are held,
 * and knobs stand where the lesson wants them.
 */
export function steadyCheckpoints(circuit: Circuit, batch = 1): Checkpoint[] {
  const resistors = circuit.parts.filter((part) => isKind(part, 'resistor'));
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  const step = Math.max(batch, Math.ceil(resistors.length / RESISTORS_MOST));
  const measured = resistors.length > RESISTORS_MOST ? resistors.filter((_, i) => i % step === 0) : resistors;
  const supply = sourceOf(circuit)!;
  const held = asDrawn(circuit);
  const across = (id: string, part: string, kind: ThingKind, from: string, to: string): Checkpoint => ({
    id,
    part,
    kind,
    measure: 'volts',
    from: { part, pin: from },
    to: { part, pin: to },
    ...held,
  });
  return [
    across('pack', supply.id, supply.kind, 'plus', 'minus'),
    ...measured.map(({ id }) => across(id, id, 'resistor', 'a', 'b')),
    ...(lamps.length <= LAMPS_MOST ? lamps.map(({ id }) => across(id, id, 'led', 'anode', 'cathode')) : []),
    {
      id: 'current',
      part: supply.id,
      kind: supply.kind,
      measure: 'amps',
      gap: { part: supply.id, pin: 'plus' },
      ...held,
    },
  ];
}

/** Buttons held and knobs as the circuit is drawn. */
function asDrawn(circuit: Circuit): { held?: Held } {
  const held: Record<string, Held[string]> = {};
  for (const part of circuit.parts) {
    if (isKind(part, 'switch')) held[part.id] = part.params.closed ? closedBy(part) : 'open';
    if (isKind(part, 'potentiometer')) held[part.id] = part.params.position;
  }
  return Object.keys(held).length ? { held } : {};
}

/** What shows most: buttons held, and knobs where they leave the least ohms between the ends that are used. */
export function heldToShow(circuit: Circuit): Held {
  const held: Record<string, Held[string]> = {};
  for (const part of circuit.parts) {
    if (isKind(part, 'switch')) held[part.id] = closedBy(part);
    if (isKind(part, 'potentiometer')) held[part.id] = part.pins['wiper'] === part.pins['a'] ? 1 : 0;
  }
  return held;
}
