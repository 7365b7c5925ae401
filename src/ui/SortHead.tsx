import type { ReactNode } from 'react';

interface Props {
  readonly figure?: boolean;
  readonly sorted: false | 'asc' | 'desc';
  onSort(): void;
  readonly children: ReactNode;
}

/** A column head that sorts its table. */
export function SortHead({ figure = false, sorted, onSort, children }: Props) {
  const order = sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none';
  return (
    <th scope="col" aria-sort={order} className={figure ? 'amount' : undefined}>
      <button type="button" className="sort-head" onClick={onSort}>
        {children}
        <span aria-hidden="true">{sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}</span>
      </button>
    </th>
  );
}
