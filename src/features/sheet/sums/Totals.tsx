import { formatHours, formatPercent, formatQuantity, sumsIn, type HouseStyle, type LessonSums } from '@/core';
import { familyWords } from '@/messages/families';
import { lifeWords } from '@/messages/life';
import { ageName } from '@/messages/names';
import { Changed } from '../Changed';

const A = (amps: number) => formatQuantity(amps, 'A');
const W = (watts: number) => formatQuantity(watts, 'W', 2);

const MEAN_POWER = 'the mean of volts × amps at every instant';

/** The whole circuit: what is drawn, what is lost as heat, and how long the battery carries it. */
export function Totals({ sums, style }: { sums: LessonSums; style: HouseStyle }) {
  const { design, hottest, rating, life } = sums;
  const warm = hottest.hottest;
  const pulses = sumsIn(sums, 'pulsed')?.pulses;
  const sounds = design.lamps.length === 0;
  const rows: readonly (readonly [string, string, string])[] = [
    [
      'current of everything',
      pulses
        ? `on average, at ${formatQuantity(design.supplyVolts, 'V')} on average`
        : `supply ${ageName(design.age, sums.supply)}, ${formatQuantity(design.supplyVolts, 'V')} at its ends${sums.own.family === 'sound' ? ', at the tone that takes most' : ''}`,
      A(design.amps),
    ],
    [
      'power from the supply',
      // The supply's volts hardly move: what is shown is the product.
      pulses ? MEAN_POWER : `${formatQuantity(design.supplyVolts, 'V')} × ${A(design.amps)}`,
      W(pulses?.watts ?? design.supplyVolts * design.amps),
    ],
    ['of that, heat and not light', 'in everything beside the lamps', W(design.lostWatts)],
    ...(warm
      ? [
          [
            `hottest: ${warm.part}`,
            `${familyWords(sums.own).isMeanPower ? MEAN_POWER : `${A(Math.abs(warm.amps))} × ${formatQuantity(Math.abs(warm.volts), 'V')}`}${rating ? `, a ${rating === 0.125 ? '⅛' : rating === 0.25 ? '¼' : rating === 0.5 ? '½' : rating} W part stays under ${formatPercent(style.ratingShare)}` : ''}`,
            W(warm.watts),
          ] as const,
        ]
      : []),
    ...(life
      ? [[sounds ? 'hours of sound' : 'hours of light', lifeWords(life), formatHours(life.useful)] as const]
      : []),
  ];
  return (
    <section className="ruled">
      <h2>Altogether</h2>
      <table className="table sums">
        <tbody>
          {rows.map(([name, work, figure]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="soft">{work}</td>
              <td className="amount">
                <Changed>{figure}</Changed>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
