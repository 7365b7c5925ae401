/** `first` at a checkpoint, `correction` of a figure misread or mistyped, `retest` after something was changed, and a note that one is taken back. */
export const READING_KINDS = ['first', 'correction', 'retest', 'taken-back'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

/** The checkpoint under which a student's own guess is kept; it is shown, never judged. */
export const PREDICTED = 'predicted';

interface Kept {
  readonly point: string;
  readonly typed: string;
  readonly kind: ReadingKind;
}

/**
 * Readings without those that were taken back, and without the notes that take them back. A note takes back the newest
 * reading of its checkpoint that stands and has the same text; where there is none any more it does nothing.
 *
 * @param readings of one bench, oldest first
 */
export function standingReadings<R extends Kept>(readings: readonly R[]): readonly R[] {
  if (!readings.some(({ kind }) => kind === 'taken-back')) return readings;
  const standing: R[] = [];
  for (const reading of readings) {
    if (reading.kind !== 'taken-back') standing.push(reading);
    else {
      const same = standing.filter(({ point, typed }) => point === reading.point && typed === reading.typed);
      const newest = same[same.length - 1];
      if (newest) standing.splice(standing.indexOf(newest), 1);
    }
  }
  return standing;
}

/**
 * The readings of a bench that speak of the build as it is now: none that was taken back, and none from before something
 * was mended, once anything has been read since.
 *
 * @param readings of one bench, oldest first, without its prediction
 * @param after number of the last reading before it was mended; 0 where nothing was. Numbers below 0 are on their way.
 */
export function countingReadings<R extends Kept & { readonly id: number }>(
  readings: readonly R[],
  after: number,
): readonly R[] {
  const standing = standingReadings(readings);
  const since = standing.filter(({ id }) => id > after || id < 0);
  return since.length > 0 ? since : standing;
}
