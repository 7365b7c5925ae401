'use client';

import { useEffect, useState, type RefObject } from 'react';
import type { Diagram } from '@/core';
import { heightAt, LONG_DRAWING, type Seen } from '@/features/plan/CircuitDiagram';

/** Looked ahead, in heights of the window upon it; what is drawn changes in steps of one. */
const AHEAD = 1;

/**
 * Which heights of a long drawing are looked at inside the box that scrolls it, with some room before and behind.
 *
 * @returns nothing for a drawing that is short enough to stand there whole
 */
export function useSeen(
  box: RefObject<HTMLDivElement | null>,
  diagram: Diagram | undefined,
): Seen | undefined {
  const long = diagram !== undefined && diagram.symbols.length > LONG_DRAWING ? diagram : undefined;
  const [seen, setSeen] = useState<Seen>({ from: 0, to: 0 });
  useEffect(() => {
    const scrolled = box.current;
    if (!long || !scrolled) return;
    const look = () => {
      const whole = scrolled.querySelector('svg')?.getBoundingClientRect().height;
      if (!whole) return;
      const step = Math.max(1, scrolled.clientHeight);
      const first = Math.floor(scrolled.scrollTop / step);
      const at = (steps: number) => heightAt((steps * step) / whole, long);
      setSeen((before) => {
        const next = { from: at(first - AHEAD), to: at(first + 2 + AHEAD) };
        return before.from === next.from && before.to === next.to ? before : next;
      });
    };
    const watcher = new ResizeObserver(look);
    watcher.observe(scrolled);
    scrolled.addEventListener('scroll', look, { passive: true });
    return () => {
      watcher.disconnect();
      scrolled.removeEventListener('scroll', look);
    };
  }, [box, long]);
  return long && seen;
}
