import { formatFarads, formatOhms, type Helper } from '@/core';
import { HELPER_WORDS } from '@/messages/timing';

/** What else the circuit wants, and what for. */
export function HelperTable({ helpers }: { helpers: readonly Helper[] }) {
  if (helpers.length === 0) return null;
  return (
    <section className="ruled">
      <h2>What else it wants</h2>
      <table className="table sums">
        <tbody>
          {helpers.map(({ part, ohms, farads, job }) => (
            <tr key={part}>
              <th scope="row">{part}</th>
              <td className="soft">{HELPER_WORDS[job]}</td>
              <td className="amount">{ohms === undefined ? formatFarads(farads ?? 0) : formatOhms(ohms)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
