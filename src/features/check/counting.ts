import { sinceMended } from '@/core';
import type { Reading } from '@/server/repositories/readings';

/**
 * Of one student's readings those that count: nothing that was read before the bench was mended. A guess always does.
 *
 * @param predicted the checkpoint under which guesses are kept
 * @param mended number of the last reading before something was mended
 */
export function countingOf(own: readonly Reading[], predicted: string, mended: number): readonly Reading[] {
  const isGuess = ({ point }: Reading) => point === predicted;
  return [
    ...own.filter(isGuess),
    ...sinceMended(
      own.filter((reading) => !isGuess(reading)),
      mended,
    ),
  ];
}
