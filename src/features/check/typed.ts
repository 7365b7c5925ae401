import {
  columnUnit,
  GLANCE,
  implausible,
  lampsIn,
  measuredAt,
  noteReading,
  partsIn,
  type Noted,
  type SessionExpectation,
} from '@/core';
import { sentences } from '@/messages/findings';
import { readSeen, seenText } from '@/messages/seen';
import type { Refused } from './bench';

/** A rate or a time so many times the expected one is a slip of the pen. */
const FAR = 30;

/** A figure that is taken, and the text by which it is kept. */
export type Figure = Pick<Noted, 'value' | 'step'> & { readonly typed: string };

/** A glance at the lamps: how many do not look as planned. */
function glanceTyped(session: SessionExpectation, typed: string): Figure | Refused {
  const read = readSeen(typed, lampsIn(session), partsIn(session));
  if ('message' in read) return { typed, message: read.message };
  const odd = read.looks.filter(({ word }) => word !== 'as-planned').length;
  return { typed: seenText(read.looks), value: odd, step: 0 };
}

/**
 * What was typed at a checkpoint, as a figure; or why it is not taken.
 *
 * @param sure it is meant, however far off it looks
 */
export function figureTyped(
  session: SessionExpectation,
  point: string,
  typed: string,
  sure: boolean,
): Figure | Refused {
  if (point === GLANCE) return glanceTyped(session, typed);
  const { expected, dictionary, limits } = session;
  const band = expected.points.find((p) => p.id === point);
  const judged = dictionary.points.find(({ id }) => id === point);
  // A prediction has no checkpoint; it is of the current.
  const measured = judged ? measuredAt(judged) : 'amps';
  const noted = noteReading(typed, measured);
  if (!noted.ok) return { typed, message: sentences(noted.findings) };
  const { value } = noted.value;
  const limit = measured === 'amps' || measured === 'volts' ? limits[measured] : FAR * (band?.typical ?? 1);
  const doubt = sure || !band ? undefined : implausible(typed, value, limit, band);
  if (doubt?.code !== 'reading-implausible') return { ...noted.value, typed };
  const { scale } = columnUnit(band?.unit ?? 'A');
  const perhaps = String(Number((doubt.data.perhaps / scale).toPrecision(6)));
  return { typed, message: sentences([doubt]), perhaps };
}
