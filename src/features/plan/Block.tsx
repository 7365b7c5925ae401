import type { Point } from './geometry';
import { DRAWN } from './palette';

interface Props {
  readonly middle: Point;
  readonly width: number;
  readonly height: number;
  readonly fill: string;
}

/** A body with rounded corners, seen from above. */
export function Block({ middle, width, height, fill }: Props) {
  return (
    <rect
      x={middle.x - width / 2}
      y={middle.y - height / 2}
      width={width}
      height={height}
      rx="3"
      fill={fill}
      stroke={DRAWN.ink}
      strokeWidth="1.2"
    />
  );
}
