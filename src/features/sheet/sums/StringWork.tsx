import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatPlain,
  formatQuantity,
  formatQuotient,
  formatSum,
  MINUS,
  type HouseStyle,
  type Sheet,
  type LessonSums,
  type StringSum,
} from '@/core';
import { familyWords } from '@/messages/families';
import type { SumLine } from '@/messages/sumLines';
import { lampName } from '@/messages/names';
import { knobWords } from '@/messages/points';
import { listWords } from '@/messages/stepWords';
import { SumRows } from './SumBlockTable';

const V = (volts: number) => formatQuantity(volts, 'V');

/** The sum of each string once; strings that are alike share it. */
export function StringWork({ sheet, style }: { sheet: Sheet; style: HouseStyle }) {
  const shown = sheet.sums.strings.filter((sum) => sum.alike[0] === sum.resistor);
  return shown.map((sum) => (
    <section key={`${sum.resistor} ${sum.lamps[0]?.part}`} className="ruled">
      <h2>
        {listWords(sum.alike)}: {lampsWords(sum)}
      </h2>
      <table className="table sums">
        <tbody>
          <SumRows lines={lines(sum, sheet, style)} />
        </tbody>
      </table>
    </section>
  ));
}

function lampsWords({ lamps, alike, sideBySide }: StringSum): string {
  const names = lamps.map(({ type }) => lampName(type)).join(sideBySide ? ' beside ' : ' + ');
  return alike.length > 1 ? `${names}, ${alike.length} times` : names;
}

function lines(sum: StringSum, { sums, circuit }: Sheet, style: HouseStyle): SumLine[] {
  const { design, own: family } = sums;
  const isSound = family.family === 'sound';
  const { wanted, zener, output, lampVolts, voltsLeft, lessOhms, guardOhms } = sum;
  const own = design.lamps.find(({ part }) => part === sum.lamps[0]?.part);
  const knobs = knobWords(circuit);
  const supplyVolts = voltsLeft + lampVolts + (zener?.volts ?? 0) + (output?.volts ?? 0);
  const kept = [zener?.volts, output?.volts].filter((volts) => volts !== undefined && volts > 0);
  const left = formatSum([supplyVolts, ...kept.map((volts) => -volts!), -lampVolts], 'V');
  const loop = formatQuotient(voltsLeft, wanted);
  const less = formatSum([voltsLeft / wanted, -lessOhms], 'Ω');
  return [
    ...(zener
      ? [{ name: `the zener ${zener.part} takes`, work: 'its breakdown volts', figure: V(zener.volts) }]
      : []),
    ...outputLines(sum),
    {
      name: `${sum.lamps.length > 1 ? 'the lamps take' : 'the lamp takes'}, at ${formatEntered(wanted, 'A')}`,
      work: takesWords(sum),
      figure: takenTotal(sum),
    },
    { name: 'volts left for the resistor', work: left.terms.join(` ${MINUS} `), figure: left.total },
    {
      name: 'divided by the current',
      work: `${loop.volts} ÷ ${formatEntered(wanted, 'A')}`,
      figure: loop.ohms,
    },
    ...(lessOhms > 0
      ? [
          {
            name: output
              ? `less the ohms of ${familyWords(sums.own).fedBy} and supply`
              : 'less the supply’s own ohms',
            work: `${less.terms.join(` ${MINUS} `)}${ownWords(sum, sums)}`,
            figure: less.total,
          },
        ]
      : []),
    ...(guardOhms === undefined
      ? []
      : [
          {
            name: 'but no less than',
            work: 'it guards the lamp when the supply rises',
            figure: formatOhms(guardOhms),
          },
        ]),
    {
      ...chosenWords(sum, style),
      figure: formatOhms(sum.chosen),
      strong: true,
    },
    ...(own
      ? [
          {
            name: realName(knobs, output !== undefined, isSound),
            work: `solved in the whole circuit, ${isSound ? `${formatQuantity(own.peak, 'A', 2)} at most in every swing, its mean ` : ''}${formatPercent(own.share)} of the lamp’s limit${knobs ? '; the sum above is for the knob fully up' : ''}`,
            figure: formatQuantity(Math.max(0, own.amps), 'A'),
            strong: true,
          },
        ]
      : []),
  ];
}

/** What a chip's output keeps back of the supply at each of its levels. */
const OUTPUT_KEEPS = {
  up: 'up, the output stays under the rail by',
  down: 'down, the output stays over ground by',
  across: 'between two outputs, both keep',
} as const;

function outputLines({ output }: StringSum): SumLine[] {
  if (!output || output.volts === 0) return [];
  return [{ name: OUTPUT_KEEPS[output.level], work: 'the chip’s own figure', figure: V(output.volts) }];
}

function realName(knobs: string, driven: boolean, heard: boolean): string {
  if (heard) return 'mean current, at its own tone';
  if (knobs) return `real current, ${knobs}`;
  return driven ? 'real current while it is lit' : 'real current with it';
}

/** The supply's own ohms count more than once where more strings than one pass through them. */
function ownWords({ lessOhms, output }: StringSum, { supplyFigures: { ohms } }: LessonSums): string {
  if (output)
    return output.ohms > 0 ? `: ${formatEntered(output.ohms, 'Ω')} and ${formatEntered(ohms, 'Ω')}` : '';
  const times = lessOhms / ohms;
  return times > 1.01
    ? `: ${formatEntered(ohms, 'Ω')}, with ${formatPlain(times)} times this current in it`
    : '';
}

/** Lamps one behind the other take their volts together; side by side the one that takes most decides. */
function takesWords({ lamps, sideBySide }: StringSum): string {
  if (lamps.length === 1) return 'off its curve';
  if (sideBySide) return `side by side, the most of ${lamps.map(({ volts }) => V(volts)).join(', ')}`;
  return formatSum(
    lamps.map(({ volts }) => volts),
    'V',
  ).terms.join(' + ');
}

function takenTotal({ lamps, lampVolts, sideBySide }: StringSum): string {
  if (lamps.length === 1 || sideBySide) return V(lampVolts);
  return formatSum(
    lamps.map(({ volts }) => volts),
    'V',
  ).total;
}

/** How the resistor was chosen; one that lamps share is chosen by the lamp that wants most. */
function chosenWords({ decidedBy, lamps }: StringSum, style: HouseStyle): { name: string; work: string } {
  if (decidedBy !== undefined && !lamps.some(({ part }) => part === decidedBy))
    return { name: `chosen with ${decidedBy}`, work: `one resistor for both, and ${decidedBy} wants more` };
  const rounding = { up: 'next value up', nearest: 'nearest value', walk: 'walked down' }[style.rounding];
  return {
    name: `chosen, ${rounding}`,
    work: style.values === 'drawer' ? 'from the drawer' : `from the ${style.values} series`,
  };
}
