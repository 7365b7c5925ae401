import Button from 'react-bootstrap/Button';
import { formatQuantity } from '@/core';
import { saveTable } from '@/features/hooks/saveTable';
import type { Happening } from '@/messages/instant';
import { slug } from '@/ui/download';
import { LISTED_MOST } from './happenings';

interface Props {
  readonly changes: readonly Happening[];
  readonly at: number;
  readonly title: string;
  onAt(time: number): void;
}

/** What happens one after another, each a way to that instant. */
export function Happenings({ changes, at, title, onAt }: Props) {
  const listed = changes.slice(0, LISTED_MOST);
  const save = () =>
    saveTable(
      `${slug(title)}-changes.csv`,
      ['seconds', 'what happens'],
      changes.map(({ time, words }) => [time, words]),
    );
  return (
    <details className="mt-3">
      <summary>What happens, one after another ({changes.length})</summary>
      <ol className="happenings">
        {listed.map(({ time, words }) => (
          <li key={time} aria-current={Math.abs(time - at) < 1e-9 ? 'true' : undefined}>
            <button type="button" className="as-link" onClick={() => onAt(time)}>
              {time === 0 ? '0 s' : formatQuantity(time, 's', 4)}
            </button>{' '}
            {words}
          </li>
        ))}
      </ol>
      {changes.length > listed.length && (
        <p className="small-print">And {changes.length - listed.length} more: all of them are in the CSV.</p>
      )}
      <Button variant="quiet" size="sm" className="no-print" onClick={save}>
        Save as CSV
      </Button>
    </details>
  );
}
