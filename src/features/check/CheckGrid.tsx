'use client';

import { useMemo, useState, type ReactNode } from 'react';
import { GLANCE, lampsIn, mistakesIn, partsIn, type JudgedBench, type SessionExpectation } from '@/core';
import { heldWords, pointName } from '@/messages/points';
import { benchRead, cooledLook, isAlarm } from '@/messages/seen';
import { Note } from '@/ui/Note';
import { Alarms } from './Alarms';
import type { Bench } from './bench';
import { BenchRow } from './BenchRow';
import { ClassFindings } from './ClassFindings';
import { countingOf, standingAt } from './counting';
import { COLUMN_END } from './focusCell';
import { FromTable } from './FromTable';
import { GridHead } from './GridHead';
import { GridTable } from './GridTable';
import type { GridMeter, Keeping } from './keeping';
import { OneBench } from './OneBench';
import { isBuilt, presenceOf } from './presence';
import { RefusedTray, type RefusedCell } from './RefusedTray';
import { StripChart } from './StripChart';
import { useEntry } from './useEntry';
import { useHelperName } from './useHelperName';
import { useJudged } from './useJudged';
import { useNarrow } from './useNarrow';

export interface CheckGridProps {
  readonly sessionId: number;
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  /** How each student's bench stood when the page was made, in their order. */
  readonly judged: readonly JudgedBench[];
  /** Students at whose benches something had changed since they were judged. */
  readonly waiting?: readonly number[];
  readonly predicted: string;
  readonly keeping: Keeping;
  /** An instrument whose readings drop into the cells. */
  readonly meter?: GridMeter | undefined;
  /** What benches are judged by on which something is different, by student. */
  readonly asFound?: ReadonlyMap<number, SessionExpectation>;
  /** What is different there, in words; and the way to say so. */
  readonly contexts?: {
    words(studentId: number): string;
    readonly onOpen?: ((student: Bench) => void) | undefined;
  };
  /** Benches of which there are pictures; left out where none may be taken. */
  readonly photographed?: readonly number[];
  /** What is to be said above the figures. */
  readonly notes?: ReactNode;
}

