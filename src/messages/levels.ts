import {
  formatEntered,
  formatOhms,
  formatQuantity,
  formatQuotient,
  formatSum,
  MINUS,
  type Level,
  type Sheet,
  type StringSum,
} from '@/core';
import { lampName, looksWords, ownName } from './names';
import { bandLine, type SumBlock, type SumLine } from './sumLines';
import { familyWords } from './families';
import { knobWords } from './points';
import { listWords } from './stepWords';

export const LEVEL_WORDS: Readonly<Record<Level, { readonly name: string; readonly about: string }>> = {
  'no mathematics': { name: 'no mathematics', about: 'which part goes where, and what is seen' },
  card: { name: 'a card', about: 'the sum in three lines, filled in' },
  'full working': { name: 'full working', about: 'every line of the sum, and the circuit diagram' },
};

const V = (volts: number) => formatQuantity(volts, 'V');
const A = (amps: number) => formatQuantity(amps, 'A');

/** The sums of a lesson at a level; the full working has the resistors' in a table of its own. */
export function sumsAt(level: Level, sheet: Sheet): SumBlock[] {
  const own = familyWords(sheet.sums.own).blocks(sheet.sums.own, level);
  if (level === 'full working') return [...own];
  return [
    ...own,
    ...ownSums(sheet).map((sum) => ({
      title: `${listWords(sum.alike)}${sum.decidedBy ? ` for ${listWords(sum.lamps.map(({ part }) => part))}` : ''}: ${formatOhms(sum.chosen)}`,
      lines: level === 'card' ? cardLines(sum) : [bandLine(sum.chosen)],
    })),
  ];
}

/** What comes out of it: which lamps light and how, and at every level but the first their current. */
export function seen(sheet: Sheet, level: Level): SumBlock {
  const knobs = knobWords(sheet.circuit);
  return { title: knobs ? `What is seen, ${knobs}` : 'What is seen', lines: seenLines(sheet, level) };
}

/** The sum of each string once. */
function ownSums({ sums }: Sheet): readonly StringSum[] {
  return sums.strings.filter((sum) => sum.alike[0] === sum.resistor);
}

function cardLines(sum: StringSum): SumLine[] {
  const { lamps, wanted, lampVolts, zener, voltsLeft, lessOhms, exactOhms, chosen, sideBySide } = sum;
  const taken = [...(zener ? [zener.volts] : []), lampVolts];
  const supplyVolts = voltsLeft + taken.reduce((all, volts) => all + volts, 0);
  const left = formatSum([supplyVolts, ...taken.map((volts) => -volts)], 'V');
  const quotient = formatQuotient(voltsLeft, wanted);
  const one = lamps.length === 1 || sideBySide;
  const takes = one ? `a lamp takes ${V(lampVolts)}` : `${lamps.length} lamps take ${V(lampVolts)}`;
  return [
    {
      name: 'volts for the resistor',
      work: `${left.terms.join(` ${MINUS} `)}, as ${zener ? `the zener takes ${V(zener.volts)} and ` : ''}${takes}`,
      figure: left.total,
    },
    {
      name: 'divided by the current',
      work: `${quotient.volts} ÷ ${formatEntered(wanted, 'A')}${lessOhms > 0 ? ', less the supply’s own ohms' : ''}`,
      figure: formatQuantity(exactOhms, 'Ω'),
    },
    bandLine(chosen),
  ];
}

/** Lamps that look and carry the same stand in one line. */
function seenLines({ sums, circuit }: Sheet, level: Level): SumLine[] {
  const groups = new Map<string, { line: Omit<SumLine, 'name'>; names: string[] }>();
  for (const { part, type, amps, brightness } of sums.design.lamps) {
    const work = `${lampName(type)}, ${looksWords(brightness, type)}`;
    const figure = level === 'no mathematics' ? '' : A(Math.max(0, amps));
    const key = `${work} ${figure}`;
    const group = groups.get(key) ?? { line: { work, figure }, names: [] };
    group.names.push(ownName(circuit, part));
    groups.set(key, group);
  }
  const lamps = [...groups.values()].map(({ line, names }) => ({ name: listWords(names), ...line }));
  return [...familyWords(sums.own).seen(sums.own, lamps, level)];
}
