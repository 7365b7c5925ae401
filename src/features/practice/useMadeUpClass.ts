import { useEffect, useState } from 'react';
import { causeWords } from '@/messages/causes';
import type { JudgedPoint } from '@/core';
import type { Attendance } from '@/server/repositories/attendance';
import type { NewReading, Reading } from '@/server/repositories/readings';
import { kept } from '@/ui/kept';
import type { Bench } from '../check/bench';
import type { Found } from '../check/useFound';
import type { Keeping } from '../check/keeping';
import { useRefused } from '../check/useRefused';

/** A made-up class in this browser: its number, what was read of it, and which benches have been mended. */
interface MadeUpClass {
  readonly seed: number;
  readonly readings: readonly Reading[];
  readonly found: readonly Found[];
  readonly attendance?: readonly Attendance[];
  /** Each with the last reading before it was put right. */
  readonly mended: readonly { readonly bench: number; readonly after: number }[];
}

const keyOf = (sessionId: number) => `mivvet.practice.${sessionId}`;
const FIRST: MadeUpClass = { seed: 1, readings: [], found: [], mended: [] };

/** Nothing of a made-up class is sent anywhere: it is kept in this browser until another one is made up. */
export function useMadeUpClass(
  sessionId: number,
  points: readonly JudgedPoint[],
  students: readonly Bench[],
) {
  const [now, setNow] = useState(FIRST);
  useEffect(() => {
    const before = kept.read<MadeUpClass>(keyOf(sessionId));
    if (before) queueMicrotask(() => setNow(before));
  }, [sessionId]);
  const change = (next: (before: MadeUpClass) => MadeUpClass) =>
    setNow((before) => {
      const after = next(before);
      kept.write(keyOf(sessionId), after);
      return after;
    });
  const refused = useRefused();
  const keeping: Keeping = {
    ...refused,
    all: now.readings,
    live: undefined,
    send: (reading) =>
      change((before) => ({ ...before, readings: [...before.readings, numbered(reading, before)] })),
    settle: () => undefined,
    found: now.found,
    attendance: now.attendance ?? [],
    attend: ({ studentId, state, withStudent }) =>
      change((before) => {
        const others = (before.attendance ?? []).filter((one) => one.studentId !== studentId);
        return {
          ...before,
          attendance: state === 'here' ? others : [...others, { studentId, state, withStudent }],
        };
      }),
    note: (studentId, cause, _by, words) =>
      change((before) => ({
        ...before,
        found: [
          ...before.found,
          {
            id: before.found.length + 1,
            studentId,
            words: words ?? causeWords(cause, points),
            after: before.readings.length,
          },
        ],
      })),
    mended: (studentId) => {
      const bench = students.find(({ id }) => id === studentId)?.bench;
      return now.mended.find((one) => one.bench === bench)?.after ?? 0;
    },
    takeBack: (id) => change((before) => ({ ...before, found: before.found.filter((one) => one.id !== id) })),
  };
  return {
    ...now,
    keeping,
    begin: (seed: number) => change(() => ({ ...FIRST, seed })),
    mend: (bench: number) =>
      change((before) => ({
        ...before,
        mended: [...before.mended, { bench, after: before.readings.length }],
      })),
  };
}

function numbered({ entryKey: _key, ...reading }: NewReading, { readings }: MadeUpClass): Reading {
  return { ...reading, id: readings.length + 1, arrivedAt: reading.takenAt };
}
