import type { ReactNode } from 'react';
import { DRAWN } from './palette';

interface Props {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly soft?: boolean;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly children: ReactNode;
}

/** Lettering that is read over holes, copper and wires: in the board's own colour round every letter. */
export function Outlined({ x, y, size, soft = false, anchor = 'start', children }: Props) {
  return (
    <text
      x={x}
      y={y}
      fontSize={size}
      textAnchor={anchor}
      fill={soft ? DRAWN.soft : DRAWN.ink}
      stroke={DRAWN.board}
      strokeWidth={size * 0.27}
      paintOrder="stroke"
      pointerEvents="none"
    >
      {children}
    </text>
  );
}
