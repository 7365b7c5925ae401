import type { Compiled, Placed } from '../circuit/compile';
import { deviceOf } from '../circuit/deviceOf';
import { FIRST_PIN } from '../devices/device';

/** What one part does: volts first pin over second, amps into the first pin (or as its kind reads), watts taken up. */
export interface PartReport {
  readonly volts: number;
  readonly amps: number;
  readonly watts: number;
  /** Current into each pin. */
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
  const { pins, reading = FIRST_PIN } = deviceOf(placed.part);
  const amps = new Float64Array(pins.length);
  placed.instance.currents(x, amps);
  const at = (pin: number) => x[placed.nodes[pin]!]!;
  const wired = pins.flatMap((name, pin) => (placed.nodes[pin]! < 0 ? [] : [{ name, pin }]));
  return {
    volts: at(reading.volts[0]) - at(reading.volts[1]),
    amps: reading.sense * amps[reading.pin]!,
    watts: wired.reduce((sum, { pin }) => sum + at(pin) * amps[pin]!, 0),
    pins: Object.fromEntries(wired.map(({ name, pin }) => [name, amps[pin]!])),
  };
}

/** Reads the amps of a part off the equations as they stand, without making anything. */
export function ampsReader(compiled: Compiled, placed: Placed): () => number {
  const { x } = compiled.equations;
  const { reading = FIRST_PIN } = deviceOf(placed.part);
  const pins = new Float64Array(placed.nodes.length);
  return () => {
    placed.instance.currents(x, pins);
    return reading.sense * pins[reading.pin]!;
  };
}
