import type { SumBlock } from '@/messages/levels';

/** One sum in a few lines. */
export function SumBlockTable({ block }: { block: SumBlock }) {
  return (
    <section className="ruled">
      <h2>{block.title}</h2>
      <table className="table sums">
        <tbody>
          {block.lines.map(({ name, work, figure }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="soft">{work}</td>
              <td className="amount">{figure}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
