import Modal from 'react-bootstrap/Modal';
import { scaleLinear } from 'd3';
import {
  columnUnit,
  formatPercent,
  figureShown,
  formatQuantity,
  GLANCE,
  type CauseGroup,
  type Expected,
  type JudgedBench,
  type JudgedPoint,
} from '@/core';
import { likeliestWords, restWords } from '@/messages/causes';
import { capital } from '@/messages/grammar';
import { pointName } from '@/messages/points';
import { looksWords } from '@/messages/seen';
import { nextHeading, outcomeRows, shareWords, standingWords } from '@/messages/why';
import { Scroll } from '@/ui/Scroll';

interface Props {
  readonly title: string;
  readonly judged: JudgedBench;
  readonly points: readonly Expected[];
  readonly judgedPoints: readonly JudgedPoint[];
  /** The newest figure at each checkpoint. */
  readonly values: Readonly<Record<string, number>>;
  readonly seen: string | undefined;
  onHide(): void;
}

/** Why a bench stands as it does: every candidate's readings against those that were taken. */
export function Why(props: Props) {
  const { title, judged, points, judgedPoints, values, seen } = props;
  const groups = judged.diagnosis?.groups ?? [];
  const measured = points.flatMap((point, i) => {
    const value = values[point.id];
    const counted = judged.verdicts[point.id]?.counted ?? value;
    return value === undefined || counted === undefined ? [] : [{ point, i, value, counted }];
  });
  return (
    <Modal show size="xl" onHide={props.onHide} aria-labelledby="why-title" scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="why-title">{title}: why?</Modal.Title>
      </Modal.Header>
      <Modal.Body className="why">
        <p>{standingWords(judged)}</p>
        <Scroll label="Candidates and their readings">
          <table className="table">
            <thead>
              <tr>
                <th scope="col">what reads so</th>
                <th scope="col">belief</th>
                {measured.map(({ point }) => (
                  <th scope="col" key={point.id}>
                    {pointName(point.point)}, {columnUnit(point.unit).name}
                  </th>
                ))}
                {seen !== undefined && <th scope="col">lamps</th>}
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">read here</th>
                <td />
                {measured.map(({ point, value }) => (
                  <td key={point.id}>
                    <strong>{figure(value, point)}</strong>
                    <div className="small-print">
                      ± {formatQuantity(judged.verdicts[point.id]?.uncertainty ?? 0, point.unit, 2)}
                    </div>
                  </td>
                ))}
                {seen !== undefined && <td>{seen}</td>}
              </tr>
              <tr>
                <th scope="row">a right build (95 %)</th>
                <td />
                {measured.map(({ point, counted }) => (
                  <td key={point.id}>
                    {figure(point.low, point)} to {figure(point.high, point)}
                    <Spans point={point} value={counted} groups={groups} at={points.indexOf(point)} />
                  </td>
                ))}
                {seen !== undefined && <td />}
              </tr>
              {groups.map((group, k) => (
                <tr key={k}>
                  <th scope="row">
                    <span className="letter">{letter(k)}</span>{' '}
                    {likeliestWords({ groups: [group] }, judgedPoints)}
                    <div className="small-print">{capital(restWords(group, judgedPoints))}</div>
                  </th>
                  <td>{shareWords(group.probability)}</td>
                  {measured.map(({ point, i, counted }) => (
                    <Predicted key={point.id} point={point} value={counted} reads={group.reads?.[i]} />
                  ))}
                  {seen !== undefined && <td>{group.looks && looksWords(group.looks)}</td>}
                </tr>
              ))}
            </tbody>
          </table>
        </Scroll>
        {groups.length > 0 && (
          <p className="small-print">
            Each candidate is the circuit as that mistake makes it, its readings drawn over the spreads of its
            parts. Marked are readings further from it than twice what parts and meter allow together.
            “Something else” is any figure that no candidate shows.
          </p>
        )}
        <NextTable judged={judged} judgedPoints={judgedPoints} />
      </Modal.Body>
    </Modal>
  );
}

function figure(value: number, { unit }: Expected): string {
  return figureShown(value, columnUnit(unit).scale);
}

const letter = (k: number) => String.fromCharCode(65 + k);

/** Widths beyond which a reading speaks against a candidate. */
const AGAINST = 2;

function Predicted({
  point,
  value,
  reads,
}: {
  point: Expected;
  value: number;
  reads: { readonly mean: number; readonly width: number } | undefined;
}) {
  if (!reads) return <td className="soft">any</td>;
  const against = Math.abs(value - reads.mean) > AGAINST * reads.width;
  return (
    <td className={against ? 'against' : undefined}>
      {figure(reads.mean, point)}
      <span className="small-print"> ± {figure(AGAINST * reads.width, point)}</span>
      {against && <div className="small-print">speaks against it</div>}
    </td>
  );
}

const WIDTH = 150;
const LINE = 11;

/** The band, the reading, and where each candidate would read, on one scale. */
function Spans({
  point,
  value,
  groups,
  at,
}: {
  point: Expected;
  value: number;
  groups: readonly CauseGroup[];
  at: number;
}) {
  const shown = groups.flatMap((group, k) => {
    const reads = group.reads?.[at];
    return reads ? [{ k, from: reads.mean - 2 * reads.width, to: reads.mean + 2 * reads.width }] : [];
  });
  const ends = [value, point.low, point.high, ...shown.flatMap(({ from, to }) => [from, to])];
  const x = scaleLinear()
    .domain([Math.min(...ends), Math.max(...ends)])
    .range([14, WIDTH - 4]);
  const height = LINE * (shown.length + 1) + 4;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      width={WIDTH}
      height={height}
      aria-hidden="true"
      className="spans"
    >
      <rect
        x={x(point.low)}
        width={Math.max(1, x(point.high) - x(point.low))}
        y="0"
        height={height}
        fill="var(--band)"
        stroke="var(--line)"
        strokeWidth="0.8"
      />
      {shown.map(({ k, from, to }, row) => (
        <g key={k}>
          <text x="0" y={LINE * (row + 1) + 2} fontSize="12" fill="var(--soft)">
            {letter(k)}
          </text>
          <line
            x1={x(from)}
            x2={Math.max(x(to), x(from) + 1.5)}
            y1={LINE * (row + 1) - 1.5}
            y2={LINE * (row + 1) - 1.5}
            stroke="var(--ink)"
            strokeWidth="2"
          />
        </g>
      ))}
      <line x1={x(value)} x2={x(value)} y1="0" y2={height} stroke="var(--copper)" strokeWidth="1.6" />
    </svg>
  );
}

function NextTable({ judged: { next }, judgedPoints }: Pick<Props, 'judged' | 'judgedPoints'>) {
  if (!next) return null;
  const point = judgedPoints.find(({ id }) => id === next.point);
  return (
    <>
      <h2>{nextHeading(next.point === GLANCE ? undefined : point)}</h2>
      {next.bits > 0 && (
        <p className="small-print">
          It is expected to tell most: of what is still in question it leaves about{' '}
          {formatPercent(2 ** -next.bits)}.
        </p>
      )}
      <table className="table">
        <thead>
          <tr>
            <th scope="col">if it comes to</th>
            <th scope="col">it would mean</th>
            <th scope="col">chance</th>
          </tr>
        </thead>
        <tbody>
          {outcomeRows(next.outcomes ?? [], point, judgedPoints).map(({ where, means, probability }) => (
            <tr key={where}>
              <td>{where}</td>
              <td>{means}</td>
              <td>{shareWords(probability)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
