import type { BandColour } from '@/core';
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
