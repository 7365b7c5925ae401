import {
  meterHalfWidth,
  noteReading,
  readingAsNoted,
  type Gate,
  type GateReading,
  type MeterFigures,
  type Sheet,
} from '@/core';
import type { Advice } from './advice';
import { Refusal } from './failures';
import { measuredBy, poweredGate } from './gates';
import { givenCard } from './givenCard';
import { expectationAt } from './repositories/sessions';

/** What a student saw and read at a stop of the card. */
export interface GateSaid {
  /** Lamps that light or blink. */
  readonly lit: readonly string[];
  /** Figures as typed, by the reading's name. */
  readonly readings: Readonly<Record<string, string>>;
  /** How often this stop was tried before. */
  readonly tries: number;
}

export interface GateAdvice {
  readonly lamps: Advice;
  readonly readings: Readonly<Record<string, Advice>>;
  /** All of it is as it should be there. */
  readonly right: boolean;
}

/** Tries after which somebody is asked. */
const TRIES = 2;

/**
 * What a student is told at a stop: each figure and the lamps together are right, to be looked at again, or to be asked about.
 *
 * @param at number of the step
 * @throws Refusal where the card has no such stop any more
 */
export async function gateAdvice(
  sessionId: number,
  studentId: number,
  at: number,
  said: GateSaid,
): Promise<GateAdvice> {
  const [sheet, { meter }] = await Promise.all([givenCard(sessionId), expectationAt(sessionId, studentId)]);
  const gate = poweredGate(sheet?.steps[at]);
  if (!gate) throw new Refusal('The card was changed since: load the page again.');
  const wrong: Advice = said.tries + 1 >= TRIES ? 'ask' : 'again';
  const lamps = isSeen(gate, said.lit, sheet!.sorts) ? 'right' : wrong;
  const readings = Object.fromEntries(
    gate.readings.flatMap((reading) => {
      const typed = said.readings[reading.id]?.trim() ?? '';
      return typed === '' ? [] : [[reading.id, isWithin(reading, typed, meter) ? 'right' : wrong] as const];
    }),
  );
  return {
    lamps,
    readings,
    right: lamps === 'right' && Object.values(readings).every((advice) => advice === 'right'),
  };
}

/** Everything that lights is seen lit, and nothing else but what one may see or not: a faint glow, infrared in a camera. */
function isSeen({ lit, may }: Gate, seen: readonly string[], sorts: Sheet['sorts']): boolean {
  const shown = lit.filter((lamp) => sorts[lamp] !== 'infrared');
  return (
    shown.every((lamp) => seen.includes(lamp)) &&
    seen.every((lamp) => lit.includes(lamp) || may.includes(lamp))
  );
}

function isWithin({ measure, low, high }: GateReading, typed: string, meter: MeterFigures): boolean {
  const measured = measuredBy(measure);
  const noted = noteReading(typed, measured);
  if (!noted.ok) return false;
  const { value, step } = noted.value;
  const read = readingAsNoted(meter, measured, value, step, high);
  const half = meterHalfWidth(meter, measured, read);
  return value >= low - half && value <= high + half;
}
