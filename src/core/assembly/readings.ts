import { isKind, type Circuit } from '../circuit/circuit';
import { brightnessAt } from '../catalogue/brightness';
import { solve } from '../solver/solve';
import type { GateReading } from './step';

export interface HalfBuilt {
  readonly lit: readonly string[];
  readonly readings: readonly GateReading[];
  readonly amps: number;
}

/** What a half-built circuit shows: which lamps light, the volts across its newest resistor, the supply's current. */
export function halfBuilt(circuit: Circuit, newest: readonly string[]): HalfBuilt {
  const solved = solve(circuit);
  if (!solved.ok) return { lit: [], readings: [], amps: 0 };
  const { parts } = solved.value;
  const lit = circuit.parts.flatMap((part) => {
    if (!isKind(part, 'led')) return [];
    const looks = brightnessAt(Math.max(0, parts[part.id]!.amps), part.params.maxAmps);
    return looks === 'dark' || looks === 'barely' ? [] : [part.id];
  });
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  const amps = supply ? Math.abs(parts[supply.id]!.amps) : 0;
  const resistor = circuit.parts.find((part) => isKind(part, 'resistor') && newest.includes(part.id));
  const readings: GateReading[] = resistor
    ? [{ part: resistor.id, measure: 'volts', value: Math.abs(parts[resistor.id]!.volts) }]
    : [];
  return { lit, readings, amps };
}
