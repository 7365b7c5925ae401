import { finding, type Finding } from '../findings/finding';

/** Within this ratio a figure is taken for another one. */
const NEAR = 1.3;
/** Flashes are counted for so many seconds. */
const COUNTED_SECONDS = 10;

/**
 * Whether a rate that was typed bare is rather a count in ten seconds, or the seconds from one flash to the next.
 *
 * @param typed without a unit and without seconds of its own
 * @param value as a rate, Hz
 * @param typical the rate of a right build, Hz
 * @returns a question with the text that was perhaps meant, or undefined where the figure can be a rate
 * @example countedAs('7', 7, 0.7) // { data: { typed: '7', as: 'count', perhaps: '7/10' } }
 */
export function countedAs(typed: string, value: number, typical: number): Finding | undefined {
  const figure = typed.trim();
  if (!/^\d+(?:[.,]\d+)?$/u.test(figure) || isNear(value, typical)) return undefined;
  const asked = (as: 'count' | 'period', perhaps: string) =>
    finding('reading-counted', { typed: figure, as, perhaps });
  if (isNear(value, COUNTED_SECONDS * typical)) return asked('count', `${figure}/${COUNTED_SECONDS}`);
  if (isNear(value, 1 / typical)) return asked('period', `1/${figure}`);
  return undefined;
}

function isNear(value: number, other: number): boolean {
  return value > other / NEAR && value < other * NEAR;
}
