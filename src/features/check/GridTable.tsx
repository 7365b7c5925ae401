import type { ReactNode } from 'react';
import { columnUnit, formatPlain, type Expected } from '@/core';
import { pointName } from '@/messages/points';
import { SEEN_KEYS } from '@/messages/seen';
import { Scroll } from '@/ui/Scroll';
import './grid.css';

interface Props {
  readonly points: readonly Expected[];
  readonly lamps: readonly string[];
  /** What is held while one looks at them, in words; empty for nothing. */
  readonly looked: string;
  /** One row a bench. */
  readonly children: ReactNode;
}

/** The grid's frame: it scrolls inside itself, its head and its first columns stay in view. */
export function GridTable({ points, lamps, looked, children }: Props) {
  return (
    <Scroll label="Benches and their figures" className="scroll-x grid-scroll">
      <table className="table check-grid">
        <thead>
          <tr>
            <th scope="col" className="bench-cell">
              bench
            </th>
            <th scope="col" className="state">
              state
            </th>
            <th scope="col">
              predicted
              <br />
              mA
            </th>
            {lamps.length > 0 && (
              <th scope="col" title={`Type ok, or: ${SEEN_KEYS}.`}>
                {looked ? `lamps: ${looked}` : 'lamps'}
                <br />
                ok, or 2 dark
              </th>
            )}
            {points.map((point) => (
              <ColumnHead key={point.id} point={point} />
            ))}
            <th scope="col">most likely, and what would settle it</th>
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </Scroll>
  );
}

function ColumnHead({ point }: { point: Expected }) {
  const { name, scale } = columnUnit(point.unit);
  return (
    <th scope="col">
      {pointName(point.point)}
      <br />
      {formatPlain(point.low, scale)} – {formatPlain(point.high, scale)} {name}
    </th>
  );
}
