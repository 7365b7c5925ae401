import { area, scaleLinear } from 'd3';
import type { RefObject } from 'react';
import { formatEntered } from '@/core';
import { useRuler } from '@/features/charts/useRuler';

const WIDTH = 640;
const LEFT = 92;
const RIGHT = WIDTH - 70;
const TOP = 10;
const ROW = 46;
const GAP = 12;

/** One channel of lamps along the piece. */
export interface MusicRow {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly fill: string;
  readonly amps: Float32Array;
  /** Of the frames that were followed, or of all where none was yet. */
  readonly litShare: string;
}

interface Props {
  readonly rows: readonly MusicRow[];
  readonly loud: Float32Array;
  readonly frame: number;
  /** Frames that have been followed; the rest is drawn as the rough picture that it is. */
  readonly followed: number;
  readonly at: number;
  readonly said: string;
  readonly svgRef: RefObject<SVGSVGElement | null>;
  onAt(seconds: number): void;
}

/** How loud the piece is, and what each channel's lamps carry along it, with a ruler that is moved along. */
export function MusicChart({ rows, loud, frame, followed, at, said, svgRef, onAt }: Props) {
  const seconds = loud.length * frame;
  const x = scaleLinear().domain([0, seconds]).range([LEFT, RIGHT]);
  const most = rows.reduce((all, { amps }) => amps.reduce((a, b) => Math.max(a, b), all), 1e-3);
  const foot = TOP + (rows.length + 1) * (ROW + GAP);
  const ruler = useRuler({
    svgRef,
    width: WIDTH,
    ends: [0, seconds],
    at: (place) => x.invert(place),
    onAt,
    onStep: (step, shift) => onAt(Math.min(seconds, Math.max(0, at + step * (shift ? 1 : frame)))),
  });
  const top = (row: number) => TOP + row * (ROW + GAP);
  return (
    <svg
      ref={svgRef}
      className="day-chart"
      viewBox={`0 0 ${WIDTH} ${foot + 22}`}
      role="slider"
      tabIndex={0}
      aria-label="Instant of the piece"
      aria-valuemin={0}
      aria-valuemax={seconds}
      aria-valuenow={at}
      aria-valuetext={said}
      {...ruler}
      fontSize="12"
    >
      <g transform={`translate(0 ${top(0)})`}>
        <text x="2" y={ROW / 2} fill="var(--ink)">
          the sound
        </text>
        <text x="2" y={ROW / 2 + 14} fill="var(--soft)" className="day-about">
          how far it swings
        </text>
        <path d={swing(loud, frame, x)} fill="var(--soft)" fillOpacity="0.55" />
      </g>
      {rows.map((row, i) => (
        <g key={row.key} transform={`translate(0 ${top(i + 1)})`}>
          <text x="2" y={ROW / 2} fill="var(--ink)">
            {row.name}
          </text>
          <text x="2" y={ROW / 2 + 14} fill="var(--soft)" className="day-about">
            {row.about}
          </text>
          <line x1={LEFT} x2={RIGHT} y1={ROW} y2={ROW} stroke="var(--rule)" />
          <path
            d={currents(row.amps, frame, x, most)}
            fill={row.fill}
            stroke="var(--ink)"
            strokeWidth="0.4"
          />
          <text x={RIGHT + 6} y={ROW - 4} fill="var(--soft)">
            {row.litShare}
          </text>
        </g>
      ))}
      {followed < loud.length && (
        <g>
          <rect
            x={x(followed * frame)}
            y={top(1) - 4}
            width={RIGHT - x(followed * frame)}
            height={foot - top(1)}
            fill="var(--paper)"
            fillOpacity="0.55"
          />
          <text x={RIGHT} y={top(1) + 6} textAnchor="end" fill="var(--soft)" fontStyle="italic">
            roughly
          </text>
        </g>
      )}
      <line x1={LEFT} x2={RIGHT} y1={foot} y2={foot} stroke="var(--ink)" />
      {x.ticks(8).map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${foot})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="17" textAnchor="middle" fill="var(--soft)">
            {tick === 0 ? '0' : formatEntered(tick, 's')}
          </text>
        </g>
      ))}
      <line x1={x(at)} x2={x(at)} y1={TOP - 6} y2={foot} stroke="var(--copper)" strokeWidth="1.6" />
    </svg>
  );
}

function swing(loud: Float32Array, frame: number, x: (seconds: number) => number): string {
  const path = area<number>()
    .x((_, i) => x((i + 0.5) * frame))
    .y0((value) => ROW / 2 + (value * ROW) / 2)
    .y1((value) => ROW / 2 - (value * ROW) / 2);
  return path(Array.from(loud)) ?? '';
}

function currents(amps: Float32Array, frame: number, x: (seconds: number) => number, most: number): string {
  const path = area<number>()
    .x((_, i) => x((i + 0.5) * frame))
    .y0(ROW)
    .y1((value) => ROW - (value / most) * ROW);
  return path(Array.from(amps)) ?? '';
}
