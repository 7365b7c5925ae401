import { useState } from 'react';
import type { SessionExpectation } from '@/core';
import { issueSentence } from '@/messages/issues';
import type { NewReading, Reading } from '@/server/repositories/readings';
import { newKey } from '@/ui/newKey';
import type { Bench } from './bench';
import { standingAt } from './counting';
import type { Keeping } from './keeping';
import { READING_FIELDS, readingSchema } from './reading';
import { figureTyped } from './typed';

interface How {
  /** It is meant, however far off it looks. */
  readonly sure?: boolean;
  readonly meter?: string;
}

interface EntryProps {
  readonly sessionId: number;
  readonly keeping: Keeping;
  readonly again: 'retest' | 'correction';
  readonly helper: string;
  judgedBy(studentId: number): SessionExpectation;
  nameOf(point: string): string;
  /** What was done, in a sentence. */
  onSaid(words: string): void;
}

/** What happens to figures of a grid: taken or refused, taken back and put back, moved to another bench. */
export function useEntry({ sessionId, keeping, again, helper, judgedBy, nameOf, onSaid }: EntryProps) {
  const [lastTaken, setLastTaken] = useState<Reading>();
  const standing = (studentId: number, point: string) =>
    standingAt(
      keeping.all.filter((r) => r.studentId === studentId),
      point,
    );
  const now = () => ({
    takenBy: helper.trim().slice(0, 30),
    takenAt: new Date().toISOString(),
    entryKey: newKey(),
  });
  const settle = (studentId: number, point: string) => {
    keeping.refuse(`${studentId} ${point}`, undefined);
    keeping.settle(studentId, point);
  };
  const kindAt = (studentId: number, point: string) =>
    standing(studentId, point).length > 0 ? again : ('first' as const);
  const take = (student: Bench, point: string, typed: string, { sure = false, meter }: How = {}): void => {
    const key = `${student.id} ${point}`;
    const own = judgedBy(student.id);
    const figure = figureTyped(own, point, typed, sure);
    if ('message' in figure) return keeping.refuse(key, figure);
    const reading: NewReading = {
      sessionId,
      studentId: student.id,
      point,
      kind: kindAt(student.id, point),
      ...figure,
      meter: meter ?? own.meter.name,
      ...now(),
    };
    const fits = readingSchema.safeParse(reading);
    if (!fits.success)
      return keeping.refuse(key, {
        typed,
        message: issueSentence(fits.error, READING_FIELDS, 'The reading'),
      });
    settle(student.id, point);
    setLastTaken(undefined);
    onSaid('');
    keeping.send(reading);
  };
  const resend = ({ id: _id, arrivedAt: _arrived, ...reading }: Reading, change: Partial<NewReading>) =>
    keeping.send({ ...reading, ...now(), ...change });
  const takeBack = (student: Bench, point: string): Reading | undefined => {
    const newest = standing(student.id, point).at(-1);
    settle(student.id, point);
    if (!newest) return undefined;
    resend(newest, { kind: 'taken-back' });
    setLastTaken(newest);
    onSaid(`Taken back: ${newest.typed} at bench ${student.bench} ${student.nickname}, ${nameOf(point)}.`);
    return newest;
  };
  const move = (student: Bench, point: string, to: Bench) => {
    const moved = takeBack(student, point);
    if (!moved) return;
    setLastTaken(undefined);
    resend(moved, { studentId: to.id, kind: kindAt(to.id, point) });
    onSaid(
      `${moved.typed}, ${nameOf(point)}: moved from bench ${student.bench} to bench ${to.bench} ${to.nickname}.`,
    );
  };
  const putBack = () => {
    if (!lastTaken) return;
    resend(lastTaken, { kind: kindAt(lastTaken.studentId, lastTaken.point) });
    setLastTaken(undefined);
    onSaid('');
  };
  return { take, takeBack, move, putBack, settle, lastTaken };
}
