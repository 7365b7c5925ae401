'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { SessionExpectation } from '@/core';
import { contextWords } from '@/messages/context';
import type { Attendance } from '@/server/repositories/attendance';
import type { Reading } from '@/server/repositories/readings';
import { heard } from '@/ui/heard';
import { Note } from '@/ui/Note';
import { readMeterAt } from './actions';
import type { Bench } from './bench';
import { BenchContextForm, type KnownContext } from './BenchContextForm';
import { CheckGrid, type CheckGridProps } from './CheckGrid';
import type { GridMeter, Keeping } from './keeping';
import { Renewal } from './Renewal';
import { useAttendance } from './useAttendance';
import { useFound, type Found } from './useFound';
import { useReadings } from './useReadings';
import { useRefused } from './useRefused';

export interface CheckSessionProps extends Omit<
  CheckGridProps,
  'keeping' | 'meter' | 'notes' | 'asFound' | 'contexts'
> {
  /** What is different on some benches, by student, with what they are judged by. */
  readonly different?: readonly Different[];
  /** Who looks may say what is different on a bench. */
  readonly mayDiffer?: boolean;
  readonly readings: readonly Reading[];
  readonly attendance: readonly Attendance[];
  /** Tag of who is in the session: when another is heard of, the page is loaded anew. */
  readonly roster: string;
  readonly outdated: boolean;
  /** By what the benches are judged in this page, as a word. */
  readonly judgedBy: string;
  readonly renewed: boolean;
  /** What was really found wrong, in words, by bench. */
  readonly found: readonly Found[];
  /** Where a meter listens that can be read into the cells. */
  readonly meterAt?: string | undefined;
}

interface Different extends KnownContext {
  readonly studentId: number;
  readonly expectation?: SessionExpectation | undefined;
}

/** The grid of a session of the house: what is typed is kept, and follows what others type. */
export function CheckSession(props: CheckSessionProps) {
  const {
    readings,
    outdated,
    renewed,
    judgedBy,
    found,
    attendance,
    roster,
    meterAt,
    different = NONE,
    mayDiffer = false,
    ...grid
  } = props;
  const { sessionId, expectation } = grid;
  const router = useRouter();
  const [differs, setDiffers] = useState<Bench>();
  const [judgedNow, setJudgedNow] = useState(props.judgedBy);
  const asFound = useMemo(
    () =>
      new Map(
        different.flatMap(({ studentId, expectation: own }) => (own ? [[studentId, own] as const] : [])),
      ),
    [different],
  );
  const at = (id: number) => different.find(({ studentId }) => studentId === id);
  const contexts = {
    words: (id: number) => wordsOf(at(id)),
    onOpen: mayDiffer ? setDiffers : undefined,
  };
  const refused = useRefused();
  const faults = useFound(sessionId, found);
  const there = useAttendance(sessionId, attendance);
  const { all, live, outbox } = useReadings(
    sessionId,
    readings,
    ({ studentId, point, typed }, message) => refused.refuse(`${studentId} ${point}`, { typed, message }),
    faults.follow,
    {
      onJudgedBy: setJudgedNow,
      onAttendance: there.follow,
      onRoster: (tag) => {
        if (tag !== roster) router.refresh();
      },
    },
  );
  const keeping: Keeping = {
    ...refused,
    all,
    live,
    send: outbox.send,
    settle: outbox.settle,
    found: faults.found,
    attendance: there.attendance,
    attend: (noted) => void there.attend(noted),
    // What it was found by is kept before it, so that it is not taken for a reading of the mended bench.
    note: (studentId, cause, by, words) =>
      void outbox.retry().then(() => faults.note(studentId, cause, by, words)),
    takeBack: (id) => void faults.takeBack(id),
    mended: (id) => Math.max(0, ...faults.found.filter((f) => f.studentId === id).map((f) => f.after)),
  };
  const meter: GridMeter | undefined = meterAt
    ? { read: (_bench, point) => heard(readMeterAt(sessionId, point)), at: () => undefined }
    : undefined;
  const notes = (
    <>
      {meterAt && (
        <p className="small-print">
          Hold the probes where the column says and press <kbd>r</kbd> in the cell: the figure of the meter at{' '}
          {meterAt} drops in.
        </p>
      )}
      <Renewal sessionId={sessionId} outdated={outdated} renewed={renewed} />
      {judgedNow !== judgedBy && (
        <Note live>
          What benches are judged by has changed; the bands and verdicts here are from before.{' '}
          <Button variant="text" className="btn-text" onClick={() => router.refresh()}>
            Take in what is new
          </Button>
        </Note>
      )}
      {outbox.problem && (
        <Note kind="refusal" live>
          {outbox.waiting.length} {outbox.waiting.length === 1 ? 'reading is' : 'readings are'} kept in this{' '}
          {outbox.unkept
            ? 'page only: this browser’s own store is full or blocked, so leave the page open'
            : 'browser only'}
          . {outbox.problem}{' '}
          <Button variant="text" className="btn-text" onClick={() => void outbox.retry()}>
            Send again
          </Button>
        </Note>
      )}
      {[faults.problem, there.problem].map(
        (problem) =>
          problem && (
            <Note key={problem} kind="refusal" live>
              {problem}
            </Note>
          ),
      )}
    </>
  );
  return (
    <>
      <CheckGrid
        {...grid}
        keeping={keeping}
        meter={meter}
        notes={notes}
        asFound={asFound}
        contexts={contexts}
      />
      {differs && mayDiffer && (
        <BenchContextForm
          sessionId={sessionId}
          student={differs}
          known={at(differs.id)}
          meter={expectation.meter}
          onHide={() => setDiffers(undefined)}
        />
      )}
    </>
  );
}

const NONE: readonly Different[] = [];

function wordsOf(known: KnownContext | undefined): string {
  const words = known ? contextWords(known.context) : '';
  return words && !known!.counts ? `${words} (does not count now)` : words;
}
