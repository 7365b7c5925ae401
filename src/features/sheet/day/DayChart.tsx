'use client';

import { line, scaleLinear } from 'd3';
import { useId, type RefObject } from 'react';
import { formatEntered, formatQuantity } from '@/core';
import { useRuler } from '@/features/charts/useRuler';
import type { Row } from './rows';

const WIDTH = 640;
const LEFT = 92;
const RIGHT = WIDTH - 78;
const TOP = 18;
const GAP = 14;
/** Room over a curve for the name of its upper threshold. */
const HEAD = 12;
/** Fewer units than these hold no figure. */
const LABEL_ROOM = 40;

interface Props {
  readonly rows: readonly Row[];
  /** The same rows of another setting, drawn beneath. */
  readonly beneath: readonly Row[];
  readonly times: Float64Array;
  readonly timesBeneath: Float64Array | undefined;
  /** Seconds that are shown. */
  readonly view: readonly [number, number];
  readonly at: number;
  /** What is so there, for those who do not see the chart. */
  readonly said: string;
  readonly svgRef: RefObject<SVGSVGElement | null>;
  onAt(time: number): void;
  /** To the change before or after. */
  onChange(step: -1 | 1): void;
}

/** A paper chart of a run: a row for what each thing does, a bar for each light, and a ruler that is moved along. */
export function DayChart(props: Props) {
  const { rows, beneath, times, timesBeneath, view, at, said, svgRef, onAt, onChange } = props;
  const id = useId();
  const x = scaleLinear().domain([view[0], view[1]]).range([LEFT, RIGHT]);
  const tops = rows.map((_, i) => TOP + rows.slice(0, i).reduce((sum, row) => sum + row.height + GAP, 0));
  const foot = TOP + rows.reduce((sum, row) => sum + row.height + GAP, 0);
  const byHand = useRuler({
    svgRef,
    width: WIDTH,
    ends: view,
    at: (place) => x.invert(place),
    onAt,
    onStep: (step, shift) => {
      if (shift) return onChange(step);
      onAt(Math.min(view[1], Math.max(view[0], at + (step * (view[1] - view[0])) / 200)));
    },
  });
  const ticks = x.ticks(7);
  const ruler = x(Math.min(view[1], Math.max(view[0], at)));
  return (
    <svg
      ref={svgRef}
      className="day-chart"
      viewBox={`0 0 ${WIDTH} ${foot + 26}`}
      role="slider"
      tabIndex={0}
      aria-label="Instant of the run"
      aria-valuemin={view[0]}
      aria-valuemax={view[1]}
      aria-valuenow={at}
      aria-valuetext={said}
      {...byHand}
      fontSize="12"
    >
      <clipPath id={`${id}-shown`}>
        <rect x={LEFT} y="0" width={RIGHT - LEFT} height={foot + 4} />
      </clipPath>
      {rows.map((row, i) => (
        <g key={row.key} transform={`translate(0 ${tops[i]})`}>
          <text x="2" y={row.height / 2 - 2} fill="var(--ink)">
            {row.name}
          </text>
          <text className="day-about" x="2" y={row.height / 2 + 12} fill="var(--soft)" fontSize="12">
            {row.about}
          </text>
          <g clipPath={`url(#${id}-shown)`}>
            {beneath[i] && timesBeneath && (
              <Drawn row={beneath[i]} times={timesBeneath} x={x} scaledAs={row} faint />
            )}
            <Drawn row={row} times={times} x={x} scaledAs={row} />
          </g>
        </g>
      ))}
      {rows.map((row, i) => row.form === 'volts' && <Turns key={row.key} row={row} top={tops[i]!} />)}
      <line x1={LEFT} x2={RIGHT} y1={foot} y2={foot} stroke="var(--ink)" />
      {ticks.map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${foot})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="17" textAnchor="middle" fill="var(--soft)">
            {tick === 0 ? '0 s' : formatEntered(tick, 's')}
          </text>
        </g>
      ))}
      <g className="day-ruler" stroke="var(--off)" fill="var(--off)">
        <line x1={ruler} x2={ruler} y1="8" y2={foot} strokeWidth="1.4" />
        <path d={`M${ruler - 6} 0 h12 l-6 9 Z`} stroke="none" />
      </g>
    </svg>
  );
}

