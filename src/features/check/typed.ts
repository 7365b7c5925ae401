import {
  columnUnit,
  implausible,
  measuredAt,
  noteReading,
  type Noted,
  type SessionExpectation,
} from '@/core';
import { sentences } from '@/messages/findings';
import type { Refused } from './bench';

/** A rate or a time so many times the expected one is a slip of the pen. */
const FAR = 30;

/**
 * What was typed at a checkpoint, as a figure; or why it is not taken.
 *
 * @param sure it is meant, however far off it looks
 */
export function figureTyped(
  { expected, dictionary, limits }: SessionExpectation,
  point: string,
  typed: string,
  sure: boolean,
): Pick<Noted, 'value' | 'step'> | Refused {
  const band = expected.points.find((p) => p.id === point);
  const judged = dictionary.points.find(({ id }) => id === point);
  // A prediction has no checkpoint; it is of the current.
  const measured = judged ? measuredAt(judged) : 'amps';
  const noted = noteReading(typed, measured);
  if (!noted.ok) return { typed, message: sentences(noted.findings) };
  const { value } = noted.value;
  const limit = measured === 'amps' || measured === 'volts' ? limits[measured] : FAR * (band?.typical ?? 1);
  const doubt = sure || !band ? undefined : implausible(typed, value, limit, band);
  if (doubt?.code !== 'reading-implausible') return noted.value;
  const { scale } = columnUnit(band?.unit ?? 'A');
  const perhaps = String(Number((doubt.data.perhaps / scale).toPrecision(6)));
  return { typed, message: sentences([doubt]), perhaps };
}
