import Button from 'react-bootstrap/Button';
import { formatPercent, formatQuantity, spentAt } from '@/core';
import { SUPPLY_NAMES } from '@/messages/names';
import type { Battery } from '@/server/repositories/batteries';
import { dayName, dayOf } from '@/ui/dates';
import { Heads } from '@/ui/Heads';
import { useAnswer } from '@/ui/useAnswer';
import { putAwayBattery } from './actions';

/** The batteries that were read: lessons choose from them by name. */
export function BatteryTable({ batteries }: { batteries: readonly Battery[] }) {
  const { problem, pending, run } = useAnswer();
  if (batteries.length === 0)
    return (
      <p className="small-print">
        None is kept yet. A kept one can be chosen by its name in a lesson’s sentence, where it says how old
        the supply is.
      </p>
    );
  return (
    <>
      <table className="table">
        <Heads
          columns={[
            ['battery'],
            ['open', 'amount'],
            ['its own ohms', 'amount'],
            ['spent', 'amount'],
            ['read on', 'ps-3'],
          ]}
        />
        <tbody>
          {batteries.map((battery) => {
            const { id, name, kind, cells, volts, ohms, measuredAt } = battery;
            const spent = spentAt({ kind, cells, age: 'nominal' }, volts);
            return (
              <tr key={id}>
                <th scope="row">
                  {name}{' '}
                  <span className="small-print">
                    {cells > 1 ? `${cells} ${SUPPLY_NAMES[kind].many}` : SUPPLY_NAMES[kind].one}
                  </span>
                </th>
                <td className="amount">{formatQuantity(volts, 'V')}</td>
                <td className="amount">{formatQuantity(ohms, 'Ω')}</td>
                <td className="amount">{spent === undefined ? '–' : formatPercent(spent)}</td>
                <td className="ps-3">
                  {dayName(dayOf(new Date(measuredAt)))}{' '}
                  <Button
                    variant="text"
                    className="btn-text"
                    disabled={pending}
                    aria-label={`Put ${name} away`}
                    onClick={() => run(() => putAwayBattery(id, true))}
                  >
                    put away
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}
