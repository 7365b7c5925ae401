import { finding, type Finding } from '../findings/finding';
import type { Expectation, Expected } from './expected';

/** Of the width of a band: what quantiles of few draws and a straight line between corners may differ by. */
const SLACK = 0.05;
/** More draws than this that do not settle are no accident of the numbers. */
const LEFT_OUT_SHARE = 0.01;

/** Where the figures of an expectation contradict one another: such an error is shown and not hidden. */
export function atOdds({ points, samples, unsettled }: Expectation): Finding[] {
  const found = points.filter(isAtOdds).map(({ id, unit, typical, low, high, worstLow, worstHigh }) => {
    return finding('band-at-odds', { check: id, unit, typical, low, high, worstLow, worstHigh }, 'warning');
  });
  return unsettled > LEFT_OUT_SHARE * samples
    ? [...found, finding('draws-left-out', { unsettled, samples }, 'warning')]
    : found;
}

function isAtOdds({ typical, low, high, worstLow, worstHigh }: Expected): boolean {
  const slack = SLACK * (high - low) + 1e-6 * Math.abs(typical) + 1e-9;
  return (
    worstLow > low + slack ||
    worstHigh < high - slack ||
    typical < worstLow - slack ||
    typical > worstHigh + slack
  );
}
