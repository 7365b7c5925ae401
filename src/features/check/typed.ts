import {
  columnUnit,
  countedAs,
  GLANCE,
  implausible,
  lampsIn,
  measuredAt,
  noteReading,
  partsIn,
  type Finding,
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

/** The figure alone, where its unit is another thing’s than what is read there. */
function withoutUnit(typed: string, findings: readonly Finding[]): { readonly perhaps?: string } {
  if (findings[0]?.code !== 'wrong-unit') return {};
  const figure = /^[+-]?[\d.,]+/u.exec(typed.trim())?.[0];
  return figure ? { perhaps: figure } : {};
}

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
  const judged = session.dictionary.points.find(({ id }) => id === point);
  // A prediction has no checkpoint; it is of the current.
  const measured = judged ? measuredAt(judged) : 'amps';
  const noted = noteReading(typed, measured);
  if (!noted.ok) return { typed, message: sentences(noted.findings), ...withoutUnit(typed, noted.findings) };
  const doubt = sure ? undefined : doubtAt(session, point, typed, noted.value.value);
  return doubt ? { typed, ...doubt } : { ...noted.value, typed };
}

/** Why a figure can hardly be meant as it was typed, with what perhaps was. */
function doubtAt(
  { expected, dictionary, limits }: SessionExpectation,
  point: string,
  typed: string,
  value: number,
): Omit<Refused, 'typed'> | undefined {
  const at = dictionary.points.findIndex(({ id }) => id === point);
  const band = expected.points[at];
  const judged = dictionary.points[at];
  if (!band || !judged) return undefined;
  const measured = measuredAt(judged);
  const counted = measured === 'hertz' && judged.kind !== 'speaker' && countedAs(typed, value, band.typical);
  if (counted && counted.code === 'reading-counted')
    return { message: sentences([counted]), perhaps: counted.data.perhaps };
  const limit = measured === 'amps' || measured === 'volts' ? limits[measured] : FAR * band.typical;
  const reads = dictionary.signatures.map(({ means }) => means[at]!);
  const doubt = implausible(typed, value, limit, band, reads);
  if (doubt?.code !== 'reading-implausible') return undefined;
  const perhaps = String(Number((doubt.data.perhaps / columnUnit(band.unit).scale).toPrecision(6)));
  return { message: sentences([doubt]), perhaps };
}
