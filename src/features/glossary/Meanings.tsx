import './glossary.css';

/** Names with what they mean, one below the other. */
export function Meanings({ list }: { list: readonly (readonly [name: string, meaning: string])[] }) {
  return (
    <dl className="words">
      {list.map(([name, meaning]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{meaning}</dd>
        </div>
      ))}
    </dl>
  );
}
