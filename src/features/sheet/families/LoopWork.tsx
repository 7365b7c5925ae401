import { Fragment } from 'react';
import {
  formatEntered,
  formatHours,
  formatOhms,
  formatPercent,
  formatQuantity,
  formatQuotient,
  formatSum,
  letterCode,
  MINUS,
  SUPPLIES,
  type SourceChoice,
  type BandColour,
  type HouseStyle,
  type LoopSums,
  type School,
  type LessonSums,
} from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { ageName, looksWords } from '@/messages/names';
import type { SumLine } from '@/messages/sumLines';
import { lifeWords } from '@/messages/life';
import { schoolWords } from '@/messages/schools';
import { Changed } from '../Changed';
import { SumRows } from '../sums/SumBlockTable';
import { Heads } from '@/ui/Heads';

const V = (volts: number) => formatQuantity(volts, 'V');
const A = (amps: number) => formatQuantity(amps, 'A');
const W = (watts: number) => formatQuantity(watts, 'W', 2);

interface Props {
  readonly sums: LessonSums;
  readonly loop: LoopSums;
  readonly style: HouseStyle;
}

/** The working of one lamp line by line, and the other schools beside it. */
export function LoopWork({ sums, loop, style }: Props) {
  return (
    <>
      <WorkingTable {...{ sums, loop, style }} />
      <Ages sums={sums} />
      <Schools loop={loop} supply={sums.supply} />
    </>
  );
}

/** The working as it would be written on the board. */
export function WorkingTable({ sums, loop, style }: Props) {
  return (
    <section className="ruled">
      <h2>Sums</h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={working({ sums, loop, style })} />
          <BandsRow count={4} bands={loop.bands4} ohms={loop.chosen} />
          <BandsRow count={5} bands={loop.bands5} ohms={loop.chosen} />
        </tbody>
      </table>
    </section>
  );
}

function working({ sums, loop, style }: Props): SumLine[] {
  const { supply, supplyFigures, design, hottest, rating, life } = sums;
  const { lamp, chosen, lampVolts, voltsLeft, wanted, loopOhms, around } = loop;
  const [now, hot] = [loopAt(design), loopAt(hottest)];
  const perCell = supplyFigures.volts / supply.cells;
  const cells = SUPPLIES[supply.kind].cellsMost > 1 && supply.cells > 1;
  const left = formatSum([supplyFigures.volts, -lampVolts], 'V');
  const quotient = formatQuotient(voltsLeft, wanted);
  const less = formatSum([loopOhms, -supplyFigures.ohms], 'Ω');
  const together = formatSum([now.resistorVolts, now.lampVolts, design.amps * supplyFigures.ohms], 'V');
  const between = [around.down, around.up].filter((ohms) => ohms !== undefined).map(formatOhms);
  return [
    {
      name: `supply, ${ageName(supply.age, supply)}`,
      work: cells ? `${supply.cells} × ${V(perCell)}` : 'as it comes',
      figure: V(supplyFigures.volts),
    },
    {
      name: `the lamp takes, at ${formatEntered(wanted, 'A')}`,
      work: `off its curve: ${V(lamp.vf)} at ${formatEntered(lamp.at, 'A')}`,
      figure: V(lampVolts),
    },
    {
      name: 'volts left for the resistor',
      work: left.terms.join(` ${MINUS} `),
      figure: left.total,
    },
    {
      name: 'divided by the wanted current',
      work: `${quotient.volts} ÷ ${formatEntered(wanted, 'A')}`,
      figure: quotient.ohms,
    },
    {
      name: 'less the supply’s own ohms',
      work: less.terms.join(` ${MINUS} `),
      figure: less.total,
    },
    {
      name: `to choose from, ${{ up: 'next value up', nearest: 'nearest value', walk: 'walked down' }[loop.rounding]}`,
      work: between.join(' | '),
      figure: formatOhms(chosen),
      strong: true,
    },
    ...(loop.pair
      ? [
          {
            name: 'two from the drawer would make',
            work: `${formatOhms(loop.pair.first)} and ${formatOhms(loop.pair.second)} in ${loop.pair.how}`,
            figure: formatQuantity(loop.pair.ohms, 'Ω', 4),
          },
        ]
      : []),
    {
      name: 'real current with it',
      work: `solved: ${V(now.resistorVolts)} ÷ ${formatOhms(chosen)}, ${formatPercent(now.share)} of the limit`,
      figure: A(design.amps),
      strong: true,
    },
    {
      name: 'the volts add up',
      work: `${together.terms.join(' + ')} inside the supply`,
      figure: together.total,
    },
    {
      name: 'heat in the resistor',
      work: `${A(hottest.amps)} × ${V(hot.resistorVolts)}${rating ? `, a ${ratingWords(rating)} part stays under ${formatPercent(style.ratingShare)}` : ', more than any rating here: use a lower supply'}`,
      figure: W(hot.resistorWatts),
    },
    {
      name: 'heat and light of the lamp',
      work: `${A(hottest.amps)} × ${V(hot.lampVolts)}`,
      figure: W(hot.lampWatts),
    },
    ...(loop.hours === undefined
      ? []
      : [
          {
            name: 'battery hours, rule of thumb',
            work: `${formatQuantity(supplyFigures.capacity ?? 0, 'Ah')} ÷ ${A((sums.ages.find((row) => row.age === 'nominal') ?? design).amps)}`,
            figure: formatHours(loop.hours),
          },
        ]),
    ...(life === undefined
      ? []
      : [
          {
            name: 'hours of light',
            work: lifeWords(life),
            figure: formatHours(life.useful),
            strong: true,
          },
        ]),
  ];
}

