import Button from 'react-bootstrap/Button';
import { formatPercent, formatQuantity, type Expected, type JudgedBench, type JudgedPoint } from '@/core';
import { likeliestWords, nextWords } from '@/messages/causes';
import { pointName } from '@/messages/points';
import type { Reading } from '@/server/repositories/readings';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';
import type { Bench, Refused } from './bench';
import { ReadingCell } from './ReadingCell';

interface Props {
  readonly row: number;
  readonly student: Bench;
  readonly points: readonly Expected[];
  /** The same checkpoints, as causes and next measurements name them. */
  readonly judgedPoints: readonly JudgedPoint[];
  readonly predicted: string;
  readonly readings: readonly Reading[];
  readonly judged: JudgedBench | undefined;
  readonly refused: Readonly<Record<string, Refused>>;
  onTake(student: Bench, point: string, typed: string, sure?: boolean): boolean;
  onRevert(point: string): void;
  onColumn(point: string): void;
}

/** One bench: its figures, how it stands, and the likeliest cause with what would settle it. */
export function BenchRow(props: Props) {
  const { row, student, points, predicted, readings, judged, refused } = props;
  const state = judged?.state ?? 'none';
  const nameOf = (id: string) => {
    const band = points.find((p) => p.id === id);
    return band ? pointName(band.point) : 'predicted';
  };
  const open = [predicted, ...points.map((p) => p.id)].flatMap((point) => {
    const problem = refused[`${student.id} ${point}`];
    return problem ? [{ point, problem }] : [];
  });
  const cell = (point: string, column: number, band: Expected | undefined) => (
    <ReadingCell
      key={point}
      label={`Bench ${student.bench} ${student.nickname}, ${nameOf(point)}`}
      row={row}
      column={column}
      band={band}
      history={readings.filter((r) => r.point === point)}
      verdict={judged?.verdicts[point]}
      refused={refused[`${student.id} ${point}`]?.typed}
      onCommit={(typed) => props.onTake(student, point, typed)}
      onFocus={() => band && props.onColumn(point)}
      onRevert={() => props.onRevert(point)}
    />
  );
  return (
    <>
      <tr>
        <th scope="row">
          <span className="bench-number">{student.bench}</span> {student.nickname}
        </th>
        <td className="state">
          <StatusMark status={state} /> {state === 'none' ? '–' : STATUS_WORDS[state]}
        </td>
        {cell(predicted, 0, undefined)}
        {points.map((point, i) => cell(point.id, i + 1, point))}
        <td className="cause" role="status">
          {judged?.diagnosis && (
            <CauseWords judged={judged} points={points} judgedPoints={props.judgedPoints} />
          )}
        </td>
      </tr>
      {open.map(({ point, problem }) => (
        <tr key={point} className="refused-row">
          <td colSpan={points.length + 4} role="alert">
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
                  onClick={() => props.onTake(student, point, problem.typed, true)}
                >
                  Keep {problem.typed}
                </Button>{' '}
              </>
            )}
            <Button size="sm" variant="quiet" onClick={() => props.onRevert(point)}>
              Leave it out
            </Button>
          </td>
        </tr>
      ))}
    </>
  );
}

interface CauseProps {
  readonly judged: JudgedBench;
  readonly points: readonly Expected[];
  readonly judgedPoints: readonly JudgedPoint[];
}

function CauseWords({ judged, points, judgedPoints }: CauseProps) {
  const { diagnosis, state } = judged;
  const first = diagnosis?.groups[0];
  if (!diagnosis || !first) return null;
  // A right bench is told of only where its pack or knob stands elsewhere.
  if (state === 'right') return <span className="soft">{likeliestWords(diagnosis, judgedPoints)}</span>;
  if (state === 'close') return <CloseCall {...{ judged, points, judgedPoints }} />;
  const next = nextWords(diagnosis, judgedPoints);
  const second = diagnosis.groups[1];
  return (
    <>
      <strong>{likeliestWords(diagnosis, judgedPoints)}</strong>
      <div className="small-print">
        {beliefWords(first.probability)}
        {second && `, else ${likeliestWords({ groups: [second] }, judgedPoints)}`}
        {next && <> · {next}</>}
      </div>
    </>
  );
}

/** Computed belief is never certainty: the faults of the list are not all there are. */
function beliefWords(probability: number): string {
  return probability > 0.99 ? `over ${formatPercent(0.99)}` : formatPercent(probability);
}

/** Which reading is at the edge, by how much the meter itself may be off, and what would settle it. */
function CloseCall({ judged, points, judgedPoints }: CauseProps) {
  const edge = points.flatMap(({ id, point, unit }) => {
    const verdict = judged.verdicts[id];
    return verdict?.verdict === 'close' ? [{ point, unit, verdict }] : [];
  })[0];
  const settle =
    edge?.verdict.settle === 'finer-range'
      ? 'a finer range would settle it'
      : ((judged.diagnosis && nextWords(judged.diagnosis, judgedPoints)) ??
        'measure another checkpoint, or try a fresh pack');
  return (
    <>
      <strong>Close call</strong>
      <div className="small-print">
        {edge &&
          `${pointName(edge.point)}: the meter may be off by ${formatQuantity(edge.verdict.uncertainty, edge.unit, 2)}; `}
        {settle}
      </div>
    </>
  );
}
