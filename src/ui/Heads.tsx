/** A column's name, and where figures stand at its right or it keeps a distance, the class that does so. */
type Column = readonly [name: string, className?: 'amount' | 'ps-4' | 'ps-3'];

/** The head of a table in one line. */
export function Heads({ columns }: { columns: readonly Column[] }) {
  return (
    <thead>
      <tr>
        {columns.map(([name, className]) => (
          <th key={name} scope="col" className={className}>
            {name}
          </th>
        ))}
      </tr>
    </thead>
  );
}
