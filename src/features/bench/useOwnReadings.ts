import { useState } from 'react';
import { GLANCE, noteReading, standingReadings } from '@/core';
import { readSeen, seenText } from '@/messages/seen';
import { sentences } from '@/messages/findings';
import { useOutbox } from '@/features/check/useOutbox';
import { READING_MOST } from '@/features/check/reading';
import type { OwnBench } from '@/server/ownBench';
import type { Reading } from '@/server/repositories/readings';
import { newKey } from '@/ui/newKey';

export interface OwnReadings {
  /** What was entered at a checkpoint, newest last. */
  at(point: string): readonly string[];
  /** Takes back the newest reading at a checkpoint. */
  takeBack(point: string): void;
  /** @returns why it is not taken, or nothing */
  enter(point: string, typed: string): string | undefined;
  readonly waiting: number;
  readonly problem: string;
}

/** Readings of one bench: kept in this browser until the program has them, each sent once. */
export function useOwnReadings(own: OwnBench, onKept: () => void): OwnReadings {
  const [taken, setTaken] = useState<readonly Reading[]>(own.readings);
  const [refused, setRefused] = useState('');
  const outbox = useOutbox(own.sessionId, {
    onKept: (reading) => {
      setTaken((before) => [...before.filter((r) => r.id !== reading.id), reading]);
      setRefused('');
      onKept();
    },
    onRefused: (_reading, message) => setRefused(message),
  });
  const mine = outbox.waiting.filter((r) => r.studentId === own.studentId);
  const at = (point: string) => standingReadings([...taken, ...mine].filter((r) => r.point === point));
  const typedAt = (point: string) => at(point).map(({ typed }) => typed);
  const enter = (point: string, typed: string): string | undefined => {
    const figure = figureOf(own, point, typed.trim());
    if ('message' in figure) return figure.message;
    outbox.send({
      sessionId: own.sessionId,
      studentId: own.studentId,
      point,
      kind: at(point).length > 0 ? 'retest' : 'first',
      ...figure,
      meter: own.meter,
      takenBy: 'student',
      takenAt: new Date().toISOString(),
      entryKey: newKey(),
    });
    return undefined;
  };
  const takeBack = (point: string) => {
    const newest = at(point).at(-1);
    if (!newest) return;
    const { sessionId, studentId, value, step, typed } = newest;
    outbox.send({
      sessionId,
      studentId,
      point,
      value,
      step,
      typed,
      kind: 'taken-back',
      meter: own.meter,
      takenBy: 'student',
      takenAt: new Date().toISOString(),
      entryKey: newKey(),
    });
  };
  return { at: typedAt, takeBack, enter, waiting: mine.length, problem: outbox.problem || refused };
}

type Figure = { readonly value: number; readonly step: number; readonly typed: string };

function figureOf(own: OwnBench, point: string, typed: string): Figure | { readonly message: string } {
  if (point === GLANCE) {
    const seen = readSeen(typed, own.lamps);
    if ('message' in seen) return seen;
    const odd = seen.looks.filter(({ word }) => word !== 'as-planned').length;
    return { value: odd, step: 0, typed: seenText(seen.looks) };
  }
  const measured = own.points.find(({ id }) => id === point)?.measured ?? 'amps';
  const noted = noteReading(typed, measured);
  if (!noted.ok) return { message: sentences(noted.findings) };
  if (Math.abs(noted.value.value) > READING_MOST)
    return { message: `${typed} is more than any meter shows.` };
  return { ...noted.value, typed };
}
