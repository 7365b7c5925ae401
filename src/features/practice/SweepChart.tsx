import { line, scaleLinear } from 'd3';
import type { PointerEvent } from 'react';
import { formatPlain, type Look } from '@/core';
import type { Swept } from '@/server/practice';
import { onsetsOf, stretchesOf } from './onsets';

const WIDTH = 720;
const LEFT = 44;
const RIGHT = 16;
const ROW = 20;
const TRACE = 84;
const THICK: Readonly<Record<Look, number>> = { dark: 1, dim: 4, lit: 9, 'too-bright': 13, blinking: 9 };

interface Props {
  readonly swept: Swept;
  /** The volts that are looked at. */
  readonly at: number;
  onAt(volts: number): void;
}

/** Lamps over the supply's volts: the thicker, the more light; a tick where each should come on; the current beneath. */
export function SweepChart({ swept, at, onAt }: Props) {
  const { bench, meant, usual } = swept;
  const onsets = onsetsOf(swept);
  const most = bench[bench.length - 1]?.volts ?? 1;
  const x = scaleLinear([0, most], [LEFT, WIDTH - RIGHT]);
  const top = onsets.length * ROW + 12;
  const amps = [...bench, ...meant].map((one) => one.amps).filter(Number.isFinite);
  const y = scaleLinear([0, Math.max(1e-3, ...amps)], [top + TRACE, top + 8]).nice(3);
  const trace = line<{ volts: number; amps: number }>()
    .defined((one) => Number.isFinite(one.amps))
    .x((one) => x(one.volts))
    .y((one) => y(one.amps));
  const pick = (event: PointerEvent<SVGSVGElement>) => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    onAt(Math.min(most, Math.max(0, x.invert(((event.clientX - left) / width) * WIDTH))));
  };
  return (
    <div>
      <svg
        viewBox={`0 0 ${WIDTH} ${top + TRACE + 26}`}
        role="img"
        aria-label={`Lamps and current while the supply goes from 0 V to ${formatPlain(most, 1)} V`}
        onPointerDown={pick}
        onPointerMove={(event) => event.buttons === 1 && pick(event)}
      >
        {onsets.map(({ lamp, meant: from }, i) => (
          <g key={lamp} transform={`translate(0 ${i * ROW + 12})`}>
            <text x="0" y="4" fontSize="12" fill="var(--ink)">
              {lamp}
            </text>
            {stretchesOf(bench, lamp).map((one) => (
              <line
                key={one.from}
                x1={x(one.from)}
                x2={x(one.to)}
                stroke={one.look === 'too-bright' ? 'var(--off)' : 'var(--ink)'}
                strokeWidth={THICK[one.look]}
                strokeOpacity={one.look === 'dark' ? 0.4 : 1}
              />
            ))}
            {from !== undefined && <path d={`M${x(from)} -9 v18`} stroke="var(--petrol)" strokeWidth="2" />}
          </g>
        ))}
        <path
          d={trace(meant) ?? ''}
          fill="none"
          stroke="var(--petrol)"
          strokeWidth="1.4"
          strokeDasharray="4 3"
        />
        <path d={trace(bench) ?? ''} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
        {y.ticks(3).map((tick) => (
          <text key={tick} x={LEFT - 5} y={y(tick) + 4} fontSize="12" textAnchor="end" fill="var(--soft)">
            {formatPlain(tick, 1e-3)}
          </text>
        ))}
        <text x="0" y={top + 6} fontSize="12" fill="var(--soft)">
          mA
        </text>
        <line x1={LEFT} x2={WIDTH - RIGHT} y1={top + TRACE} y2={top + TRACE} stroke="var(--ink)" />
        {x.ticks(8).map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={top + TRACE + 15}
            fontSize="12"
            textAnchor="middle"
            fill="var(--soft)"
          >
            {tick} V
          </text>
        ))}
        <line x1={x(at)} x2={x(at)} y1="0" y2={top + TRACE} stroke="var(--off)" strokeWidth="1" />
        {usual <= most && <path d={`M${x(usual)} ${top + TRACE} l-5 8 h10 Z`} fill="var(--petrol)" />}
      </svg>
      <input
        type="range"
        className="form-range"
        aria-label="Volts that are looked at"
        min={0}
        max={most}
        step={most / (bench.length - 1)}
        value={at}
        onChange={(event) => onAt(Number(event.target.value))}
      />
      <p className="small-print">
        Thick: lit; thin: dim; a line: dark. The upright ticks stand where the lamp should come on, the dashed
        trace is the current as meant, and the mark under the scale is the lesson’s own supply.
      </p>
    </div>
  );
}
