'use client';

import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  columnUnit,
  formatPlain,
  type Expected,
  type JudgedBench,
  type Noted,
  type SessionExpectation,
} from '@/core';
import { pointName } from '@/messages/points';
import type { Reading } from '@/server/repositories/readings';
import { Note } from '@/ui/Note';
import { StatusMark, STATUS_WORDS, type Status } from '@/ui/StatusMark';
import { issueSentence } from '@/messages/issues';
import { newKey } from '@/ui/newKey';
import type { Bench, Refused } from './bench';
import { READING_FIELDS, readingSchema } from './reading';
import { BenchRow } from './BenchRow';
import { Renewal } from './Renewal';
import { StripChart } from './StripChart';
import { figureTyped } from './typed';
import { useHelperName } from './useHelperName';
import { useJudged } from './useJudged';
import { useOutbox } from './useOutbox';

export interface CheckGridProps {
  readonly sessionId: number;
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly readings: readonly Reading[];
  readonly judged: readonly JudgedBench[];
  readonly predicted: string;
  readonly outdated: boolean;
  readonly renewed: boolean;
}

/** The class grid: one row a bench, one column a checkpoint. */
export function CheckGrid(props: CheckGridProps) {
  const { sessionId, expectation, students, predicted } = props;
  const { points } = expectation.expected;
  const [taken, setTaken] = useState(props.readings);
  const [refused, setRefused] = useState<Readonly<Record<string, Refused>>>({});
  const [again, setAgain] = useState<'retest' | 'correction'>('retest');
  const [column, setColumn] = useState(points.findIndex(({ point }) => point.kind === 'resistor'));
  const [helper, setHelper] = useHelperName();
  const outbox = useOutbox(sessionId, {
    onKept: (reading, entryKey) =>
      setTaken((before) =>
        [...before.filter((r) => r.id !== localId(entryKey) && r.id !== reading.id), reading].sort(
          (a, b) => order(a) - order(b),
        ),
      ),
    onRefused: ({ studentId, point, typed }, message) =>
      setProblem(`${studentId} ${point}`, { typed, message }),
  });
  const all = useMemo(() => {
    const known = new Set(taken.map((r) => r.id));
    const waiting = outbox.waiting
      .map((r) => ({ ...r, id: localId(r.entryKey) }))
      .filter((r) => !known.has(r.id));
    return [...taken, ...waiting];
  }, [taken, outbox.waiting]);
  const benches = useMemo(
    () => students.map(({ id }) => currentNoted(id, all, predicted)),
    [students, all, predicted],
  );
  const judged = useJudged(expectation, benches, props.judged);

  const setProblem = (key: string, problem: Refused | undefined) =>
    setRefused(({ [key]: _gone, ...rest }) => (problem ? { ...rest, [key]: problem } : rest));
  const settle = (studentId: number, point: string) => {
    setProblem(`${studentId} ${point}`, undefined);
    outbox.settle(studentId, point);
  };
  const take = (student: Bench, point: string, typed: string, sure = false): boolean => {
    const key = `${student.id} ${point}`;
    const figure = figureTyped(expectation, point, typed, sure);
    if ('message' in figure) {
      setProblem(key, figure);
      return false;
    }
    const reading = {
      sessionId,
      studentId: student.id,
      point,
      kind: all.some((r) => r.studentId === student.id && r.point === point) ? again : ('first' as const),
      ...figure,
      typed,
      meter: expectation.meter.name,
      takenBy: helper.trim().slice(0, 30),
      takenAt: new Date().toISOString(),
      entryKey: newKey(),
    };
    const fits = readingSchema.safeParse(reading);
    if (!fits.success) {
      setProblem(key, { typed, message: issueSentence(fits.error, READING_FIELDS, 'The reading') });
      return false;
    }
    settle(student.id, point);
    outbox.send(reading);
    return true;
  };
  const strip = points[column];
  return (
    <>
      <GridHead judged={judged} again={again} onAgain={setAgain} helper={helper} onHelper={setHelper} />
      <Renewal sessionId={sessionId} outdated={props.outdated} renewed={props.renewed} />
      {outbox.problem && (
        <Note kind="refusal" live>
          {outbox.waiting.length} {outbox.waiting.length === 1 ? 'reading is' : 'readings are'} kept in this{' '}
          {outbox.unkept
            ? 'page only: this browser’s own store is full or blocked, so leave the page open'
            : 'browser only'}
          . {outbox.problem}{' '}
          <Button variant="text" className="btn-text" onClick={outbox.retry}>
            Send again
          </Button>
        </Note>
      )}
      {strip && (
        <StripChart
          point={strip}
          readings={students.flatMap((s, i) => {
            const value = benches[i]?.find((n) => n.point === strip.id)?.value;
            const verdict = judged[i]?.verdicts[strip.id]?.verdict;
            return value === undefined || !verdict ? [] : [{ bench: s.bench, value, verdict }];
          })}
        />
      )}
      <div className="scroll-x">
        <table className="table check-grid">
          <thead>
            <tr>
              <th scope="col">bench</th>
              <th scope="col">state</th>
              <th scope="col">
                predicted
                <br />
                mA
              </th>
              {points.map((point) => (
                <ColumnHead key={point.id} point={point} />
              ))}
              <th scope="col">most likely, and what would settle it</th>
            </tr>
          </thead>
          <tbody>
            {students.map((student, i) => (
              <BenchRow
                key={student.id}
                row={i}
                student={student}
                points={points}
                judgedPoints={expectation.dictionary.points}
                predicted={predicted}
                readings={all.filter((r) => r.studentId === student.id)}
                judged={judged[i]}
                refused={refused}
                onTake={take}
                onRevert={(point) => settle(student.id, point)}
                onColumn={(point) => setColumn(points.findIndex((p) => p.id === point))}
              />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** Until the database has numbered it, a reading goes by a negative number made from its key. */
function localId(entryKey: string): number {
  return -Number.parseInt(entryKey.slice(0, 8), 16) - 1;
}

function order(reading: Reading): number {
  return reading.id < 0 ? Number.MAX_SAFE_INTEGER : reading.id;
}

function currentNoted(studentId: number, all: readonly Reading[], predicted: string): Noted[] {
  const newest = new Map<string, Noted>();
  for (const { studentId: owner, point, value, step } of all) {
    if (owner === studentId && point !== predicted) newest.set(point, { point, value, step });
  }
  return [...newest.values()];
}

function ColumnHead({ point }: { point: Expected }) {
  const { name, scale } = columnUnit(point.unit);
  return (
    <th scope="col">
      {pointName(point.point)}
      <br />
      {formatPlain(point.low, scale)} – {formatPlain(point.high, scale)} {name}
    </th>
  );
}

const STATES: readonly Status[] = ['right', 'close', 'off', 'none'];

function GridHead({
  judged,
  again,
  onAgain,
  helper,
  onHelper,
}: {
  judged: readonly JudgedBench[];
  again: 'retest' | 'correction';
  onAgain: (kind: 'retest' | 'correction') => void;
  helper: string;
  onHelper: (name: string) => void;
}) {
  return (
    <div className="grid-head">
      <Form.Group controlId="again" className="again">
        <Form.Label>A second figure in a cell is</Form.Label>
        <Form.Select
          size="sm"
          value={again}
          onChange={(event) => onAgain(event.target.value as 'retest' | 'correction')}
        >
          <option value="retest">a retest</option>
          <option value="correction">a correction</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="helper" className="again">
        <Form.Label>read by</Form.Label>
        <Form.Control
          size="sm"
          maxLength={30}
          placeholder="initials"
          value={helper}
          onChange={(event) => onHelper(event.target.value)}
        />
      </Form.Group>
      <ul className="tally" aria-label="Benches so far">
        {STATES.map((state) => (
          <li key={state}>
            <StatusMark status={state} /> <strong>{judged.filter((j) => j.state === state).length}</strong>{' '}
            {state === 'none' ? 'to come' : STATUS_WORDS[state]}
          </li>
        ))}
      </ul>
    </div>
  );
}
