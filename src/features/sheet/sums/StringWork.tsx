import {
  formatEntered,
  formatOhms,
  formatQuantity,
  MINUS,
  type HouseStyle,
  type SteadySums,
  type StringSum,
} from '@/core';
import { lampName } from '@/messages/names';
import { listWords } from '@/messages/stepWords';
import { SumRows } from './SumBlockTable';

const V = (volts: number) => formatQuantity(volts, 'V');

/** The sum of each string once; strings that are alike share it. */
export function StringWork({ steady, style }: { steady: SteadySums; style: HouseStyle }) {
  const shown = steady.strings.filter((sum) => sum.alike[0] === sum.resistor);
  return shown.map((sum) => (
    <section key={sum.resistor} className="ruled">
      <h2>
        {listWords(sum.alike)}: {lampsWords(sum)}
      </h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={lines(sum, steady, style)} />
        </tbody>
      </table>
    </section>
  ));
}

function lampsWords({ lamps, alike, sideBySide }: StringSum): string {
  const names = lamps.map(({ type }) => lampName(type)).join(sideBySide ? ' beside ' : ' + ');
  return alike.length > 1 ? `${names}, ${alike.length} times` : names;
}

function lines(sum: StringSum, steady: SteadySums, style: HouseStyle) {
  const { supplyFigures, design } = steady;
  const own = design.lamps.find(({ part }) => part === sum.lamps[0]?.part);
  return [
    {
      name: `${sum.lamps.length > 1 ? 'the lamps take' : 'the lamp takes'}, at ${formatEntered(sum.wanted, 'A')}`,
      work: takesWords(sum),
      figure: V(sum.lampVolts),
    },
    {
      name: 'volts left for the resistor',
      work: `${V(sum.voltsLeft + sum.lampVolts)} ${MINUS} ${V(sum.lampVolts)}`,
      figure: V(sum.voltsLeft),
    },
    {
      name: 'divided by the current',
      work: `${V(sum.voltsLeft)} ÷ ${formatEntered(sum.wanted, 'A')}${supplyFigures.ohms > 0 ? ', less the supply’s own ohms' : ''}`,
      figure: formatQuantity(sum.exactOhms, 'Ω', 4),
    },
    {
      name: `chosen, ${{ up: 'next value up', nearest: 'nearest value', walk: 'walked down' }[style.rounding]}`,
      work: style.values === 'drawer' ? 'from the drawer' : `from the ${style.values} series`,
      figure: formatOhms(sum.chosen),
      strong: true,
    },
    ...(own
      ? [
          {
            name: 'real current with it',
            work: `solved in the whole circuit, ${Math.round(own.share * 100)} % of the lamp’s limit`,
            figure: formatQuantity(Math.max(0, own.amps), 'A'),
            strong: true,
          },
        ]
      : []),
  ];
}

/** Lamps one behind the other take their volts together; side by side the one that takes most decides. */
function takesWords({ lamps, sideBySide }: StringSum): string {
  if (lamps.length === 1) return 'off its curve';
  const volts = lamps.map((lamp) => V(lamp.volts));
  return sideBySide ? `side by side, the most of ${volts.join(', ')}` : volts.join(' + ');
}
