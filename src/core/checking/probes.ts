import { burdenFor, type MeterFigures } from '../catalogue/meter';
import { withPart, type Check, type Circuit } from '../circuit/circuit';
import type { Checkpoint } from '../patterns/pattern';

/** The circuit with the checkpoints' voltages as its checks; probes sit on the parts' own legs. */
export function withVoltChecks(circuit: Circuit, checkpoints: readonly Checkpoint[]): Circuit {
  const node = (part: string, pin: string) => {
    const found = circuit.parts.find((p) => p.id === part);
    // A part stood in for by a wire keeps its two ends under the wire's own pin names.
    return found?.pins[pin] ?? Object.values(found?.pins ?? {})[pin === 'cathode' || pin === 'b' ? 1 : 0]!;
  };
  const checks = checkpoints.flatMap((point): Check[] =>
    point.measure === 'volts'
      ? [
          {
            id: point.id,
            measure: 'volts',
            from: node(point.from.part, point.from.pin),
            to: node(point.to.part, point.to.pin),
          },
        ]
      : [],
  );
  return { ...circuit, checks };
}

export const METER_PART = 'meter';

/** The circuit with a meter of `ohms` in series at a leg, and its current as the only check. */
export function withMeterAt(
  circuit: Circuit,
  point: Extract<Checkpoint, { measure: 'amps' }>,
  ohms: number,
): Circuit {
  const gap = `${point.gap.part} lifted`;
  const part = circuit.parts.find((p) => p.id === point.gap.part)!;
  const node = part.pins[point.gap.pin]!;
  const opened = withPart(circuit, part.id, (p) => ({
    ...p,
    pins: { ...p.pins, [point.gap.pin]: gap },
  }));
  return withMeter(opened, gap, node, point.id, ohms);
}

/** The circuit with a meter of `ohms` between two nodes, and its current as the only check. */
export function withMeter(circuit: Circuit, from: string, to: string, id: string, ohms: number): Circuit {
  const params = { ohms, tolerance: 0, watts: 10 };
  return {
    ...circuit,
    parts: [...circuit.parts, { id: METER_PART, kind: 'resistor', pins: { a: from, b: to }, params }],
    checks: [{ id, measure: 'amps', part: METER_PART }],
  };
}

/** Ohms of the meter on the range that the expected current wants. */
export function meterOhms(meter: MeterFigures, expectedAmps: number): number {
  return burdenFor(meter, expectedAmps);
}
