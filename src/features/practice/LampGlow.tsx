import type { Look } from '@/core';

const GLOW: Readonly<Record<Look, number>> = { dark: 0, dim: 0.35, lit: 0.8, 'too-bright': 1, blinking: 0.8 };

/** A lamp as it looks: the more light, the more of the disc is filled; what blinks is drawn half. */
export function LampGlow({ lamp, look }: { readonly lamp: string; readonly look: Look }) {
  const radius = 7 * Math.sqrt(GLOW[look]);
  return (
    <svg className="lamp-glow" viewBox="-11 -11 22 22" aria-label={`${lamp} ${look}`} role="img">
      <circle r="8" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.2" />
      {look === 'blinking' ? (
        <path
          d={`M0 ${-radius} a${radius} ${radius} 0 0 0 0 ${2 * radius} Z`}
          fill="var(--lamp, var(--close))"
        />
      ) : (
        <circle r={radius} fill="var(--lamp, var(--close))" />
      )}
      {look === 'too-bright' && <circle r="10" fill="none" stroke="var(--off)" strokeWidth="1.2" />}
    </svg>
  );
}
