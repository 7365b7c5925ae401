import Button from 'react-bootstrap/Button';
import {
  formatPercent,
  formatQuantity,
  MINUS,
  type ChipTimes,
  type PatternChoice,
  type TimingOption,
} from '@/core';
import { optionName, optionRemarks, timingLines } from '@/messages/timing';
import { Heads } from '@/ui/Heads';
import { SumRows } from '../sums/SumBlockTable';

interface Props {
  readonly timing: readonly ChipTimes[];
  readonly choice: PatternChoice;
  onChoice(choice: PatternChoice): void;
}

/** Every chip's time: wished, by the rule of thumb and solved; and the other values of the drawer beside those taken. */
export function TimingWork({ timing, choice, onChoice }: Props) {
  return timing.map((chip) => (
    <section key={chip.chip} className="ruled">
      <h2>
        {chip.chip}: {optionName(takenOf(chip))}
      </h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={timingLines(chip)} />
        </tbody>
      </table>
      <details>
        <summary>Other values of the drawer</summary>
        <Options {...{ chip, choice, onChoice }} />
      </details>
    </section>
  ));
}

function takenOf({ values, options }: ChipTimes): TimingOption {
  return options.find((option) => same(option, values)) ?? { ...options[0]!, ...values };
}

function same(option: TimingOption, values: ChipTimes['values']): boolean {
  return option.r === values.r && option.farads === values.farads && option.ra === values.ra;
}

function Options({ chip, choice, onChoice }: Omit<Props, 'timing'> & { chip: ChipTimes }) {
  // Only lessons with a chip come here, and all of them take values by hand.
  const params = choice.params as { readonly taken?: Readonly<Record<string, object>> | undefined };
  const put = (taken: typeof params.taken) =>
    onChoice({ ...choice, params: { ...choice.params, taken } } as PatternChoice);
  const take = ({ ra, r, farads }: TimingOption) =>
    put({ ...params.taken, [chip.chip]: { ...(ra === undefined ? {} : { ra }), r, farads } });
  const byHand = params.taken?.[chip.chip] !== undefined;
  return (
    <>
      {byHand && (
        <p className="pt-2 mb-1">
          These were taken by hand.{' '}
          <Button
            variant="quiet"
            size="sm"
            onClick={() => {
              const { [chip.chip]: _gone, ...rest } = params.taken ?? {};
              put(Object.keys(rest).length > 0 ? rest : undefined);
            }}
          >
            Let the nearest be taken again
          </Button>
        </p>
      )}
      <table className="table">
        <Heads
          columns={[
            ['values'],
            ['off the wish', 'amount'],
            ['strays up to', 'amount'],
            ['draws', 'amount'],
            ['', 'amount'],
          ]}
        />
        <tbody>
          {chip.options.map((option) => {
            const taken = same(option, chip.values);
            return (
              <tr key={optionName(option)}>
                <th scope="row">
                  {optionName(option)} <span className="small-print">{optionRemarks(option, taken)}</span>
                </th>
                <td className="amount">
                  {option.error < 0 ? MINUS : '+'}
                  {formatPercent(Math.abs(option.error))}
                </td>
                <td className="amount">±{formatPercent(option.spread)}</td>
                <td className="amount">{formatQuantity(option.drawAmps, 'A', 2)}</td>
                <td className="amount">
                  {!taken && (
                    <Button variant="quiet" size="sm" onClick={() => take(option)}>
                      take
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
