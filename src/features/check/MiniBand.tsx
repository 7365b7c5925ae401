import { scaleLinear } from 'd3';
import type { VerdictName } from '@/core';

const COLOUR: Readonly<Record<VerdictName, string>> = {
  right: 'var(--right)',
  close: 'var(--close)',
  off: 'var(--off)',
};

/** Where a reading lies against its band: a bar for the band, a tick for the reading; off the end it points outwards. */
export function MiniBand({
  low,
  high,
  value,
  verdict,
}: {
  low: number;
  high: number;
  value: number;
  verdict: VerdictName;
}) {
  const width = high - low;
  const x = scaleLinear()
    .domain([low - width, high + width])
    .range([2, 66])
    .clamp(true);
  const beyond = value < low - width ? 'low' : value > high + width ? 'high' : undefined;
  return (
    <svg viewBox="0 0 68 12" width="68" height="12" aria-hidden="true" className="mini-band">
      <line x1="2" x2="66" y1="6" y2="6" stroke="var(--rule)" strokeWidth="1.5" />
      <rect
        x={x(low)}
        y="3"
        width={x(high) - x(low)}
        height="6"
        fill="var(--band)"
        stroke="var(--line)"
        strokeWidth="0.8"
      />
      {beyond === 'low' && <path d="M7 1 L1 6 L7 11 Z" fill={COLOUR[verdict]} />}
      {beyond === 'high' && <path d="M61 1 L67 6 L61 11 Z" fill={COLOUR[verdict]} />}
      {!beyond && <rect x={x(value) - 1.2} y="0.5" width="2.4" height="11" fill={COLOUR[verdict]} />}
    </svg>
  );
}
