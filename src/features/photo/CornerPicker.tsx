import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Corners } from '@/core';
import { holeName } from '@/messages/holes';
import type { Anchors } from './anchors';

interface Props {
  readonly source: string;
  readonly anchors: Anchors;
  /** In shares of the picture's width and height. */
  readonly corners: Corners;
  onMove(corners: Corners): void;
}

/** A key moves a corner by so much of the picture; with Shift ten times that. */
const KEY_STEP = 0.002;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The picture, with four marks that are drawn to the holes they are named by. */
export function CornerPicker({ source, anchors, corners, onMove }: Props) {
  const { holes, spots, width, height } = anchors;
  const frame = useRef<HTMLDivElement>(null);
  const move = (index: number, x: number, y: number) => {
    const within = (share: number) => Math.min(1, Math.max(0, share));
    onMove(
      corners.map((spot, i) => (i === index ? { x: within(x), y: within(y) } : spot)) as unknown as Corners,
    );
  };
  const drag = (index: number) => (event: PointerEvent<HTMLButtonElement>) => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const { left, top, width, height } = frame.current!.getBoundingClientRect();
    move(index, (event.clientX - left) / width, (event.clientY - top) / height);
  };
  const key = (index: number) => (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const far = KEY_STEP * (event.shiftKey ? 10 : 1);
    const { x, y } = corners[index]!;
    move(index, x + far * step[0], y + far * step[1]);
  };
  return (
    <div className="corner-frame" ref={frame}>
      {/* The picture is this house's own and changes with every bench: there is nothing to be optimised. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img src={source} alt="The bench as it was photographed" draggable={false} />
      <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
        <polygon points={corners.map(({ x, y }) => `${x},${y}`).join(' ')} />
      </svg>
      {corners.map(({ x, y }, i) => (
        <button
          key={i}
          type="button"
          className="corner"
          data-drawn={`${spots[i]!.x / width} ${spots[i]!.y / height}`}
          style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
          aria-label={`Mark of hole ${holeName(holes[i]!)}: arrow keys move it`}
          onPointerDown={drag(i)}
          onPointerMove={drag(i)}
          onKeyDown={key(i)}
        >
          <span>{holeName(holes[i]!)}</span>
        </button>
      ))}
    </div>
  );
}
