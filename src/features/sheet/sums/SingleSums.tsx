import { Fragment } from 'react';
import {
  DIM_AMPS,
  formatEntered,
  formatHours,
  formatOhms,
  formatPercent,
  formatQuantity,
  letterCode,
  MINUS,
  SUPPLIES,
  type BandColour,
  type HouseStyle,
  type School,
  type SingleSums,
} from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { AGE_NAMES, BRIGHTNESS_WORDS } from '@/messages/names';
import type { SumLine } from '@/messages/levels';
import { schoolWords } from '@/messages/schools';
import { Changed } from '../Changed';
import { SumRows } from './SumBlockTable';
import { Heads } from '@/ui/Heads';

const V = (volts: number) => formatQuantity(volts, 'V');
const A = (amps: number) => formatQuantity(amps, 'A');
const W = (watts: number) => formatQuantity(watts, 'W', 2);

/** The working of one lamp line by line, and the other schools beside it. */
export function SingleSumsView({ sums, style }: { sums: SingleSums; style: HouseStyle }) {
  return (
    <>
      <WorkingTable sums={sums} style={style} />
      <Ages sums={sums} />
      <Schools sums={sums} />
    </>
  );
}

/** The working as it would be written on the board. */
export function WorkingTable({ sums, style }: { sums: SingleSums; style: HouseStyle }) {
  return (
    <section className="ruled">
      <h2>Sums</h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={working(sums, style)} />
          <BandsRow count={4} bands={sums.bands4} ohms={sums.chosen} />
          <BandsRow count={5} bands={sums.bands5} ohms={sums.chosen} />
        </tbody>
      </table>
    </section>
  );
}

function working(sums: SingleSums, style: HouseStyle): SumLine[] {
  const { supply, supplyFigures, lampVolts, voltsLeft, wanted, loopOhms, exactOhms, around, design } = sums;
  const perCell = supplyFigures.volts / supply.cells;
  const cells = SUPPLIES[supply.kind].cellsMost > 1 && supply.cells > 1;
  const between = [around.down, around.up].filter((ohms) => ohms !== undefined).map(formatOhms);
  const rating = sums.rating;
  return [
    {
      name: `supply, ${AGE_NAMES[supply.age]}`,
      work: cells ? `${supply.cells} × ${V(perCell)}` : 'as it comes',
      figure: V(supplyFigures.volts),
    },
    {
      name: `the lamp takes, at ${formatEntered(wanted, 'A')}`,
      work: `off its curve: ${V(sums.lamp.vf)} at ${formatEntered(sums.lamp.at, 'A')}`,
      figure: V(lampVolts),
    },
    {
      name: 'volts left for the resistor',
      work: `${V(supplyFigures.volts)} ${MINUS} ${V(lampVolts)}`,
      figure: V(voltsLeft),
    },
    {
      name: 'divided by the wanted current',
      work: `${V(voltsLeft)} ÷ ${formatEntered(wanted, 'A')}`,
      figure: formatQuantity(loopOhms, 'Ω', 4),
    },
    {
      name: 'less the supply’s own ohms',
      work: `${formatQuantity(loopOhms, 'Ω', 4)} ${MINUS} ${formatEntered(supplyFigures.ohms, 'Ω')}`,
      figure: formatQuantity(exactOhms, 'Ω', 4),
    },
    {
      name: `to choose from, ${{ up: 'next value up', nearest: 'nearest value', walk: 'walked down' }[sums.rounding]}`,
      work: between.join(' | '),
      figure: formatOhms(sums.chosen),
      strong: true,
    },
    ...(sums.pair
      ? [
          {
            name: 'two from the drawer would make',
            work: `${formatOhms(sums.pair.first)} and ${formatOhms(sums.pair.second)} in ${sums.pair.how}`,
            figure: formatQuantity(sums.pair.ohms, 'Ω', 4),
          },
        ]
      : []),
    {
      name: 'real current with it',
      work: `solved: ${V(design.resistorVolts)} ÷ ${formatOhms(sums.chosen)}, ${formatPercent(design.share)} of the limit`,
      figure: A(design.amps),
      strong: true,
    },
    {
      name: 'the volts add up',
      work: `${V(design.resistorVolts)} + ${V(design.lampVolts)} + ${formatQuantity(design.amps * supplyFigures.ohms, 'V', 2)} inside the supply`,
      figure: V(design.supplyVolts),
    },
    {
      name: 'heat in the resistor',
      work: `${A(sums.hottest.amps)} × ${V(sums.hottest.resistorVolts)}${rating ? `, a ${ratingWords(rating)} part stays under ${formatPercent(style.ratingShare)}` : ', more than any rating here: use a lower supply'}`,
      figure: W(sums.hottest.resistorWatts),
    },
    {
      name: 'heat and light of the lamp',
      work: `${A(sums.hottest.amps)} × ${V(sums.hottest.lampVolts)}`,
      figure: W(sums.hottest.lampWatts),
    },
    ...(sums.hours === undefined
      ? []
      : [
          {
            name: 'battery hours',
            work: `${formatQuantity(supplyFigures.capacity ?? 0, 'Ah')} ÷ ${A(sums.ages.find((row) => row.age === 'nominal')!.amps)}`,
            figure: formatHours(sums.hours),
          },
        ]),
    ...(sums.life === undefined
      ? []
      : [
          {
            name: 'hours to empty',
            work: `along the discharge, as the current falls${dimWords(sums.life.toDim)}`,
            figure: formatHours(sums.life.toEmpty),
          },
        ]),
  ];
}

