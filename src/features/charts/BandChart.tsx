import { area, curveMonotoneX, scaleLinear } from 'd3';
import { columnUnit, formatPlain, formatQuantity, type Band, type Histogram } from '@/core';

export interface BandShape extends Band {
  readonly histogram: Histogram;
}

const WIDTH = 560;
const HEIGHT = 80;
const LEFT = 34;
const RIGHT = WIDTH - 34;
const BASE = 58;

/** How the draws of one checkpoint lie: their shape, the 95 % band, the typical figure and the worst corners. */
export function BandChart({ point, name }: { point: BandShape; name: string }) {
  const { name: unit, scale } = columnUnit(point.unit);
  const x = scaleLinear().domain([point.worstLow, point.worstHigh]).nice(5).range([LEFT, RIGHT]);
  const ticks = x.ticks(6);
  const shape = histogramPath(point, x);
  const label = `${name}: typical ${formatQuantity(point.typical, point.unit)}, 95 % between ${formatQuantity(point.low, point.unit)} and ${formatQuantity(point.high, point.unit)}, worst corners ${formatQuantity(point.worstLow, point.unit)} and ${formatQuantity(point.worstHigh, point.unit)}`;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="band-chart" role="img" aria-label={label}>
      <rect
        x={x(point.low)}
        y="16"
        width={x(point.high) - x(point.low)}
        height={BASE - 16}
        fill="var(--band)"
        stroke="var(--line)"
        strokeWidth="0.8"
      />
      <path d={shape} fill="var(--petrol)" fillOpacity="0.28" stroke="var(--petrol)" strokeWidth="1.1" />
      <line x1={LEFT} x2={RIGHT} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth="1" />
      {ticks.map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${BASE})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="16" textAnchor="middle" fontSize="12" fill="var(--soft)">
            {formatPlain(tick, scale, 3)}
          </text>
        </g>
      ))}
      <text x={RIGHT + 8} y={BASE + 4} fontSize="12" fill="var(--soft)">
        {unit}
      </text>
      <Edge x={x(point.low)} anchor="end" text={formatPlain(point.low, scale)} />
      <Edge x={x(point.high)} anchor="start" text={formatPlain(point.high, scale)} />
      <line
        x1={x(point.typical)}
        x2={x(point.typical)}
        y1="12"
        y2={BASE}
        stroke="var(--copper)"
        strokeWidth="2"
      />
      <text x={x(point.typical)} y="10" textAnchor="middle" fontSize="12" fontWeight="700" fill="var(--ink)">
        {formatPlain(point.typical, scale)}
      </text>
      {[point.worstLow, point.worstHigh].map((corner) => (
        <path key={corner} d={`M${x(corner)} ${BASE - 7} v14`} stroke="var(--off)" strokeWidth="2" />
      ))}
    </svg>
  );
}

function Edge({ x, anchor, text }: { x: number; anchor: 'start' | 'end'; text: string }) {
  return (
    <text x={x + (anchor === 'end' ? -4 : 4)} y="26" textAnchor={anchor} fontSize="12" fill="var(--ink)">
      {text}
    </text>
  );
}

function histogramPath(point: BandShape, x: (value: number) => number): string {
  const { from, to, shares } = point.histogram;
  const width = (to - from) / shares.length;
  const highest = Math.max(...shares);
  const bins = [
    { value: from, share: 0 },
    ...shares.map((share, i) => ({ value: from + (i + 0.5) * width, share })),
    { value: to, share: 0 },
  ];
  const draw = area<(typeof bins)[number]>()
    .x((bin) => x(bin.value))
    .y0(BASE)
    .y1((bin) => BASE - (bin.share / highest) * (BASE - 22))
    .curve(curveMonotoneX);
  return draw(bins) ?? '';
}
