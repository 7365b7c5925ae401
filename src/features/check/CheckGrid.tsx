'use client';

import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  columnUnit,
  measuredAt,
  formatPlain,
  implausible,
  noteReading,
  type Expected,
  type JudgedBench,
  type Noted,
  type SessionExpectation,
} from '@/core';
import { sentences } from '@/messages/findings';
import { pointName } from '@/messages/points';
import type { Reading } from '@/server/repositories/readings';
import { Note } from '@/ui/Note';
import { StatusMark, STATUS_WORDS, type Status } from '@/ui/StatusMark';
import type { Bench, Refused } from './bench';
import { BenchRow } from './BenchRow';
import { Renewal } from './Renewal';
import { StripChart } from './StripChart';
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
  const outbox = useOutbox(sessionId, (reading, entryKey) =>
    setTaken((before) =>
      [...before.filter((r) => r.id !== localId(entryKey) && r.id !== reading.id), reading].sort(
        (a, b) => order(a) - order(b),
      ),
    ),
  );
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
  const take = (student: Bench, point: string, typed: string, sure = false): boolean => {
    const key = `${student.id} ${point}`;
    const band = points.find((p) => p.id === point);
    const judged = expectation.dictionary.points.find(({ id }) => id === point);
    const measured = point === predicted || !judged ? 'amps' : measuredAt(judged);
    const noted = noteReading(typed, measured);
    if (!noted.ok) {
      setProblem(key, { typed, message: sentences(noted.findings) });
      return false;
    }
    const { value, step } = noted.value;
    const limit =
      measured === 'amps' || measured === 'volts' ? expectation.limits[measured] : FAR * (band?.typical ?? 1);
    const doubt = sure || !band ? undefined : implausible(typed, value, limit, band);
    if (doubt?.code === 'reading-implausible') {
      const perhaps = String(
        Number((doubt.data.perhaps / columnUnit(band?.unit ?? 'A').scale).toPrecision(6)),
      );
      setProblem(key, { typed, message: sentences([doubt]), perhaps });
      return false;
    }
    setProblem(key, undefined);
    const earlier = all.some((r) => r.studentId === student.id && r.point === point);
    outbox.send({
      sessionId,
      studentId: student.id,
      point,
      kind: earlier ? again : 'first',
      value,
      step,
      typed,
      meter: expectation.meter.name,
      takenBy: helper.trim().slice(0, 30),
      takenAt: new Date().toISOString(),
      entryKey: crypto.randomUUID(),
    });
    return true;
  };
  const strip = points[column];
  return (
    <>
      <GridHead judged={judged} again={again} onAgain={setAgain} helper={helper} onHelper={setHelper} />
      <Renewal sessionId={sessionId} outdated={props.outdated} renewed={props.renewed} />
      {outbox.problem && (
        <Note kind="refusal" live>
          {outbox.waiting.length} {outbox.waiting.length === 1 ? 'reading is' : 'readings are'} kept in this
          browser only. {outbox.problem}{' '}
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
                onRevert={(point) => setProblem(`${student.id} ${point}`, undefined)}
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

/** A rate or a time so many times the expected one is a slip of the pen. */
const FAR = 30;

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
