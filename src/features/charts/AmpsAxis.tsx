import type { ScaleLinear } from 'd3';

interface Props {
  readonly up: ScaleLinear<number, number>;
  readonly left: number;
  readonly right: number;
  /** Where the unit stands. */
  readonly unitAt: number;
}

/** Milliamps up the left of a chart, with a line across at each. */
export function AmpsAxis({ up, left, right, unitAt }: Props) {
  return (
    <>
      {up.ticks(4).map((tick) => (
        <g key={tick} transform={`translate(0 ${up(tick)})`}>
          <line x1={left} x2={right} stroke="var(--rule)" strokeWidth="0.7" />
          <text x={left - 6} y="4" textAnchor="end" fontSize="12" fill="var(--soft)">
            {+(tick * 1e3).toPrecision(3)}
          </text>
        </g>
      ))}
      <text x={left - 6} y={unitAt} textAnchor="end" fontSize="12" fill="var(--soft)">
        mA
      </text>
    </>
  );
}
