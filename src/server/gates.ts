import { idsOf, isKind, type Gate, type GateReading, type Measured, type Sheet, type Step } from '@/core';

/** The gate of a step at which power shows something; of the others nothing is asked. */
export function poweredGate(step: Step | undefined): Gate | undefined {
  if (step?.action !== 'block-gate' && !(step?.action === 'gate' && step.at === 'after-power'))
    return undefined;
  return step.gate.power && !step.gate.erratic ? step.gate : undefined;
}

/** Lamps that are on the board at a step. */
export function lampsBy({ steps, circuit }: Pick<Sheet, 'steps' | 'circuit'>, at: number): string[] {
  const there = new Set(steps.slice(0, at + 1).flatMap(idsOf));
  return circuit.parts.flatMap((part) =>
    isKind(part, 'led') && (there.has(part.id) || (part.body !== undefined && there.has(part.body.id)))
      ? [part.id]
      : [],
  );
}

export function measuredBy(measure: GateReading['measure']): Measured {
  return measure === 'meanVolts' ? 'volts' : measure;
}
