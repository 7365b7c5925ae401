import type { Line } from '../measure';
import type { Trial } from './trial';

/** How one lesson's simulated builds were judged: counts. */
export interface Tally {
  rights: number;
  passed: number;
  failed: number;
  plainPassed: number;
  wrongs: number;
  shows: number;
  caught: number;
  plainCaught: number;
  first: number;
  three: number;
  plainFirst: number;
  plainThree: number;
  measurements: number;
  glances: number;
  points: number;
}

export function zero(): Tally {
  return {
    rights: 0,
    passed: 0,
    failed: 0,
    plainPassed: 0,
    wrongs: 0,
    shows: 0,
    caught: 0,
    plainCaught: 0,
    first: 0,
    three: 0,
    plainFirst: 0,
    plainThree: 0,
    measurements: 0,
    glances: 0,
    points: 0,
  };
}

/** Counts one build. */
export function count(
  tally: Tally,
  { build, played, plain, shows, first, three, plainFirst, plainThree }: Trial,
): void {
  const { state } = played.judged;
  tally.points++;
  tally.measurements += played.readings;
  tally.glances += played.glances;
  if (build.origin === 'right') {
    tally.rights++;
    if (state === 'right') tally.passed++;
    if (state === 'off') tally.failed++;
    if (plain.right) tally.plainPassed++;
    return;
  }
  tally.wrongs++;
  if (!shows) return;
  tally.shows++;
  const marks = {
    caught: state !== 'right',
    plainCaught: !plain.right,
    first,
    three,
    plainFirst,
    plainThree,
  };
  for (const mark of Object.keys(marks) as (keyof typeof marks)[]) if (marks[mark]) tally[mark]++;
}

export function lineOf(work: string, t: Tally): Line {
  const share = (a: number, b: number) => `${((100 * a) / Math.max(1, b)).toFixed(1)} %`;
  return {
    work: `judging of ${work}, ${t.points} builds`,
    figure: [
      `passed ${share(t.passed, t.rights)} (plain ${share(t.plainPassed, t.rights)}), failed ${share(t.failed, t.rights)}`,
      `could show ${share(t.shows, t.wrongs)}, caught ${share(t.caught, t.shows)} (${share(t.plainCaught, t.shows)})`,
      `first ${share(t.first, t.shows)} (${share(t.plainFirst, t.shows)}), in three ${share(t.three, t.shows)} (${share(t.plainThree, t.shows)})`,
      `${(t.measurements / Math.max(1, t.points)).toFixed(2)} readings and ${(t.glances / Math.max(1, t.points)).toFixed(2)} glances`,
    ].join('; '),
  };
}
