import Button from 'react-bootstrap/Button';
import { formatPercent, type Expected, type JudgedBench } from '@/core';
import { likeliestWords, nextWords } from '@/messages/causes';
import { checkpointName } from '@/messages/names';
import type { Reading } from '@/server/repositories/readings';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';
import type { Bench, Refused } from './bench';
import { ReadingCell } from './ReadingCell';

interface Props {
  readonly row: number;
  readonly student: Bench;
  readonly points: readonly Expected[];
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
  const open = [predicted, ...points.map((p) => p.id)].flatMap((point) => {
    const problem = refused[`${student.id} ${point}`];
    return problem ? [{ point, problem }] : [];
  });
  const cell = (point: string, column: number, band: Expected | undefined) => (
    <ReadingCell
      key={point}
      label={`Bench ${student.bench} ${student.nickname}, ${point === predicted ? 'predicted' : checkpointName(point)}`}
      row={row}
      column={column}
      band={band}
      history={readings.filter((r) => r.point === point)}
      verdict={judged?.verdicts[point]?.verdict}
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
          {judged?.diagnosis && <CauseWords judged={judged} />}
        </td>
      </tr>
      {open.map(({ point, problem }) => (
        <tr key={point} className="refused-row">
          <td colSpan={points.length + 4} role="alert">
            <strong>
              Bench {student.bench}, {point === predicted ? 'predicted' : checkpointName(point)}:
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

function CauseWords({ judged }: { judged: JudgedBench }) {
  const { diagnosis, verdicts, state } = judged;
  const first = diagnosis?.groups[0];
  if (!diagnosis || !first) return null;
  if (state === 'close') {
    const finer = Object.values(verdicts).some((v) => v.verdict === 'close' && v.settle === 'finer-range');
    return (
      <>
        <strong>Close call</strong>
        <div className="small-print">
          {finer
            ? 'a finer range would settle it'
            : (nextWords(diagnosis) ?? 'measure another checkpoint, or try a fresh pack')}
        </div>
      </>
    );
  }
  const next = nextWords(diagnosis);
  const second = diagnosis.groups[1];
  return (
    <>
      <strong>{likeliestWords(diagnosis)}</strong>
      <div className="small-print">
        {formatPercent(first.probability)}
        {second && `, else ${likeliestWords({ ...diagnosis, groups: [second] }).toLowerCase()}`}
        {next && <> · {next}</>}
      </div>
    </>
  );
}