/** When the lamp gets dim on the way to an empty battery. */
function dimWords(toDim: number | undefined): string {
  if (toDim === undefined) return '';
  return Number.isFinite(toDim)
    ? `; below ${formatQuantity(DIM_AMPS, 'A', 1)}, dim, from ${formatHours(toDim)} on`
    : `; above ${formatQuantity(DIM_AMPS, 'A', 1)} to the end`;
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

function Ages({ sums }: { sums: SingleSums }) {
  if (SUPPLIES[sums.supply.kind].style === 'bench') return null;
  return (
    <section className="ruled">
      <h2>As the supply ages</h2>
      <table className="table">
        <Heads
          columns={[
            ['supply'],
            ['volts', 'amount'],
            ['current', 'amount'],
            ['across R1', 'amount'],
            ['across the lamp', 'amount'],
            ['the lamp looks', 'ps-4'],
          ]}
        />
        <tbody>
          {sums.ages.map((row) => (
            <tr key={row.age}>
              <th scope="row">{AGE_NAMES[row.age]}</th>
              <td className="amount">
                <Changed>{V(row.supplyVolts)}</Changed>
              </td>
              <td className="amount">
                <Changed>{A(row.amps)}</Changed>
              </td>
              <td className="amount">
                <Changed>{V(row.resistorVolts)}</Changed>
              </td>
              <td className="amount">
                <Changed>{V(row.lampVolts)}</Changed>
              </td>
              <td className="ps-4">{BRIGHTNESS_WORDS[row.brightness]}</td>
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

function Schools({ sums }: { sums: SingleSums }) {
  return (
    <section className="ruled">
      <h2>The other schools</h2>
      <table className="table">
        <Heads
          columns={[
            ['choice'],
            ['resistor', 'amount'],
            ['fresh', 'amount'],
            ['as labelled', 'amount'],
            ['tired', 'amount'],
            ['of the limit', 'amount'],
          ]}
        />
        <tbody>
          {sums.schools.map((school, i) => (
            <Fragment key={`${school.question} ${school.choice}`}>
              {school.question !== sums.schools[i - 1]?.question && (
                <tr className="question">
                  <th scope="rowgroup" colSpan={6}>
                    {QUESTIONS[school.question]}
                  </th>
                </tr>
              )}
              <tr className={school.house ? 'strong' : undefined}>
                <th scope="row">
                  {schoolWords(school, sums)}
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
