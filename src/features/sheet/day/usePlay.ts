'use client';

import { useEffect, useRef, useState } from 'react';
import { isCalm } from '@/features/hooks/isCalm';

/** Flashes a second that a preview never passes. */
const FLASHES_MOST = 2.5;
const TICK_MS = 100;
/** With motion unwished, a step from change to change each second. */
const CALM_MS = 1000;

/** How many times slower than life a run is shown so that nothing flashes faster than previews may. */
export function slownessFor(hertz: number): number {
  return Math.max(1, hertz / FLASHES_MOST);
}

interface Play {
  readonly playing: boolean;
  toggle(): void;
}

/**
 * Moves the ruler along by itself, in slow motion; started by hand only.
 *
 * @param slowness seconds on the screen for a second of the run
 * @param onward where it goes from a time, as so many seconds pass; with calm motion, to the next change
 */
export function usePlay(
  slowness: number,
  at: number,
  onward: (from: number, seconds: number | 'change') => number,
  onAt: (time: number) => void,
): Play {
  const [playing, setPlaying] = useState(false);
  const now = useRef({ at, onward, onAt });
  useEffect(() => {
    now.current = { at, onward, onAt };
  });
  useEffect(() => {
    if (!playing) return;
    const calm = isCalm();
    const tick = () => {
      const { at: from, onward: next, onAt: put } = now.current;
      put(next(from, calm ? 'change' : TICK_MS / 1000 / slowness));
    };
    const timer = setInterval(tick, calm ? CALM_MS : TICK_MS);
    return () => clearInterval(timer);
  }, [playing, slowness]);
  return { playing, toggle: () => setPlaying((before) => !before) };
}
