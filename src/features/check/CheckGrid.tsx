'use client';

import { useMemo, useState, type ReactNode } from 'react';
import {
  columnUnit,
  formatPlain,
  lampsIn,
  partsIn,
  type Expected,
  type JudgedBench,
  type SessionExpectation,
} from '@/core';
import { pointName } from '@/messages/points';
import { benchRead, SEEN_KEYS } from '@/messages/seen';
import { issueSentence } from '@/messages/issues';
import { newKey } from '@/ui/newKey';
import { Note } from '@/ui/Note';
import { Scroll } from '@/ui/Scroll';
import type { Bench } from './bench';
import { countingOf } from './counting';
import { READING_FIELDS, readingSchema } from './reading';
import { BenchRow } from './BenchRow';
import { FromTable } from './FromTable';
import { GridHead } from './GridHead';
import type { GridMeter, Keeping } from './keeping';
import { ClassFindings } from './ClassFindings';
import { StripChart } from './StripChart';
import { figureTyped } from './typed';
import { useHelperName } from './useHelperName';
import { useJudged } from './useJudged';

export interface CheckGridProps {
  readonly sessionId: number;
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly judged: readonly JudgedBench[];
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

interface How {
  /** It is meant, however far off it looks. */
  readonly sure?: boolean;
  readonly meter?: string;
}

/** The class grid: one row a bench, one column a checkpoint. */
export function CheckGrid(props: CheckGridProps) {
  const { sessionId, expectation, students, predicted, keeping, meter, asFound } = props;
  const { points } = expectation.expected;
  const { all, refused, refuse, mended } = keeping;
  const lamps = useMemo(() => lampsIn(expectation), [expectation]);
  const parts = useMemo(() => partsIn(expectation), [expectation]);
  const [again, setAgain] = useState<'retest' | 'correction'>('retest');
  const [column, setColumn] = useState(points.findIndex(({ point }) => point.kind === 'resistor'));
  const [helper, setHelper] = useHelperName();
  const expectations = useMemo(() => [expectation, ...(asFound?.values() ?? [])], [expectation, asFound]);
  const judgedBy = (id: number) => asFound?.get(id) ?? expectation;
  const benches = useMemo(
    () =>
      students.map(({ id }) => ({
        ...benchRead(
          countingOf(
            all.filter((r) => r.studentId === id),
            predicted,
            mended(id),
          ).filter(({ point }) => point !== predicted),
          lamps,
          parts,
        ),
        by: Math.max(0, expectations.indexOf(asFound?.get(id) ?? expectation)),
      })),
    [students, all, predicted, mended, lamps, parts, expectations, asFound, expectation],
  );
  const { judged, problem } = useJudged(expectations, benches, props.judged);

  const settle = (studentId: number, point: string) => {
    refuse(`${studentId} ${point}`, undefined);
    keeping.settle(studentId, point);
  };
  const take = (
    student: Bench,
    point: string,
    typed: string,
    { sure = false, meter: by }: How = {},
  ): boolean => {
    const key = `${student.id} ${point}`;
    const own = judgedBy(student.id);
    const figure = figureTyped(own, point, typed, sure);
    if ('message' in figure) {
      refuse(key, figure);
      return false;
    }
    const reading = {
      sessionId,
      studentId: student.id,
      point,
      kind: all.some((r) => r.studentId === student.id && r.point === point) ? again : ('first' as const),
      ...figure,
      meter: by ?? own.meter.name,
      takenBy: helper.trim().slice(0, 30),
      takenAt: new Date().toISOString(),
      entryKey: newKey(),
    };
    const fits = readingSchema.safeParse(reading);
    if (!fits.success) {
      refuse(key, { typed, message: issueSentence(fits.error, READING_FIELDS, 'The reading') });
      return false;
    }
    settle(student.id, point);
    keeping.send(reading);
    return true;
  };
  const readInto = async (student: Bench, point: string) => {
    const says = await meter!.read(student, point);
    if (!says.ok) refuse(`${student.id} ${point}`, { typed: '', message: says.message });
    else take(student, point, says.value.typed, { meter: says.value.meter, sure: true });
  };
  const strip = points[column];
  return (
    <>
      <GridHead
        live={keeping.live}
        judged={judged}
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
            countingOf(
              all.filter((r) => r.studentId === studentId),
              predicted,
              mended(studentId),
            )
              .filter((r) => r.point === point)
              .at(-1)?.typed
          }
          onEnter={(figures) => figures.forEach((one) => take(one.student, one.point, one.typed))}
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
          readings={students.flatMap((s, i) => {
            const value = benches[i]?.noted.find((n) => n.point === strip.id)?.value;
            const verdict = judged[i]?.verdicts[strip.id]?.verdict;
            return value === undefined || !verdict || asFound?.has(s.id)
              ? []
              : [{ bench: s.bench, value, verdict }];
          })}
        />
      )}
      <ClassFindings expectation={expectation} students={students} judged={judged} />
      <Scroll label="Benches and their figures">
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
              {lamps.length > 0 && (
                <th scope="col" title={`Type ok, or: ${SEEN_KEYS}.`}>
                  lamps
                  <br />
                  ok, or 2 dark
                </th>
              )}
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
                points={judgedBy(student.id).expected.points}
                judgedPoints={judgedBy(student.id).dictionary.points}
                beside={
                  props.photographed && {
                    href: `/check/${sessionId}/beside/${student.id}`,
                    taken: props.photographed.includes(student.id),
                  }
                }
                different={props.contexts?.words(student.id)}
                {...(props.contexts?.onOpen ? { onDifferent: () => props.contexts?.onOpen?.(student) } : {})}
                predicted={predicted}
                readings={all.filter((r) => r.studentId === student.id)}
                mended={mended(student.id)}
                lamps={lamps}
                found={keeping.found.filter((f) => f.studentId === student.id)}
                onFound={(bench, cause) => keeping.note(bench.id, cause, helper)}
                onNotFound={keeping.takeBack}
                judged={judged[i]}
                refused={refused}
                onTake={take}
                onRevert={(point) => settle(student.id, point)}
                onColumn={(point) => {
                  if (points.some((p) => p.id === point)) setColumn(points.findIndex((p) => p.id === point));
                  meter?.at(student, point);
                }}
                {...(meter ? { onMeter: (point: string) => void readInto(student, point) } : {})}
              />
            ))}
          </tbody>
        </table>
      </Scroll>
    </>
  );
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