/** The class grid: one row a bench, one column a checkpoint; on a phone one bench at a time. */
export function CheckGrid(props: CheckGridProps) {
  const { sessionId, expectation, students, predicted, keeping, meter, asFound } = props;
  const { points } = expectation.expected;
  const { all, refused, mended } = keeping;
  const lamps = useMemo(() => lampsIn(expectation), [expectation]);
  const parts = useMemo(() => partsIn(expectation), [expectation]);
  const [again, setAgain] = useState<'retest' | 'correction'>('retest');
  const [column, setColumn] = useState(points.findIndex(({ point }) => point.kind === 'resistor'));
  const [hint, setHint] = useState('');
  /** The cell at which the probes are, of a grid with a meter. */
  const [probed, setProbed] = useState<{ readonly student: Bench; readonly point: string }>();
  const [helper, setHelper] = useHelperName();
  const narrow = useNarrow();
  const [wholeGrid, setWholeGrid] = useState(false);
  const expectations = useMemo(() => [expectation, ...(asFound?.values() ?? [])], [expectation, asFound]);
  const mistakes = useMemo(() => new Map(expectations.map((one) => [one, mistakesIn(one)])), [expectations]);
  const judgedBy = (id: number) => asFound?.get(id) ?? expectation;
  const presence = (student: Bench) => presenceOf(student, keeping.attendance, students);
  const built = useMemo(
    () => students.filter((student) => isBuilt(presenceOf(student, keeping.attendance, students))),
    [students, keeping.attendance],
  );
  const countingAt = (id: number) =>
    countingOf(
      all.filter((r) => r.studentId === id),
      predicted,
      mended(id),
    );
  const benches = useMemo(
    () =>
      students.map(({ id }) => {
        const own = all.filter((r) => r.studentId === id);
        return {
          id,
          ...benchRead(
            countingOf(own, predicted, mended(id)).filter(({ point }) => point !== predicted),
            lamps,
            parts,
          ),
          by: Math.max(0, expectations.indexOf(asFound?.get(id) ?? expectation)),
        };
      }),
    [students, all, predicted, mended, lamps, parts, expectations, asFound, expectation],
  );
  const first = new Map(students.map(({ id }, i) => [id, props.judged[i]!] as const));
  const { judged, problem } = useJudged(expectations, benches, first, props.waiting);
  const nameOf = (id: string) => {
    if (id === GLANCE) return 'lamps';
    const band = points.find((p) => p.id === id);
    return band ? pointName(band.point) : 'predicted';
  };
  const entry = useEntry({ sessionId, keeping, judgedBy, again, helper, nameOf, onSaid: setHint });
  const readInto = async (student: Bench, point: string) => {
    const says = await meter!.read(student, point);
    if (!says.ok) keeping.refuse(`${student.id} ${point}`, { typed: '', message: says.message });
    else entry.take(student, point, says.value.typed, { meter: says.value.meter, sure: true });
  };
  const looksAt = (id: number) =>
    standingAt(
      all.filter((r) => r.studentId === id),
      GLANCE,
    ).map(({ typed }) => typed);
  const alarms = built.filter(({ id }) => isAlarm(looksAt(id)));
  const isAlone = ({ id }: Bench) => keeping.attendance.every((one) => one.withStudent !== id);
  const othersOf = (student: Bench) => built.filter(({ id }) => id !== student.id);
  const refusedCells = students.flatMap((student) =>
    [predicted, GLANCE, ...points.map(({ id }) => id)].flatMap((point): RefusedCell[] => {
      const cell = refused[`${student.id} ${point}`];
      return cell ? [{ student, point, name: nameOf(point), problem: cell }] : [];
    }),
  );
  const strip = points[column];
  const common = {
    lamps,
    predicted,
    refused,
    nameOf,
    onTake: entry.take,
    onTakeBack: entry.takeBack,
    onMove: (student: Bench, point: string, to: number) =>
      entry.move(
        student,
        point,
        students.find(({ id }) => id === to)!,
      ),
  };
  const single = narrow && !wholeGrid;
  return (
    <>
      <Alarms
        benches={alarms}
        onCold={(student) => entry.take(student, GLANCE, cooledLook(looksAt(student.id)))}
      />
      {narrow && (
        <p>
          <button type="button" className="btn btn-quiet" onClick={() => setWholeGrid(!wholeGrid)}>
            {single ? 'The whole grid' : 'One bench at a time'}
          </button>
        </p>
      )}
      {single && (
        <OneBench
          {...common}
          students={students}
          presence={presence}
          onAttend={keeping.attend}
          judged={judged}
          judgedBy={judgedBy}
          alarmed={(id) => alarms.some((one) => one.id === id)}
          counting={countingAt}
        />
      )}
      <GridHead
        live={keeping.live}
        judged={built.map(({ id }) => judged.get(id) ?? NOT_YET)}
        away={students.length - built.length}
        again={again}
        onAgain={setAgain}
        helper={helper}
        onHelper={setHelper}
      >
        <FromTable
          expectation={expectation}
          students={students}
          predicted={predicted}
          again={again}
          current={(studentId, point) =>
            countingAt(studentId)
              .filter((r) => r.point === point)
              .at(-1)?.typed
          }
          onEnter={(figures) => figures.forEach((one) => entry.take(one.student, one.point, one.typed))}
        />
      </GridHead>
      {props.notes}
      {problem && (
        <Note kind="refusal" live>
          The readings are kept, but the benches could not be judged anew: {problem}
        </Note>
      )}
      {strip && (
        <StripChart
          point={strip}
          readings={built.flatMap((s) => {
            const value = benches
              .find(({ id }) => id === s.id)
              ?.noted.find((n) => n.point === strip.id)?.value;
            const verdict = judged.get(s.id)?.verdicts[strip.id];
            return value === undefined || !verdict || asFound?.has(s.id)
              ? []
              : [{ bench: s.bench, value: verdict.counted ?? value, verdict: verdict.verdict }];
          })}
        />
      )}
      <ClassFindings
        expectation={expectation}
        students={built}
        judged={built.map(({ id }) => judged.get(id) ?? NOT_YET)}
      />
      <div>
        {!single && (
          <GridTable points={points} lamps={lamps} looked={heldWords(expectation.dictionary.looksHeld)}>
            {students.map((student, i) => (
              <BenchRow
                key={student.id}
                {...common}
                row={i}
                student={student}
                presence={presence(student)}
                others={isAlone(student) ? othersOf(student) : []}
                onAttend={keeping.attend}
                points={judgedBy(student.id).expected.points}
                judgedPoints={judgedBy(student.id).dictionary.points}
                mistakes={mistakes.get(judgedBy(student.id)) ?? []}
                beside={
                  props.photographed && {
                    href: `/check/${sessionId}/beside/${student.id}`,
                    taken: props.photographed.includes(student.id),
                  }
                }
                different={props.contexts?.words(student.id)}
                {...(props.contexts?.onOpen ? { onDifferent: () => props.contexts?.onOpen?.(student) } : {})}
                readings={all.filter((r) => r.studentId === student.id)}
                mended={mended(student.id)}
                found={keeping.found.filter((f) => f.studentId === student.id)}
                onFound={(bench, cause, words) => keeping.note(bench.id, cause, helper, words)}
                onNotFound={keeping.takeBack}
                judged={judged.get(student.id)}
                onEmpty={({ bench }) =>
                  setHint(`Bench ${bench}: nothing is typed. Arrow down leaves it empty, a marks it absent.`)
                }
                onRevert={(point) => entry.settle(student.id, point)}
                onColumn={(point) => {
                  if (points.some((p) => p.id === point)) setColumn(points.findIndex((p) => p.id === point));
                  meter?.at(student, point);
                  if (points.some((p) => p.id === point)) setProbed({ student, point });
                }}
                {...(meter ? { onMeter: (point: string) => void readInto(student, point) } : {})}
              />
            ))}
          </GridTable>
        )}
        <div className="grid-foot">
          {meter && probed && (
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              onClick={() => void readInto(probed.student, probed.point)}
            >
              Read the meter: bench {probed.student.bench}, {nameOf(probed.point)} <kbd>r</kbd>
            </button>
          )}
          <p id={COLUMN_END} className="grid-hint" role="status" tabIndex={-1}>
            {hint ||
              (single
                ? ''
                : 'Enter goes to the next bench. Arrow down leaves one empty, a marks it absent, Delete takes a figure back.')}
            {entry.lastTaken && (
              <>
                {' '}
                <button type="button" className="btn btn-quiet btn-sm" onClick={entry.putBack}>
                  Put it back
                </button>
              </>
            )}
          </p>
          <RefusedTray
            cells={refusedCells}
            onTake={(cell, typed, sure) => entry.take(cell.student, cell.point, typed, { sure })}
            onLeave={(cell) => entry.settle(cell.student.id, cell.point)}
          />
        </div>
      </div>
    </>
  );
}

const NOT_YET: JudgedBench = { verdicts: {}, state: 'none' };
