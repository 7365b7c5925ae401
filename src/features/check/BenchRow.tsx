import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { GLANCE, glanceVerdict, type Cause, type Expected, type JudgedBench, type JudgedPoint } from '@/core';
import { isAlarm } from '@/messages/seen';
import type { Reading } from '@/server/repositories/readings';
import { StatusMark } from '@/ui/StatusMark';
import type { Bench, Refused } from './bench';
import { BenchName, type BenchNameProps } from './BenchName';
import { CauseWords } from './CauseWords';
import { countingOf, standingAt } from './counting';
import { FoundMenu, possibleCauses } from './FoundMenu';
import { isBuilt, presenceWords } from './presence';
import { ReadingCell } from './ReadingCell';
import { isSoFar, stateWords } from './stateWords';
import type { Found } from './useFound';
import { Why } from './Why';

interface Props extends BenchNameProps {
  readonly row: number;
  readonly points: readonly Expected[];
  /** The same checkpoints, as causes and next measurements name them. */
  readonly judgedPoints: readonly JudgedPoint[];
  /** Every mistake of the lesson, for saying what it was. */
  readonly mistakes: readonly Cause[];
  /** Lamps that one looks at; none where there are none. */
  readonly lamps: readonly string[];
  readonly predicted: string;
  readonly readings: readonly Reading[];
  /** The last reading before something was mended here; 0 where nothing was. */
  readonly mended: number;
  readonly judged: JudgedBench | undefined;
  readonly refused: Readonly<Record<string, Refused>>;
  readonly found: readonly Found[];
  /** Name of a checkpoint in words. */
  nameOf(point: string): string;
  onTake(student: Bench, point: string, typed: string): void;
  onTakeBack(student: Bench, point: string): void;
  onMove(student: Bench, point: string, to: number): void;
  onEmpty(student: Bench): void;
  onRevert(point: string): void;
  /** This cause, or these words, were what was really wrong. */
  onFound(student: Bench, cause: Pick<Cause, 'code' | 'data'>, words?: string): void;
  /** It was noted by a slip. */
  onNotFound(id: number): void;
  onColumn(point: string): void;
  /** The meter’s figure is to drop into the cell. */
  onMeter?(point: string): void;
}

/** One bench: how it stands, its figures, and the likeliest cause with what would settle it. */
export function BenchRow(props: Props) {
  const { row, student, presence, points, lamps, found, predicted, readings, judged, nameOf } = props;
  const { onMeter } = props;
  const seen = lamps.length > 0 ? [GLANCE] : [];
  const columns = 1 + seen.length + points.length;
  if (!isBuilt(presence)) {
    return (
      <tr className="away">
        <BenchName {...props} />
        <td className="state">{presenceWords(presence)}</td>
        <td colSpan={columns + 1} />
      </tr>
    );
  }
  const state = judged?.state ?? 'none';
  const counting = countingOf(readings, predicted, props.mended);
  const glance = counting.filter((r) => r.point === GLANCE).at(-1);
  const lastFound = Math.max(0, ...found.map(({ after }) => after));
  const causes = possibleCauses(judged);
  /** What is said of the bench now is not what was found already. */
  const isAnew =
    found.length === 0 || readings.some(({ point, id }) => point !== predicted && (id > lastFound || id < 0));
  const alarm = isAlarm(standingAt(readings, GLANCE).map(({ typed }) => typed));
  const cell = (point: string, column: number, band: Expected | undefined) => {
    const standing = standingAt(readings, point);
    const newest = standing[standing.length - 1];
    return (
      <ReadingCell
        key={point}
        label={`Bench ${student.bench} ${student.nickname}, ${nameOf(point)}`}
        row={row}
        column={column}
        wide={point === GLANCE}
        passedOver={presence.state === 'late'}
        band={band}
        history={readings.filter((r) => r.point === point)}
        standing={standing}
        verdict={point === GLANCE ? glance && glanceVerdict(glance.value) : judged?.verdicts[point]}
        isPast={newest !== undefined && !counting.includes(newest)}
        refused={props.refused[`${student.id} ${point}`]?.typed}
        benches={props.others.map(({ id, bench, nickname }) => ({ id, name: `${bench} ${nickname}` }))}
        onCommit={(typed) => props.onTake(student, point, typed)}
        onEmpty={() => props.onEmpty(student)}
        onTakeBack={() => props.onTakeBack(student, point)}
        onMove={(to) => props.onMove(student, point, to)}
        onAbsent={() => props.onAttend({ studentId: student.id, state: 'absent', withStudent: null })}
        onFound={() => isAnew && findBy(causes, student, props.onFound)}
        onFocus={() => props.onColumn(point)}
        {...(band && onMeter ? { onMeter: () => onMeter(point) } : {})}
        onRevert={() => props.onRevert(point)}
      />
    );
  };
  return (
    <tr className={alarm ? 'hot' : undefined}>
      <BenchName {...props} />
      <td className="state">
        <StatusMark status={state} soFar={isSoFar(judged)} /> {stateWords(judged)}
      </td>
      {cell(predicted, 0, undefined)}
      {seen.map((point) => cell(point, 1, undefined))}
      {points.map((point, i) => cell(point.id, i + 1 + seen.length, point))}
      <CauseCell
        {...props}
        counting={counting}
        glance={glance?.typed}
        alarm={alarm}
        causes={isAnew ? causes : []}
        isAnew={isAnew}
      />
    </tr>
  );
}

/** One key notes the only cause there is; of several the menu asks which. */
function findBy(causes: readonly Cause[], { bench, ...student }: Bench, onFound: Props['onFound']): void {
  const [only] = causes;
  if (only && causes.length === 1) onFound({ bench, ...student }, only);
  else document.getElementById(`found-${bench}`)?.click();
}

interface CauseProps extends Props {
  readonly counting: readonly Reading[];
  readonly glance: string | undefined;
  readonly alarm: boolean;
  readonly causes: readonly Cause[];
  readonly isAnew: boolean;
}

/** The likeliest cause in two lines, with the ways to say what it was and to see why. */
function CauseCell(props: CauseProps) {
  const { student, judged, points, counting, glance, alarm, causes, isAnew, found } = props;
  const [why, setWhy] = useState(false);
  const state = judged?.state ?? 'none';
  const mayBeNoted = isAnew && state !== 'right' && state !== 'none';
  return (
    <td className="cause">
      <div className="cause-line">
        <div className="cause-words" role="status">
          {alarm ? (
            <strong>Power off. Nothing is measured until it is cold.</strong>
          ) : (
            judged && (
              <CauseWords judged={judged} points={points} judgedPoints={props.judgedPoints} seen={glance} />
            )
          )}
        </div>
        <div className="cause-tools">
          <FoundMenu
            bench={student.bench}
            causes={causes}
            mistakes={mayBeNoted ? props.mistakes : []}
            points={props.judgedPoints}
            found={found}
            onFound={(cause, words) => props.onFound(student, cause, words)}
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
        </div>
      </div>
      {judged && why && (
        <Why
          title={`Bench ${student.bench}, ${student.nickname}`}
          judged={judged}
          points={points}
          judgedPoints={props.judgedPoints}
          values={Object.fromEntries(counting.map((r) => [r.point, r.value]))}
          seen={glance}
          onHide={() => setWhy(false)}
        />
      )}
    </td>
  );
}
