import { extent, line, scaleLinear } from 'd3';
import { MINUS } from '@/core';

const WIDTH = 620;
const HEIGHT = 196;
const LEFT = 44;
const RIGHT = WIDTH - 84;
const TOP = 24;
const BASE = HEIGHT - 30;

export interface ChartLine {
  readonly name: string;
  readonly values: ArrayLike<number>;
}

interface Props {
  readonly label: string;
  readonly x: ArrayLike<number>;
  /** What x and y count in: `ms`, and how much one of it is. */
  readonly xUnit: readonly [string, number];
  readonly yUnit: readonly [string, number];
  readonly lines: readonly ChartLine[];
}

/** Line weights and dashes that can be told apart in black and white. */
const STROKES = [
  { stroke: 'var(--petrol)', dash: undefined },
  { stroke: 'var(--copper)', dash: '7 3' },
  { stroke: 'var(--ink)', dash: '2 3' },
  { stroke: 'var(--right)', dash: '10 3 2 3' },
] as const;
export const MOST_LINES = STROKES.length;

/** Figures over time, or over a figure that is varied: axes with units, and each line named at its end. */
export function LineChart({ label, x, xUnit, yUnit, lines }: Props) {
  const [xs, ys] = [
    domainOf([x]),
    domainOf(
      lines.map((l) => l.values),
      true,
    ),
  ];
  const across = scaleLinear().domain(xs).range([LEFT, RIGHT]);
  const up = scaleLinear().domain(ys).nice(4).range([BASE, TOP]);
  const path = line<number>()
    .x((i) => across(x[i]!))
    .defined(() => true);
  const indices = Array.from(x, (_, i) => i);
  const names = spread(lines.map((l) => up(l.values[l.values.length - 1] ?? 0)));
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="line-chart" role="img" aria-label={label}>
      {up.ticks(4).map((tick) => (
        <g key={tick} transform={`translate(0 ${up(tick)})`}>
          <line x1={LEFT} x2={RIGHT} stroke="var(--rule)" strokeWidth={tick === 0 ? 1.4 : 0.7} />
          <text x={LEFT - 6} y="4" textAnchor="end" fontSize="12" fill="var(--soft)">
            {tickText(tick, yUnit[1])}
          </text>
        </g>
      ))}
      <text x={LEFT - 6} y={TOP - 12} textAnchor="end" fontSize="12" fill="var(--soft)">
        {yUnit[0]}
      </text>
      {across.ticks(7).map((tick) => (
        <g key={tick} transform={`translate(${across(tick)} ${BASE})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="16" textAnchor="middle" fontSize="12" fill="var(--soft)">
            {tickText(tick, xUnit[1])}
          </text>
        </g>
      ))}
      <text x={RIGHT + 22} y={BASE + 16} fontSize="12" fill="var(--soft)">
        {xUnit[0]}
      </text>
      <line x1={LEFT} x2={RIGHT} y1={BASE} y2={BASE} stroke="var(--ink)" />
      {lines.map(({ name, values }, i) => {
        const { stroke, dash } = STROKES[i % STROKES.length]!;
        return (
          <g key={name}>
            <path
              d={path.y((k) => up(values[k]!))(indices) ?? ''}
              fill="none"
              stroke={stroke}
              strokeWidth="1.6"
              strokeDasharray={dash}
            />
            <text x={RIGHT + 8} y={names[i]! + 4} fontSize="12" fontWeight="700" fill={stroke}>
              {name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** A round figure without needless zeros. */
function tickText(value: number, scale: number): string {
  return Number((value / scale).toPrecision(6))
    .toString()
    .replace('-', MINUS);
}

function domainOf(lists: readonly ArrayLike<number>[], withZero = false): [number, number] {
  const ends = lists.flatMap((list) => extent(Array.from(list)) as [number, number]);
  const [low, high] = extent(withZero ? [0, ...ends].map(settled(ends)) : ends) as [number, number];
  return low === high ? [low - 0.5, high + 0.5] : [low, high];
}

/** Takes leakage far below the largest figure for nothing, so that it does not open an axis below zero. */
function settled(ends: readonly number[]): (value: number) => number {
  const least = 1e-4 * Math.max(...ends.map(Math.abs));
  return (value) => (Math.abs(value) < least ? 0 : value);
}

/** Moves labels apart that would print over one another, upwards where they would leave the chart. */
function spread(wanted: readonly number[]): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => b.y - a.y);
  const placed = [...wanted];
  let last = BASE + LABEL / 2;
  for (const { y, i } of order) {
    last = Math.min(y, last - LABEL);
    placed[i] = last;
  }
  return placed;
}

/** Height of a label. */
const LABEL = 13;

const SCALES: readonly (readonly [number, string])[] = [
  [1, ''],
  [1e-3, 'm'],
  [1e-6, 'µ'],
  [1e-9, 'n'],
];

/** The unit in which the largest of some figures has one to three digits before its point. */
export function scaledUnit(unit: string, lists: readonly ArrayLike<number>[]): readonly [string, number] {
  const most = Math.max(1e-9, ...lists.map((list) => Math.max(...Array.from(list, Math.abs))));
  const [scale, prefix] = SCALES.find(([size]) => most >= size) ?? SCALES[SCALES.length - 1]!;
  return [`${prefix}${unit}`, scale];
}
