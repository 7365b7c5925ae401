import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { columnUnit, formatPlain, GLANCE, type JudgedBench, type SessionExpectation } from '@/core';
import { heldWords, probeWords } from '@/messages/points';
import { capital } from '@/messages/grammar';
import type { Reading } from '@/server/repositories/readings';
import { StatusMark } from '@/ui/StatusMark';
import { Lamps } from '@/features/bench/Lamps';
import type { Bench, Refused } from './bench';
import { CauseWords } from './CauseWords';
import { Keypad, withKey } from './Keypad';
import type { Keeping } from './keeping';
import { isBuilt, presenceWords, type Presence } from './presence';
import { isSoFar, stateWords } from './stateWords';
import './oneBench.css';

/** A figure that is being typed at a bench, and the checkpoint that it is for; it stays while one looks at another bench. */
interface Draft {
  readonly chosen: string | undefined;
  readonly typed: string;
}

const NOTHING_TYPED: Draft = { chosen: undefined, typed: '' };

interface Props {
  readonly students: readonly Bench[];
  readonly lamps: readonly string[];
  readonly predicted: string;
  readonly judged: ReadonlyMap<number, JudgedBench>;
  /** Something is hot there. */
  alarmed(studentId: number): boolean;
  readonly refused: Readonly<Record<string, Refused>>;
  readonly onAttend: Keeping['attend'];
  presence(student: Bench): Presence;
  judgedBy(studentId: number): SessionExpectation;
  /** Readings of a bench that count. */
  counting(studentId: number): readonly Reading[];
  nameOf(point: string): string;
  onTake(student: Bench, point: string, typed: string): void;
  onTakeBack(student: Bench, point: string): void;
}

/** One bench on a phone: what to measure next, keys of its own, and the ways to the neighbours. */
export function OneBench(props: Props) {
  const { students, judgedBy, onAttend } = props;
  const [shown, setShown] = useState(students[0]!.id);
  const [drafts, setDrafts] = useState<Readonly<Record<number, Draft>>>({});
  // By who it is: somebody who comes late moves nobody else.
  const at = Math.max(
    0,
    students.findIndex(({ id }) => id === shown),
  );
  const student = students[at]!;
  const presence = props.presence(student);
  const judged = props.judged.get(student.id);
  const alarm = props.alarmed(student.id);
  const neighbour = (step: number) => students[at + step];
  const note = (state: 'here' | 'absent') => onAttend({ studentId: student.id, state, withStudent: null });
  const glance = props
    .counting(student.id)
    .filter(({ point }) => point === GLANCE)
    .at(-1)?.typed;
  return (
    <section className="one-bench" aria-label="One bench at a time">
      <div className="one-bench-head">
        <h2>
          {student.bench} {student.nickname}
        </h2>
        <span role="status">
          {isBuilt(presence) ? (
            <>
              <StatusMark status={judged?.state ?? 'none'} soFar={isSoFar(judged)} size={16} />{' '}
              {stateWords(judged)}
            </>
          ) : (
            presenceWords(presence)
          )}
        </span>
      </div>
      {isBuilt(presence) && (
        <>
          {alarm && <p className="strong">Power off. Nothing is measured until it is cold.</p>}
          {judged && !alarm && (
            <div className="cause-words" role="status">
              <CauseWords
                judged={judged}
                points={judgedBy(student.id).expected.points}
                judgedPoints={judgedBy(student.id).dictionary.points}
                seen={glance}
              />
            </div>
          )}
          {!alarm && (
            <Figures
              key={student.id}
              {...props}
              student={student}
              bench={judged}
              draft={drafts[student.id] ?? NOTHING_TYPED}
              onDraft={(draft) => setDrafts({ ...drafts, [student.id]: draft })}
            />
          )}
        </>
      )}
      <div className="one-bench-ways">
        {[-1, 1].map((step) => {
          const next = neighbour(step);
          return (
            <Button
              key={step}
              variant="quiet"
              disabled={!next}
              aria-label={step < 0 ? 'The bench before' : 'The next bench'}
              onClick={() => next && setShown(next.id)}
            >
              {next && (step < 0 ? `◂ ${next.bench} ${next.nickname}` : `${next.bench} ${next.nickname} ▸`)}
            </Button>
          );
        })}
        <Button variant="quiet" onClick={() => note(isBuilt(presence) ? 'absent' : 'here')}>
          {isBuilt(presence) ? 'absent' : 'here after all'}
        </Button>
      </div>
    </section>
  );
}