/** The names of a row's thresholds, beside the chart. */
function Turns({ row, top }: { row: Extract<Row, { form: 'volts' }>; top: number }) {
  const y = scaleLinear().domain(rangeOf(row)).range([row.height, HEAD]);
  return row.turns.map(({ volts, name }) => (
    <text
      key={name}
      className="day-turn"
      x={RIGHT + 5}
      y={top + y(volts) + 4}
      fill="var(--soft)"
      fontSize="12"
    >
      {`${name}, ${formatQuantity(volts, 'V', 2)}`}
    </text>
  ));
}

type Scale = (value: number) => number;

function Drawn({
  row,
  times,
  x,
  scaledAs,
  faint = false,
}: {
  row: Row;
  times: Float64Array;
  x: Scale;
  scaledAs: Row;
  faint?: boolean;
}) {
  if (row.form === 'bars') return <Bars row={row} x={x} faint={faint} />;
  const [low, high] = rangeOf(scaledAs);
  const y = scaleLinear()
    .domain([low, high])
    .range([row.height, row.form === 'volts' ? HEAD : 0]);
  const path = line<number>()
    .x((i) => x(times[i]!))
    .y((i) => y(row.values[i]!));
  const stroke = faint ? 'var(--copper)' : row.form === 'volts' ? 'var(--petrol)' : 'var(--ink)';
  return (
    <>
      {row.form === 'volts' &&
        !faint &&
        row.turns.map(({ volts, name }) => (
          <g key={name}>
            <line
              x1={LEFT}
              x2={RIGHT}
              y1={y(volts)}
              y2={y(volts)}
              stroke="var(--copper)"
              strokeDasharray="2 4"
            />
          </g>
        ))}
      <path
        d={path(Array.from(times, (_, i) => i)) ?? ''}
        fill="none"
        stroke={stroke}
        strokeWidth={faint ? 1.2 : 1.7}
        strokeDasharray={faint ? '5 4' : undefined}
      />
    </>
  );
}

function Bars({ row, x, faint }: { row: Extract<Row, { form: 'bars' }>; x: Scale; faint: boolean }) {
  const { spells, most, height, wanted = [] } = row;
  return (
    <>
      <line x1={LEFT} x2={RIGHT} y1={height} y2={height} stroke="var(--rule)" />
      {!faint &&
        wanted.map(({ from, to }) => (
          <line
            key={from}
            x1={x(from)}
            x2={x(to)}
            y1={height + 4}
            y2={height + 4}
            stroke="var(--petrol)"
            strokeWidth="3"
          />
        ))}
      {spells.map(({ from, to, amps }, i) => {
        const [left, right] = [x(from), x(to)];
        const tall = most > 0 ? Math.max(3, (amps / most) * height) : 0;
        return (
          <g key={i}>
            <rect
              x={left}
              y={height - tall}
              width={Math.max(0.8, right - left)}
              height={tall}
              fill={faint ? 'none' : '#f3e4bf'}
              stroke="var(--copper)"
              strokeDasharray={faint ? '5 4' : undefined}
              strokeWidth={right - left < 4 ? 0.6 : 1.2}
            />
            {!faint && right - left > LABEL_ROOM && (
              <text
                className="day-turn"
                x={(left + right) / 2}
                y={height / 2 + 4}
                textAnchor="middle"
                fill="var(--ink)"
              >
                {formatQuantity(amps, 'A', 2)}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

function rangeOf(row: Row): readonly [number, number] {
  if (row.form === 'bars') return [0, row.most];
  const low = row.values.reduce((least, value) => Math.min(least, value), 0);
  const high = row.values.reduce((most, value) => Math.max(most, value), 0);
  return high > low ? [low, high] : [low, low + 1];
}
