import { line, scaleLinear, scaleLog } from 'd3';
import { formatQuantity, SCENE_LUX, SCENES, type LightSums } from '@/core';
import { AmpsAxis } from './AmpsAxis';
import { SCENE_WORDS } from '@/messages/light';

const WIDTH = 640;
const HEIGHT = 240;
const LEFT = 48;
const RIGHT = WIDTH - 20;
const TOP = 20;
const BASE = HEIGHT - 62;

interface Props {
  readonly light: LightSums;
  readonly curve: NonNullable<LightSums['curve']>;
}

/** A lamp's current along the light, the scenes marked below it, and where sensors of the sort switch. */
export function LightChart({ light, curve }: Props) {
  const { lux, amps } = curve;
  const [least, most] = [Math.min(...lux), Math.max(...lux)];
  const across = scaleLog().domain([least, most]).range([LEFT, RIGHT]);
  const up = scaleLinear()
    .domain([0, Math.max(...amps, 1e-4) * 1.08])
    .range([BASE, TOP]);
  const path = line<number>()
    .x((i) => across(lux[i]!))
    .y((i) => up(amps[i]!));
  const { typical, low, high } = light.switches;
  const band =
    low !== undefined && high !== undefined ? [across(low), across(high)].sort((a, b) => a - b) : undefined;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="line-chart"
      role="img"
      aria-label={`Current of the lamp from ${formatQuantity(least, 'lx', 2)} to ${formatQuantity(most, 'lx', 2)}`}
    >
      {band && (
        <rect
          x={band[0]}
          y={TOP}
          width={Math.max(1, band[1]! - band[0]!)}
          height={BASE - TOP}
          fill="var(--right)"
          fillOpacity="0.14"
        />
      )}
      <AmpsAxis up={up} left={LEFT} right={RIGHT} unitAt={TOP - 7} />
      <path d={path(lux.map((_, i) => i)) ?? ''} fill="none" stroke="var(--petrol)" strokeWidth="2" />
      {typical !== undefined && (
        <g stroke="var(--copper)">
          <line x1={across(typical)} x2={across(typical)} y1={TOP} y2={BASE} strokeWidth="1.5" />
          <text x={across(typical) + 5} y={TOP + 10} fontSize="12" fill="var(--ink)" stroke="none">
            {formatQuantity(typical, 'lx', 2)}
          </text>
        </g>
      )}
      <line x1={LEFT} x2={RIGHT} y1={BASE} y2={BASE} stroke="var(--ink)" />
      {[0.1, 1, 10, 100, 1000, 10_000].map((tick) => (
        <g key={tick} transform={`translate(${across(tick)} ${BASE})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="16" textAnchor="middle" fontSize="12" fill="var(--soft)">
            {formatQuantity(tick, 'lx', 1)}
          </text>
        </g>
      ))}
      {SCENES.map((scene, i) => (
        <g key={scene} transform={`translate(${across(SCENE_LUX[scene])} ${BASE + 22})`}>
          <path
            d="M0 0 l-4 7 h8 Z"
            fill={scene === light.lit || scene === light.dark ? 'var(--copper)' : 'var(--soft)'}
          />
          <text y={i % 2 ? 34 : 20} textAnchor={i === 5 ? 'end' : 'middle'} fontSize="12" fill="var(--ink)">
            {SCENE_WORDS[scene]}
          </text>
        </g>
      ))}
    </svg>
  );
}
