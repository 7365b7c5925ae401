import { scaleLinear } from 'd3';
import {
  columnUnit,
  columnSummary,
  formatPercent,
  formatPlain,
  formatQuantity,
  type Expected,
  type VerdictName,
} from '@/core';
import { capital } from '@/messages/grammar';
import { pointName } from '@/messages/points';

interface Props {
  readonly point: Expected;
  readonly readings: readonly {
    readonly bench: number;
    readonly value: number;
    readonly verdict: VerdictName;
  }[];
}

const WIDTH = 420;

/** The class at one checkpoint: every bench on one scale with the band behind. */
export function StripChart({ point, readings }: Props) {
  const { low, high, worstLow, worstHigh } = point;
  const values = readings.map((r) => r.value);
  const { scale } = columnUnit(point.unit);
  const x = scaleLinear()
    .domain([Math.min(worstLow, ...values), Math.max(worstHigh, ...values)])
    .nice(4)
    .range([16, WIDTH - 22]);
  const q = (value: number) => formatQuantity(value, point.unit);
  const { measured, right, offset } = columnSummary(readings, point.typical);
  return (
    <div className="strip">
      <svg viewBox={`0 0 ${WIDTH} 52`} role="img" aria-label={`${measured} benches, ${right} of them right`}>
        <rect x={x(low)} y="8" width={x(high) - x(low)} height="22" fill="var(--band)" stroke="var(--line)" />
        <line x1="16" x2={WIDTH - 22} y1="30" y2="30" stroke="var(--ink)" />
        {x.ticks(5).map((tick) => (
          <text key={tick} x={x(tick)} y="45" fontSize="12" textAnchor="middle" fill="var(--soft)">
            {formatPlain(tick, scale, 3)}
          </text>
        ))}
        {readings.map(({ bench, value, verdict }) => (
          <Dot key={bench} x={x(value)} verdict={verdict} />
        ))}
      </svg>
      <p>
        <strong>{capital(pointName(point.point))}.</strong>{' '}
        {measured === 0 ? 'No bench yet' : `${measured} ${measured === 1 ? 'bench' : 'benches'}`} against{' '}
        {q(low)} to {q(high)}.
        {offset !== undefined && right > 1 && Math.abs(offset) >= 0.005 && (
          <>
            {' '}
            The right ones sit {formatPercent(Math.abs(offset))} {offset > 0 ? 'above' : 'below'} typical (
            {q(point.typical)}).
          </>
        )}
      </p>
    </div>
  );
}

function Dot({ x, verdict }: { x: number; verdict: VerdictName }) {
  if (verdict === 'off') return <path d={`M${x} 13 l5.5 10 h-11 Z`} fill="var(--off)" fillOpacity="0.85" />;
  if (verdict === 'close') {
    return (
      <g>
        <circle cx={x} cy="19" r="4.5" fill="none" stroke="var(--close)" strokeWidth="1.4" />
        <path d={`M${x} 14.5 a4.5 4.5 0 0 0 0 9 Z`} fill="var(--close)" />
      </g>
    );
  }
  return <circle cx={x} cy="19" r="4.5" fill="var(--right)" fillOpacity="0.85" />;
}
