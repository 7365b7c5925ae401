import Button from 'react-bootstrap/Button';
import type { Bench, Refused } from './bench';

export interface RefusedCell {
  readonly student: Bench;
  readonly point: string;
  /** The checkpoint in words. */
  readonly name: string;
  readonly problem: Refused;
}

interface Props {
  readonly cells: readonly RefusedCell[];
  onTake(cell: RefusedCell, typed: string, sure: boolean): void;
  onLeave(cell: RefusedCell): void;
}

/** Figures that were not taken, with what can be done: at the foot of the screen, so that no row of the grid moves. */
export function RefusedTray({ cells, onTake, onLeave }: Props) {
  if (cells.length === 0) return null;
  return (
    <div className="refused-tray">
      {cells.map((cell) => {
        const { student, point, name, problem } = cell;
        return (
          <div key={`${student.id} ${point}`} role="alert">
            <strong>
              Bench {student.bench}, {name}:
            </strong>{' '}
            {problem.message}{' '}
            {problem.perhaps && (
              <>
                <Button size="sm" variant="quiet" onClick={() => onTake(cell, problem.perhaps!, false)}>
                  Take {problem.perhaps}
                </Button>{' '}
                <Button size="sm" variant="quiet" onClick={() => onTake(cell, problem.typed, true)}>
                  Keep {problem.typed}
                </Button>{' '}
              </>
            )}
            <Button size="sm" variant="quiet" onClick={() => onLeave(cell)}>
              {problem.typed ? 'Leave it out' : 'Close'}
            </Button>
          </div>
        );
      })}
    </div>
  );
}
