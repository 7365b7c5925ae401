import { line, scaleLinear, scaleLog } from 'd3';
import { formatQuantity, type Response, type SoundSums } from '@/core';
import { AmpsAxis } from '@/features/charts/AmpsAxis';
import { BAND_WORDS } from '@/messages/sound';

const WIDTH = 640;
const HEIGHT = 230;
const LEFT = 48;
const RIGHT = WIDTH - 20;
const TOP = 26;
const BASE = HEIGHT - 44;

/** Told apart in black and white too. */
const DASHES = { low: undefined, middle: '9 4', high: '3 3' } as const;

interface Props {
  readonly response: Response;
  readonly sound: SoundSums;
  /** Colour of each lamp's line. */
  fillOf(lamp: string): string;
}

/** The most of a curve: its name stands over it, however loud it is played. */
function peakOf(amps: readonly number[] = []): number {
  return Math.max(0, ...amps);
}

/** What each channel's lamps get at every tone, with the bounds of its filter and its own tone. */
export function ResponseChart({ response: { hertz, lamps }, sound, fillOf }: Props) {
  const [least, most] = [hertz[0]!, hertz[hertz.length - 1]!];
  const across = scaleLog().domain([least, most]).range([LEFT, RIGHT]);
  const all = Object.values(lamps).flat();
  const up = scaleLinear()
    .domain([0, Math.max(...all, 1e-3) * 1.08])
    .range([BASE, TOP]);
  const path = (amps: readonly number[]) =>
    line<number>()
      .x((_, i) => across(hertz[i]!))
      .y((value) => up(value))(amps) ?? '';
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="line-chart"
      role="img"
      aria-label={`Current of the lamps from ${formatQuantity(least, 'Hz', 2)} to ${formatQuantity(most, 'Hz', 2)}`}
    >
      <AmpsAxis up={up} left={LEFT} right={RIGHT} unitAt={TOP - 12} />
      {sound.channels.map(({ band, tone, lamps: own }) => (
        <g key={band}>
          <path d={path(lamps[own[0]!] ?? [])} fill="none" stroke="var(--ink)" strokeWidth="3.4" />
          <path
            d={path(lamps[own[0]!] ?? [])}
            fill="none"
            stroke={fillOf(own[0]!)}
            strokeWidth="2.2"
            strokeDasharray={DASHES[band]}
          />
          <text
            x={across(tone)}
            y={up(peakOf(lamps[own[0]!])) - 7}
            textAnchor="middle"
            fontSize="12"
            fill="var(--ink)"
          >
            {BAND_WORDS[band]}, {own.join(' and ')}
          </text>
          <path
            d="M0 0 l-4 7 h8 Z"
            transform={`translate(${across(tone)} ${BASE + 20})`}
            fill="var(--copper)"
          />
          <text x={across(tone)} y={BASE + 38} textAnchor="middle" fontSize="12" fill="var(--ink)">
            {formatQuantity(tone, 'Hz', 2)}
          </text>
        </g>
      ))}
      <line x1={LEFT} x2={RIGHT} y1={BASE} y2={BASE} stroke="var(--ink)" />
      {[20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000].map((tick) => (
        <g key={tick} transform={`translate(${across(tick)} ${BASE})`}>
          <line y2="4" stroke="var(--ink)" />
          <text y="15" textAnchor="middle" fontSize="12" fill="var(--soft)">
            {formatQuantity(tick, 'Hz', 1)}
          </text>
        </g>
      ))}
    </svg>
  );
}