function ratingWords(watts: number): string {
  return { 0.125: '⅛ W', 0.25: '¼ W', 0.5: '½ W' }[watts] ?? `${watts} W`;
}

function BandsRow({
  count,
  bands,
  ohms,
}: {
  count: number;
  bands: readonly BandColour[] | undefined;
  ohms: number;
}) {
  return (
    <tr>
      <th scope="row">{count} bands</th>
      <td className="soft">
        {bands ? (
          <>
            {bands.join(', ')} <span className="ps-2">({letterCode(ohms)})</span>
          </>
        ) : (
          'cannot be written in so few digits'
        )}
      </td>
      <td className="amount">{bands && <ResistorDrawing bands={bands} title={bands.join(', ')} />}</td>
    </tr>
  );
}

/** What the one resistor and the one lamp of a loop do at an age. */
function loopAt({ lamps, hottest }: LessonSums['design']) {
  const [lamp] = lamps as [(typeof lamps)[0]];
  return {
    lampVolts: lamp.volts,
    lampWatts: lamp.volts * lamp.amps,
    share: lamp.share,
    brightness: lamp.brightness,
    type: lamp.type,
    resistorVolts: Math.abs(hottest?.volts ?? 0),
    resistorWatts: hottest?.watts ?? 0,
  };
}

function Ages({ sums }: { sums: LessonSums }) {
  if (SUPPLIES[sums.supply.kind].style === 'bench') return null;
  return (
    <section className="ruled">
      <h2>As the supply ages</h2>
      <table className="table">
        <Heads
          columns={[
            ['supply'],
            ['volts at its ends', 'amount'],
            ['current', 'amount'],
            ['across R1', 'amount'],
            ['across the lamp', 'amount'],
            ['the lamp looks', 'ps-4'],
          ]}
        />
        <tbody>
          {sums.ages.map((row) => (
            <tr key={row.age}>
              <th scope="row">{ageName(row.age, sums.supply)}</th>
              <td className="amount">
                <Changed>{V(row.supplyVolts)}</Changed>
              </td>
              <td className="amount">
                <Changed>{A(row.amps)}</Changed>
              </td>
              <td className="amount">
                <Changed>{V(loopAt(row).resistorVolts)}</Changed>
              </td>
              <td className="amount">
                <Changed>{V(loopAt(row).lampVolts)}</Changed>
              </td>
              <td className="ps-4">{looksWords(loopAt(row).brightness, loopAt(row).type)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const QUESTIONS: Readonly<Record<School['question'], string>> = {
  value: 'which stock value',
  age: 'which battery volts',
  'forward volts': 'which forward voltage',
  current: 'which current',
};

function Schools({ loop, supply }: { loop: LoopSums; supply: SourceChoice }) {
  const ages = loop.schools[0]?.ages ?? [];
  return (
    <section className="ruled">
      <h2>The other schools</h2>
      <table className="table">
        <Heads
          columns={[
            ['choice'],
            ['resistor', 'amount'],
            ...ages.map(({ age }) => [ageName(age, supply), 'amount'] as const),
            ['of the limit', 'amount'],
          ]}
        />
        <tbody>
          {loop.schools.map((school, i) => (
            <Fragment key={`${school.question} ${school.choice}`}>
              {school.question !== loop.schools[i - 1]?.question && (
                <tr className="question">
                  <th scope="rowgroup" colSpan={3 + ages.length}>
                    {QUESTIONS[school.question]}
                  </th>
                </tr>
              )}
              <tr className={school.house ? 'strong' : undefined}>
                <th scope="row">
                  {schoolWords(school, loop.lamp)}
                  {school.house && <span className="soft"> (this lesson)</span>}
                </th>
                <td className="amount">{formatOhms(school.ohms)}</td>
                {school.ages.map((row) => (
                  <td key={row.age} className="amount">
                    {A(row.amps)}
                  </td>
                ))}
                <td className="amount">{formatPercent(Math.max(...school.ages.map((row) => row.share)))}</td>
              </tr>
            </Fragment>
          ))}
        </tbody>
      </table>
    </section>
  );
}