interface FiguresProps extends Props {
  readonly student: Bench;
  readonly bench: JudgedBench | undefined;
  readonly draft: Draft;
  onDraft(draft: Draft): void;
}

/** Where the probes go, and the keys. The checkpoint stays the same from the first key of a figure to its end. */
function Figures(props: FiguresProps) {
  const { student, bench, lamps, nameOf, refused } = props;
  const { expected, dictionary } = props.judgedBy(student.id);
  const { chosen, typed } = props.draft;
  const write = (next: Draft) => props.onDraft(next);
  const has = (point: string) => props.counting(student.id).some((reading) => reading.point === point);
  const proposed = bench?.next && !has(bench.next.point) ? bench.next.point : undefined;
  const points = [...(lamps.length > 0 ? [GLANCE] : []), ...expected.points.map(({ id }) => id)];
  const point = chosen ?? proposed ?? points.find((id) => !has(id)) ?? points[0]!;
  const band = expected.points.find(({ id }) => id === point);
  const judged = dictionary.points.find(({ id }) => id === point);
  const stands = props
    .counting(student.id)
    .filter((reading) => reading.point === point)
    .at(-1)?.typed;
  const problem = refused[`${student.id} ${point}`];
  const press = (key: string) => {
    write({ chosen: point, typed: withKey(typed, key) });
  };
  const enter = () => {
    if (typed === '') return;
    props.onTake(student, point, typed);
    write(NOTHING_TYPED);
  };
  return (
    <>
      <Form.Select
        aria-label="Checkpoint"
        value={point}
        onChange={(event) => {
          write({ chosen: event.target.value, typed: '' });
        }}
      >
        {points.map((id) => (
          <option key={id} value={id}>
            {id === proposed ? 'next: ' : ''}
            {nameOf(id)}
            {has(id) ? ' ✓' : ''}
          </option>
        ))}
      </Form.Select>
      {judged && <p className="one-bench-how">{capital(probeWords(judged))}.</p>}
      {band && (
        <p className="small-print">
          Right builds read {formatPlain(band.low, columnUnit(band.unit).scale)} to{' '}
          {formatPlain(band.high, columnUnit(band.unit).scale)} {columnUnit(band.unit).name}.
        </p>
      )}
      {stands !== undefined && (
        <p className="one-bench-stands">
          {stands} stands here.{' '}
          <Button variant="quiet" onClick={() => props.onTakeBack(student, point)}>
            Take it back
          </Button>
        </p>
      )}
      {problem && (
        <p role="status" className="problem">
          {problem.message}
        </p>
      )}
      {point === GLANCE ? (
        <Lamps
          lamps={lamps}
          held={heldWords(dictionary.looksHeld)}
          said={stands}
          onSay={(look) => {
            props.onTake(student, GLANCE, look);
            // Of several lamps one after the other is chosen.
            write({ chosen: look === 'ok' ? undefined : GLANCE, typed: '' });
            return undefined;
          }}
        />
      ) : (
        <>
          <output className="one-bench-figure" aria-label={`${nameOf(point)}, typed`}>
            {typed || ' '}
            <span>{band && columnUnit(band.unit).name}</span>
          </output>
          <Keypad onKey={press} onEnter={enter} />
        </>
      )}
    </>
  );
}
