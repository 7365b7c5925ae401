import type { Point } from './geometry';
import { LETTERS } from './lettering';
import { Outlined } from './Outlined';
import { DRAWN } from './palette';

/** A name beside a part, readable over holes and wires. */
export function Label({
  place,
  first,
  second,
  anchor,
}: {
  place: Point;
  first: string;
  second?: string | undefined;
  anchor?: 'start' | 'middle' | 'end';
}) {
  return (
    <Outlined x={place.x} y={place.y} size={LETTERS.label} {...(anchor ? { anchor } : {})}>
      {first}
      {second && (
        <tspan x={place.x} dy="12" fill={DRAWN.soft} fontSize={LETTERS.second}>
          {second}
        </tspan>
      )}
    </Outlined>
  );
}

/** Where the name of something between two or more legs stands: at its right, half-way down. */
export function beside(ends: readonly Point[]): Point {
  const [first, last] = [ends[0]!, ends[ends.length - 1]!];
  const lying = Math.abs(first.y - last.y) < 1;
  return lying
    ? { x: Math.min(first.x, last.x) + 4, y: first.y - 10 }
    : { x: Math.max(first.x, last.x) + 12, y: (first.y + last.y) / 2 };
}
