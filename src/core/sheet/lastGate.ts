import { measuredAt } from '../checking/dictionary';
import type { Gate, GateReading, Isolation, Step } from '../assembly/step';
import type { Expectation, Expected } from '../checking/expected';

/**
 * The steps with the figures of the last gate as the checks have them, so that one band stands on card and check sheet. A
 * reading before that which has no band of its own spreads by the same shares as at its check.
 */
export function asChecked(steps: readonly Step[], expected: Expectation): Step[] {
  return steps.map((step): Step => {
    if (step.action === 'isolate') return { ...step, isolation: spreadAs(step.isolation, expected) };
    if ((step.action !== 'gate' && step.action !== 'block-gate') || !step.gate.power) return step;
    return { ...step, gate: checkedGate(step.gate, expected, step.action === 'gate') };
  });
}

/** Each half by itself, with bands: its parts are those of the finished build. */
export function spreadAs(isolation: Isolation, expected: Expectation): Isolation {
  const parkings = isolation.parkings.map((parking) => ({
    ...parking,
    gate: checkedGate(parking.gate, expected, false),
  }));
  return { ...isolation, parkings };
}

function checkedGate(gate: Gate, { points }: Expectation, last: boolean): Gate {
  const readings = gate.readings.map((reading): GateReading => {
    const held = { ...gate.held, ...reading.pins };
    const check =
      points.find(({ point }) => point.part === reading.part && isOf(point, reading, held)) ??
      // A rate hangs on what sets it, whichever lamp shows it.
      (last || reading.measure !== 'hertz'
        ? undefined
        : points.find(({ point }) => isOf(point, reading, held)));
    if (!check || (!last && reading.high > reading.low)) return reading;
    const share = last ? 1 : reading.typical / Math.abs(check.typical);
    const [typical, low, high] = [check.typical * share, check.low * share, check.high * share];
    return typical < 0
      ? { ...reading, typical: -typical, low: -high, high: -low }
      : { ...reading, typical, low, high };
  });
  return { ...gate, readings };
}

/** Whether a check takes what a stop of the card takes, with the same hands. */
function isOf(point: Expected['point'], { measure }: GateReading, held: object): boolean {
  return (
    !('by' in point && point.by === 'low') &&
    measuredAt(point) === (measure === 'meanVolts' ? 'volts' : measure) &&
    sameHands(point.held ?? {}, held)
  );
}

function sameHands(one: object, other: object): boolean {
  const sorted = (held: object) => JSON.stringify(Object.entries(held).sort(([a], [b]) => (a < b ? -1 : 1)));
  return sorted(one) === sorted(other);
}
