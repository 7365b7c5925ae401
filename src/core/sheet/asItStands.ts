import { asBuilt, type AsBuilt } from '../board/asBuilt';
import type { Plan } from '../board/plan';
import type { MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import type { Checkpoint, Shows } from '../observe/checkpoint';
import { typicalReadings } from '../observe/draws';
import { withoutSamples } from '../observe/moving';

/** A board as it stands, right or not: what it makes, and what a meter would read on it. */
export interface Standing {
  readonly built: AsBuilt;
  readonly readings: readonly StandingReading[];
}

export interface StandingReading {
  readonly id: string;
  /** Undefined where a leg that it needs is not on the board. */
  readonly value: number | undefined;
}

/** The plan read back and observed, and read at every checkpoint with the meter in the circuit. */
export function asItStands(
  plan: Plan,
  wanted: Circuit,
  points: readonly Checkpoint[],
  meter: MeterFigures,
  shows?: Shows,
): Standing {
  const built = asBuilt(plan, wanted, shows);
  return { built: lightened(built), readings: readingsOf(built, points, meter) };
}

export function readingsOf(
  { circuit, seen }: AsBuilt,
  points: readonly Checkpoint[],
  meter: MeterFigures,
): StandingReading[] {
  const values = seen ? typicalReadings(circuit, points, () => 'right', meter) : [];
  return points.map(({ id }, i) => ({ id, value: values[i] }));
}

/** A sheet is sent from place to place: what its build does moment by moment is asked for where it is shown. */
export function lightened(built: AsBuilt): AsBuilt {
  return built.seen?.kind === 'moving' ? { ...built, seen: withoutSamples(built.seen) } : built;
}
