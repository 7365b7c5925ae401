import { bandsFor, type BandColour } from '@/core';
import type { Point } from './geometry';
import { BAND_FILLS, DRAWN } from './palette';

/** A resistor lying flat with its bands, reading from the left; drawn for the sums and the band reader. */
export function ResistorDrawing({
  bands,
  width = 74,
  title,
}: {
  bands: readonly BandColour[];
  width?: number;
  title: string;
}) {
  return (
    <svg viewBox="0 0 74 16" width={width} role="img" aria-label={title}>
      <line x1="0" y1="8" x2="74" y2="8" stroke={DRAWN.leg} strokeWidth="1.5" />
      <g transform="translate(12 2)">
        <ResistorBody bands={bands} length={50} thickness={12} />
      </g>
    </svg>
  );
}

/** The body alone, along x from 0; the last band stands apart, so that the reading end is plain. */
export function ResistorBody({
  bands,
  length,
  thickness,
}: {
  bands: readonly BandColour[];
  length: number;
  thickness: number;
}) {
  const gap = (length * 0.6) / Math.max(1, bands.length - 1);
  const width = Math.min(length * 0.08, gap * 0.62);
  return (
    <>
      <rect
        width={length}
        height={thickness}
        rx={thickness / 2.6}
        fill={DRAWN.body}
        stroke={DRAWN.ink}
        strokeWidth="0.8"
      />
      {bands.map((colour, i) => (
        <rect
          key={`${i}-${colour}`}
          x={i === bands.length - 1 ? length * 0.82 : length * 0.13 + i * gap}
          y="0.4"
          width={width}
          height={thickness - 0.8}
          fill={BAND_FILLS[colour]}
          stroke={colour === 'white' ? DRAWN.soft : 'none'}
          strokeWidth="0.4"
        />
      ))}
    </>
  );
}

/** A resistor between two holes of a board, its bands true to its value. */
export function LyingResistor({
  ends,
  ohms,
  tolerance,
}: {
  ends: readonly Point[];
  ohms: number;
  tolerance: number;
}) {
  const [a, b] = ends as [Point, Point];
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const angle = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const body = Math.min(34, Math.max(14, length * 0.5));
  const bands = bandsFor(ohms, tolerance < 0.05 ? 5 : 4, tolerance) ?? bandsFor(ohms, 5, 0.01) ?? [];
  return (
    <>
      <g transform={`translate(${a.x} ${a.y}) rotate(${angle})`}>
        <line x1="0" y1="0" x2={length} y2="0" stroke={DRAWN.leg} strokeWidth="2" />
        <g transform={`translate(${(length - body) / 2} -6.5)`}>
          <ResistorBody bands={bands} length={body} thickness={13} />
        </g>
      </g>
    </>
  );
}
