import { partOf, type Instant, type Sheet } from '@/core';
import { PIN_JOBS, pinWords } from '@/messages/instant';
import { TIMER_PINS } from '@/messages/names';

/** What every pin of each chip sees at the instant and therefore does; and what each pin is for. */
export function ChipInside({ instant, sheet }: { instant: Instant; sheet: Sheet }) {
  const several = instant.chips.length > 1;
  return (
    <>
      <h3 className="mt-3">Inside the {several ? 'chips' : 'chip'}, at this instant</h3>
      {instant.chips.map((chip) => (
        <table key={chip.chip} className="table sums">
          {several && <caption className="chip-caption">{chip.chip}</caption>}
          <tbody>
            {chip.pins.map((pin) => {
              const [name, sees, does] = pinWords(pin, chip.amps);
              return (
                <tr key={pin.pin}>
                  <th scope="row">{name}</th>
                  <td className="soft">{sees}</td>
                  <td className="amount">{does}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      ))}
      <details className="no-print">
        <summary>The eight pins, and what each is for</summary>
        <table className="table">
          <tbody>
            {TIMER_PINS.map((pin, i) => (
              <tr key={pin}>
                <th scope="row">
                  {i + 1} {pin}
                </th>
                <td>{PIN_JOBS[pin]}</td>
                <td className="soft">{goesTo(pin, sheet)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}

/** What hangs on a pin of the first chip. */
function goesTo(pin: string, { circuit }: Sheet): string {
  const chip = partOf(circuit, 'U1');
  const net = chip?.pins[pin];
  if (net === undefined) return 'left alone here';
  const there = circuit.parts.flatMap((part) =>
    Object.entries(part.pins).flatMap(([own, at]) =>
      at !== net || (part.id === chip!.id && own === pin)
        ? []
        : [
            part.kind === 'timer'
              ? `pin ${TIMER_PINS.findIndex((name) => name === own) + 1} of ${part.id}`
              : part.id,
          ],
    ),
  );
  return [...new Set(there)].slice(0, 5).join(', ');
}
