import type { SumBlock, SumLine } from '@/messages/sumLines';
import { Changed } from '../Changed';

/** One sum in a few lines. */
export function SumBlockTable({ block }: { block: SumBlock }) {
  return (
    <section className="ruled sum-block">
      <h2>{block.title}</h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={block.lines} />
        </tbody>
      </table>
    </section>
  );
}

/** Lines of working: what it is, how it comes about, and the figure. */
export function SumRows({ lines }: { lines: readonly SumLine[] }) {
  return lines.map(({ name, work, figure, strong }) => (
    <tr key={name}>
      <th scope="row">{name}</th>
      <td className="soft">{work}</td>
      <td className={strong ? 'amount strong' : 'amount'}>
        <Changed>{figure}</Changed>
      </td>
    </tr>
  ));
}
