import type { ChipBox } from '@/core';
import { TIMER_PINS } from '@/messages/names';

interface Props {
  readonly box: ChipBox;
  toX(x: number): number;
  toY(y: number): number;
  /** Without names, where it is drawn as a sign. */
  readonly bare?: boolean;
}

/** A chip as a box, its pins by number and function where their wires begin. */
export function ChipSymbol({ box, toX, toY, bare = false }: Props) {
  const [left, top] = [toX(box.x), toY(box.y)];
  const [width, height] = [toX(box.x + box.width) - left, toY(box.y + box.height) - top];
  return (
    <g>
      <rect x={left} y={top} width={width} height={height} fill="var(--sheet)" />
      {!bare && (
        <g stroke="none" fill="var(--ink)" fontSize="10.5">
          <text
            x={left + width / 2}
            y={top + height / 2 + 4}
            textAnchor="middle"
            fontSize="13"
            fontWeight="700"
          >
            {box.part.id}
          </text>
          {box.pins.map(({ pin, x, y, side }) => (
            <text
              key={pin}
              x={toX(x) + (side === 'left' ? 5 : side === 'right' ? -5 : 0)}
              y={toY(y) + (side === 'top' ? 13 : side === 'foot' ? -6 : 4)}
              textAnchor={side === 'left' ? 'start' : side === 'right' ? 'end' : 'middle'}
            >
              {`${TIMER_PINS.findIndex((name) => name === pin) + 1} ${pin}`}
            </text>
          ))}
        </g>
      )}
    </g>
  );
}
