import Button from 'react-bootstrap/Button';
import {
  formatHours,
  formatPercent,
  formatQuantity,
  patternOf,
  type HouseStyle,
  type PatternChoice,
  type Way,
} from '@/core';
import { money } from '@/messages/money';
import { sentences } from '@/messages/findings';
import { supplyName } from '@/messages/names';
import { bestWords, wayWords } from '@/messages/ways';
import { StatusMark } from '@/ui/StatusMark';
import { Scroll } from '@/ui/Scroll';

interface Props {
  readonly ways: readonly Way[];
  readonly style: HouseStyle;
  readonly choice: PatternChoice;
  onChoice(choice: PatternChoice): void;
}

/** Every way to meet the wish side by side; those that do not work say why, with the figures. */
export function WaysTable({ ways, style, choice, onChoice }: Props) {
  const heads = ['lit fresh', 'lit tired', 'current', 'kept', 'heat', 'hours lit', 'parts', 'price'];
  return (
    <section className="ruled">
      <h2>Ways to do it</h2>
      <Scroll label="Ways to join the lamps" className="wide-table">
        <table className="table ways">
          <thead>
            <tr>
              <th scope="col">way</th>
              {heads.map((head) => (
                <th key={head} scope="col" className="amount">
                  {head}
                </th>
              ))}
              <th scope="col">
                <span className="visually-hidden">take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {ways.map((way) => (
              <WayRow
                key={`${way.kind} ${way.length} ${way.supply.kind} ${way.supply.cells}`}
                {...{ way, style, choice, onChoice }}
                elsewhere={JSON.stringify(way.supply) !== JSON.stringify(ways[0]!.supply)}
              />
            ))}
          </tbody>
        </table>
      </Scroll>
    </section>
  );
}

function WayRow({
  way,
  style,
  choice,
  elsewhere,
  onChoice,
}: Omit<Props, 'ways'> & { way: Way; elsewhere: boolean }) {
  const { figures } = way;
  const params = way.taken ? undefined : patternOf(choice.pattern).withWay?.(choice.params, way);
  const next = params ? ({ ...choice, params } as PatternChoice) : undefined;
  const why = [bestWords(way), sentences(way.why)].filter(Boolean).join(' ');
  return (
    <>
      <tr className={way.taken ? 'strong' : undefined}>
        <th scope="row">
          <StatusMark status={way.works ? 'right' : 'off'} size={10} /> {wayWords(way)}
          {elsewhere && <span className="soft">, {supplyName(way.supply)}</span>}
          {way.taken && <span className="soft"> (this lesson)</span>}
        </th>
        {figures ? (
          <>
            <td className="amount">
              {figures.litFresh} of {figures.lamps}
            </td>
            <td className="amount">
              {figures.litTired} of {figures.lamps}
            </td>
            <td className="amount">{formatQuantity(figures.amps, 'A')}</td>
            <td className="amount" title="from a tired supply, and from any batch of lamps">
              {formatPercent(figures.kept)}
            </td>
            <td className="amount">{formatQuantity(figures.lostWatts, 'W', 2)}</td>
            <td className="amount">{figures.hours === undefined ? '–' : formatHours(figures.hours)}</td>
            <td className="amount">{figures.parts}</td>
            <td className="amount">
              {figures.cents === undefined ? 'no price' : money(figures.cents, style.currency)}
            </td>
          </>
        ) : (
          <td colSpan={8} className="soft">
            cannot be built
          </td>
        )}
        <td className="amount">
          {next && figures && (
            <Button variant="text" className="btn-text" onClick={() => onChoice(next)}>
              take it
            </Button>
          )}
        </td>
      </tr>
      {why && (
        <tr className="why">
          <td colSpan={10} className="small-print">
            {why}
          </td>
        </tr>
      )}
    </>
  );
}
