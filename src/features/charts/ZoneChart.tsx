import { line, scaleLinear, scaleLog } from 'd3';
import { formatOhms, formatQuantity, type WhatIf } from '@/core';
import { AmpsAxis } from './AmpsAxis';

const WIDTH = 620;
const HEIGHT = 230;
const LEFT = 48;
const RIGHT = WIDTH - 96;
const TOP = 18;
const BASE = HEIGHT - 34;

/** A lamp's current over its resistor, with the comfortable, limit and ruin zones named at the right. */
export function ZoneChart({ curve, planned }: { curve: WhatIf; planned: number }) {
  const { ohms, amps, maxAmps, stocked } = curve;
  const across = scaleLog()
    .domain([ohms[0]!, ohms[ohms.length - 1]!])
    .range([LEFT, RIGHT]);
  const most = Math.max(1.6 * maxAmps, Math.min(Math.max(...amps), 2.2 * maxAmps));
  const up = scaleLinear().domain([0, most]).range([BASE, TOP]).clamp(true);
  const zones = [
    { name: 'comfortable', from: 0, to: 0.8 * maxAmps, fill: 'none' },
    { name: 'at its limit', from: 0.8 * maxAmps, to: maxAmps, fill: 'var(--close)' },
    { name: 'ruin', from: maxAmps, to: most, fill: 'var(--off)' },
  ];
  const path = line<number>()
    .x((i) => across(ohms[i]!))
    .y((i) => up(amps[i]!));
  const indices = ohms.map((_, i) => i).filter((i) => amps[i]! <= most);
  const now = stocked.find((value) => value.ohms === planned)?.amps;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="line-chart"
      role="img"
      aria-label={`Current of ${curve.lamp} for ${curve.resistor} from ${formatOhms(Math.round(ohms[0]!))} to ${formatOhms(Math.round(ohms[ohms.length - 1]!))}; limit ${formatQuantity(maxAmps, 'A', 2)}`}
    >
      {zones.map(({ name, from, to, fill }) => (
        <g key={name}>
          <rect
            x={LEFT}
            y={up(to)}
            width={RIGHT - LEFT}
            height={up(from) - up(to)}
            fill={fill}
            fillOpacity="0.13"
          />
          <text x={RIGHT + 6} y={(up(from) + up(to)) / 2 + 4} fontSize="12" fill="var(--ink)">
            {name}
          </text>
        </g>
      ))}
      <AmpsAxis up={up} left={LEFT} right={RIGHT} unitAt={TOP - 6} />
      {stocked.map((value) => (
        <line
          key={value.ohms}
          x1={across(value.ohms)}
          x2={across(value.ohms)}
          y1={BASE}
          y2={BASE + 4}
          stroke="var(--soft)"
        />
      ))}
      {across
        .ticks(5)
        .filter((tick) => /^[125]0*$/u.test(String(Math.round(tick))))
        .map((tick) => (
          <text
            key={tick}
            x={across(tick)}
            y={BASE + 17}
            textAnchor="middle"
            fontSize="12"
            fill="var(--soft)"
          >
            {formatOhms(tick)}
          </text>
        ))}
      <path d={path(indices) ?? ''} fill="none" stroke="var(--petrol)" strokeWidth="2" />
      {now !== undefined && (
        <>
          <circle cx={across(planned)} cy={up(now)} r="4.5" fill="var(--petrol)" />
          <text x={across(planned) + 8} y={up(now) - 7} fontSize="12" fill="var(--ink)">
            {formatOhms(planned)}, {formatQuantity(now, 'A')}
          </text>
        </>
      )}
    </svg>
  );
}
