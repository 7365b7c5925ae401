import { measuredAt } from '../checking/dictionary';
import type { Step } from '../assembly/step';
import type { Expectation } from '../checking/expected';

/**
 * The steps with the figures of the last gate as the checks have them, so that one band stands on card and check sheet. A
 * reading before that which has no band of its own spreads by the same shares as at its check.
 */
export function asChecked(steps: readonly Step[], { points }: Expectation): Step[] {
  return steps.map((step): Step => {
    if ((step.action !== 'gate' && step.action !== 'block-gate') || !step.gate.power) return step;
    const last = step.action === 'gate';
    const readings = step.gate.readings.map((reading) => {
      const check = points.find(
        ({ point }) =>
          point.part === reading.part &&
          !('by' in point && point.by === 'low') &&
          measuredAt(point) === (reading.measure === 'meanVolts' ? 'volts' : reading.measure) &&
          sameHands(point.held ?? {}, { ...step.gate.held, ...reading.pins }),
      );
      if (!check || (!last && reading.high > reading.low)) return reading;
      const share = last ? 1 : reading.typical / Math.abs(check.typical);
      const [typical, low, high] = [check.typical, check.low, check.high].map((figure) => figure * share) as [
        number,
        number,
        number,
      ];
      return typical < 0
        ? { ...reading, typical: -typical, low: -high, high: -low }
        : { ...reading, typical, low, high };
    });
    return { ...step, gate: { ...step.gate, readings } };
  });
}

function sameHands(one: object, other: object): boolean {
  const sorted = (held: object) => JSON.stringify(Object.entries(held).sort(([a], [b]) => (a < b ? -1 : 1)));
  return sorted(one) === sorted(other);
}
