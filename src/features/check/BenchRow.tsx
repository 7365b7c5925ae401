import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { GLANCE, glanceVerdict, type Cause, type Expected, type JudgedBench, type JudgedPoint } from '@/core';
import { pointName } from '@/messages/points';
import type { Reading } from '@/server/repositories/readings';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';
import type { Bench, Refused } from './bench';
import { BenchName, type BenchNameProps } from './BenchName';
import { CauseWords } from './CauseWords';
import { countingOf } from './counting';
import { FoundMenu, possibleCauses } from './FoundMenu';
import { ReadingCell } from './ReadingCell';
import type { Found } from './useFound';
import { Why } from './Why';

interface Props extends BenchNameProps {
  readonly row: number;
  readonly points: readonly Expected[];
  /** The same checkpoints, as causes and next measurements name them. */
  readonly judgedPoints: readonly JudgedPoint[];
  /** Lamps that one looks at; none where there are none. */
  readonly lamps: readonly string[];
  readonly predicted: string;
  readonly readings: readonly Reading[];
  /** The last reading before something was mended here; 0 where nothing was. */
  readonly mended: number;
  readonly judged: JudgedBench | undefined;
  readonly refused: Readonly<Record<string, Refused>>;
  onTake(student: Bench, point: string, typed: string, how?: { readonly sure: boolean }): boolean;
  readonly found: readonly Found[];
  onRevert(point: string): void;
  /** This cause was what was really wrong. */
  onFound(student: Bench, cause: Pick<Cause, 'code' | 'data'>): void;
  /** It was noted by a slip. */
  onNotFound(id: number): void;
  onColumn(point: string): void;
  /** The meter’s figure is to drop into the cell. */
  onMeter?(point: string): void;
}

/** One bench: its figures, how it stands, and the likeliest cause with what would settle it. */
export function BenchRow(props: Props) {
  const { row, student, points, lamps, found, predicted, readings, judged, refused } = props;
  const { onMeter } = props;
  const [why, setWhy] = useState(false);
  const state = judged?.state ?? 'none';
  const counting = countingOf(readings, predicted, props.mended);
  const glance = counting.filter((r) => r.point === GLANCE).at(-1);
  const lastFound = Math.max(0, ...found.map(({ after }) => after));
  const causes = possibleCauses(judged);
  /** What is said of the bench now is not what was found already. */
  const isAnew =
    found.length === 0 || readings.some(({ point, id }) => point !== predicted && (id > lastFound || id < 0));
  const glanced = glance && glanceVerdict(glance.value);
  const nameOf = (id: string) => {
    if (id === GLANCE) return 'lamps';
    const band = points.find((p) => p.id === id);
    return band ? pointName(band.point) : 'predicted';
  };
  const seen = lamps.length > 0 ? [GLANCE] : [];
  const open = [predicted, ...seen, ...points.map((p) => p.id)].flatMap((point) => {
    const problem = refused[`${student.id} ${point}`];
    return problem ? [{ point, problem }] : [];
  });
  const isPast = (point: string) => {
    const newest = readings.filter((r) => r.point === point).at(-1);
    return newest !== undefined && !counting.includes(newest);
  };
  const cell = (point: string, column: number, band: Expected | undefined) => (
    <ReadingCell
      key={point}
      label={`Bench ${student.bench} ${student.nickname}, ${nameOf(point)}`}
      row={row}
      column={column}
      wide={point === GLANCE}
      band={band}
      history={readings.filter((r) => r.point === point)}
      verdict={point === GLANCE ? glanced : judged?.verdicts[point]}
      isPast={isPast(point)}
      refused={refused[`${student.id} ${point}`]?.typed}
      onCommit={(typed) => props.onTake(student, point, typed)}
      onFound={() => isAnew && findBy(causes, student, props.onFound)}
      onFocus={() => props.onColumn(point)}
      {...(band && onMeter ? { onMeter: () => onMeter(point) } : {})}
      onRevert={() => props.onRevert(point)}
    />
  );
  return (
    <>
      <tr>
        <BenchName
          student={student}
          beside={props.beside}
          different={props.different}
          onDifferent={props.onDifferent}
        />
        <td className="state">
          <StatusMark status={state} soFar={isSoFar(judged)} /> {stateWords(judged)}
        </td>
        {cell(predicted, 0, undefined)}
        {seen.map((point) => cell(point, 1, undefined))}
        {points.map((point, i) => cell(point.id, i + 1 + seen.length, point))}
        <td className="cause" role="status">
          {judged && (
            <CauseWords
              judged={judged}
              points={points}
              judgedPoints={props.judgedPoints}
              seen={glance?.typed}
            />
          )}
          <FoundMenu
            bench={student.bench}
            causes={isAnew ? causes : []}
            points={props.judgedPoints}
            found={found}
            onFound={(cause) => props.onFound(student, cause)}
            onNotFound={props.onNotFound}
          />
          {judged && state !== 'none' && (
            <Button
              variant="text"
              className="btn-text why-button"
              aria-label={`Why is bench ${student.bench} ${stateWords(judged)}?`}
              onClick={() => setWhy(true)}
            >
              why?
            </Button>
          )}
          {judged && why && (
            <Why
              title={`Bench ${student.bench}, ${student.nickname}`}
              judged={judged}
              points={points}
              judgedPoints={props.judgedPoints}
              values={Object.fromEntries(counting.map((r) => [r.point, r.value]))}
              seen={glance?.typed}
              onHide={() => setWhy(false)}
            />
          )}
        </td>
      </tr>
      {open.map(({ point, problem }) => (
        <tr key={point} className="refused-row">
          <td colSpan={points.length + seen.length + 4} role="alert">
            <strong>
              Bench {student.bench}, {nameOf(point)}:
            </strong>{' '}
            {problem.message}{' '}
            {problem.perhaps && (
              <>
                <Button
                  size="sm"
                  variant="quiet"
                  onClick={() => props.onTake(student, point, problem.perhaps!)}
                >
                  Take {problem.perhaps}
                </Button>{' '}
                <Button
                  size="sm"
                  variant="quiet"
                  onClick={() => props.onTake(student, point, problem.typed, { sure: true })}
                >
                  Keep {problem.typed}
                </Button>{' '}
              </>
            )}
            <Button size="sm" variant="quiet" onClick={() => props.onRevert(point)}>
              {problem.typed ? 'Leave it out' : 'Close'}
            </Button>
          </td>
        </tr>
      ))}
    </>
  );
}

/** One key notes the only cause there is; of several the menu asks which. */
function findBy(causes: readonly Cause[], { bench, ...student }: Bench, onFound: Props['onFound']): void {
  const [only] = causes;
  if (only && causes.length === 1) onFound({ bench, ...student }, only);
  else document.getElementById(`found-${bench}`)?.click();
}

function isSoFar(judged: JudgedBench | undefined): boolean {
  return judged?.state === 'right' && judged.next !== undefined;
}

function stateWords(judged: JudgedBench | undefined): string {
  if (!judged || judged.state === 'none') return '–';
  return isSoFar(judged) ? 'right so far' : STATUS_WORDS[judged.state];
}
