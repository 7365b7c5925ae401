import type { KeyboardEvent, PointerEvent, RefObject } from 'react';

interface Ruler {
  readonly svgRef: RefObject<SVGSVGElement | null>;
  /** Width that the chart is drawn in, whatever it is shown at. */
  readonly width: number;
  /** Ends between which the ruler stands. */
  readonly ends: readonly [number, number];
  /** What lies at a place of the drawing. */
  at(place: number): number;
  onAt(value: number): void;
  /** One press of an arrow, to the left or to the right. */
  onStep(step: -1 | 1, shift: boolean): void;
}

/** A ruler that is dragged along a chart, or moved by the arrow keys. */
export function useRuler({ svgRef, width, ends: [first, last], at, onAt, onStep }: Ruler) {
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (event.type === 'pointermove' && event.buttons === 0) return;
    const box = svgRef.current?.getBoundingClientRect();
    if (!box || box.width === 0) return;
    const place = ((event.clientX - box.left) / box.width) * width;
    onAt(Math.min(last, Math.max(first, at(place))));
  };
  const key = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    onStep(step, event.shiftKey);
  };
  return { onPointerDown: drag, onPointerMove: drag, onKeyDown: key };
}
