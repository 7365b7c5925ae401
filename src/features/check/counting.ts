import { countingReadings, standingReadings } from '@/core';
import type { Reading } from '@/server/repositories/readings';

/**
 * Of one student's readings those that count: nothing that was taken back, nor read before the bench was mended. A guess always does.
 *
 * @param predicted the checkpoint under which guesses are kept
 * @param mended number of the last reading before something was mended
 */
export function countingOf(own: readonly Reading[], predicted: string, mended: number): readonly Reading[] {
  const isGuess = ({ point }: Reading) => point === predicted;
  return [
    ...standingReadings(own.filter(isGuess)),
    ...countingReadings(
      own.filter((reading) => !isGuess(reading)),
      mended,
    ),
  ];
}

/** Readings of one checkpoint that were not taken back, oldest first. */
export function standingAt(own: readonly Reading[], point: string): readonly Reading[] {
  return standingReadings(own.filter((reading) => reading.point === point));
}
