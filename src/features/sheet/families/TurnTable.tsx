import { formatEntered, formatPercent, formatQuantity, MINUS, type LampTurn } from '@/core';
import { Heads } from '@/ui/Heads';

/** How long each lamp is lit in its turn, beside the wish: what the chips' times together come to. */
export function TurnTable({ turns }: { turns: readonly LampTurn[] }) {
  return (
    <section className="ruled">
      <h2>Each lamp’s turn</h2>
      <table className="table">
        <Heads columns={[['lamp'], ['wished', 'amount'], ['lit, as solved', 'amount'], ['off', 'amount']]} />
        <tbody>
          {turns.map(({ part, wanted, solved }) => (
            <tr key={part}>
              <th scope="row">{part}</th>
              <td className="amount">{formatEntered(wanted, 's')}</td>
              <td className="amount">{formatQuantity(solved, 's', 3)}</td>
              <td className="amount">
                {solved < wanted ? MINUS : '+'}
                {formatPercent(Math.abs(solved / wanted - 1))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
