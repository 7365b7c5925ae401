import type { Compiled, Placed } from '../circuit/compile';
import { deviceOf } from '../circuit/compile';

/** What one part does: volts first pin over second, amps into the first pin, watts taken up. */
export interface PartReport {
  readonly volts: number;
  readonly amps: number;
  readonly watts: number;
  readonly pins: Readonly<Record<string, number>>;
}

export interface Solution {
  readonly nodes: Readonly<Record<string, number>>;
  readonly parts: Readonly<Record<string, PartReport>>;
}

/** Reads the solved equations back into named figures. */
export function readSolution(compiled: Compiled): Solution {
  const { equations, nodes, placed, circuit } = compiled;
  const volts = nodes.map((name, i): [string, number] => [name, equations.x[i]!]);
  return {
    nodes: Object.fromEntries([[circuit.ground, 0], ...volts]),
    parts: Object.fromEntries(placed.map((p) => [p.part.id, partReport(compiled, p)])),
  };
}

function partReport(compiled: Compiled, placed: Placed): PartReport {
  const { x } = compiled.equations;
  const pins = deviceOf(placed.part).pins;
  const amps = new Float64Array(pins.length);
  placed.instance.currents(x, amps);
  const at = (pin: number) => x[placed.nodes[pin]!]!;
  return {
    volts: at(0) - at(1),
    amps: amps[0]!,
    watts: pins.reduce((sum, _, i) => sum + at(i) * amps[i]!, 0),
    pins: Object.fromEntries(pins.map((pin, i) => [pin, amps[i]!])),
  };
}
