import {
  bandsFor,
  formatEntered,
  formatFarads,
  formatOhms,
  formatQuantity,
  formatQuotient,
  formatSum,
  MINUS,
  type ChipTimes,
  type Level,
  type Sheet,
  type StringSum,
} from '@/core';
import { lampName, looksWords, ownName } from './names';
import type { SumBlock, SumLine } from './sumLines';
import { mixLines } from './mix';
import { timeLines } from './program';
import { pulseLines } from './pulses';
import { timingLines } from './timing';
import { knobWords } from './points';
import { BAND_WORDS, cornerLines, soundSeen } from './sound';
import { listWords } from './stepWords';

export const LEVEL_WORDS: Readonly<Record<Level, { readonly name: string; readonly about: string }>> = {
  'no mathematics': { name: 'no mathematics', about: 'which part goes where, and what is seen' },
  card: { name: 'a card', about: 'the sum in three lines, filled in' },
  'full working': { name: 'full working', about: 'every line of the sum, and the circuit diagram' },
};

const V = (volts: number) => formatQuantity(volts, 'V');
const A = (amps: number) => formatQuantity(amps, 'A');

/** The sums of a lesson without mathematics, or as the three lines of a card; the full working has tables of its own. */
export function sumsAt(level: Exclude<Level, 'full working'>, sheet: Sheet): SumBlock[] {
  return [
    ...timingSums(level, sheet),
    ...pulseBlocks(level, sheet),
    ...programBlocks(level, sheet),
    ...(level === 'card' && sheet.sums.mix ? [{ title: 'The means', lines: mixLines(sheet.sums.mix) }] : []),
    ...soundBlocks(level, sheet),
    ...ownSums(sheet).map((sum) => ({
      title: `${listWords(sum.alike)}${sum.decidedBy ? ` for ${listWords(sum.lamps.map(({ part }) => part))}` : ''}: ${formatOhms(sum.chosen)}`,
      lines: level === 'card' ? cardLines(sum) : [bandLine(sum.chosen)],
    })),
  ];
}

/** The parts that set each chip's time; on a card with the rule of thumb. */
function timingSums(level: Exclude<Level, 'full working'>, { sums }: Sheet): SumBlock[] {
  return (sums.timing ?? []).map((chip) => {
    const { ra, r, farads } = chip.values;
    const lines = timingLines(chip);
    return {
      title: `${chip.chip}: ${listWords(Object.values(chip.parts))}`,
      lines: [
        ...(level === 'card' ? lines.slice(0, lines.length - 1) : []),
        ...(ra === undefined ? [] : [bandLine(ra)]),
        bandLine(r),
        { name: 'take the capacitor', work: 'as printed on it', figure: formatFarads(farads) },
      ],
    };
  });
}

/** The table with its times, and on a card their sum. */
function programBlocks(level: Exclude<Level, 'full working'>, { sums }: Sheet): SumBlock[] {
  if (!sums.program) return [];
  const lines = timeLines(sums.program);
  const rows = sums.program.rows.length;
  return [{ title: 'The table', lines: level === 'card' ? lines : lines.slice(0, rows) }];
}

/** Of a lesson that listens: what lets each channel's tones through, on a card with the corner. */
function soundBlocks(level: Exclude<Level, 'full working'>, { sums }: Sheet): SumBlock[] {
  if (level !== 'card' || !sums.sound) return [];
  return sums.sound.channels.map((channel) => ({
    title: `The ${BAND_WORDS[channel.band]} channel`,
    lines: cornerLines(channel),
  }));
}

/** Peak and mean on a card; without mathematics there is nothing to say of them. */
function pulseBlocks(level: Exclude<Level, 'full working'>, { sums }: Sheet): SumBlock[] {
  if (level !== 'card' || !sums.pulses) return [];
  return [{ title: 'Peak and mean', lines: pulseLines(sums.pulses) }];
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

function bandLine(ohms: number): SumLine {
  const bands = bandsFor(ohms, 4, 0.05) ?? bandsFor(ohms, 5, 0.01);
  return {
    name: 'take the resistor',
    work: bands ? bands.join(', ') : 'as printed on it',
    figure: formatOhms(ohms),
  };
}

/** Lamps that look and carry the same stand in one line. */
function seenLines({ sums, circuit }: Sheet, level: Level): SumLine[] {
  if (sums.sound)
    return soundSeen(sums.sound).map((line) =>
      level === 'no mathematics' ? { ...line, work: line.work.split(':')[0]!, figure: '' } : line,
    );
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
  if (sums.beam) return [...lamps, ...heardLines(sums.timing, level, 'one tone, while the beam is cut')];
  return lamps.length > 0 ? lamps : heardLines(sums.timing, level, 'one tone, all the time');
}

/** Of a lesson without lamps: what is heard. */
function heardLines(timing: readonly ChipTimes[] | undefined, level: Level, work: string): SumLine[] {
  const [chip] = timing ?? [];
  if (!chip) return [];
  const figure = level === 'no mathematics' ? '' : formatQuantity(chip.hertz, 'Hz');
  return [{ name: 'the speaker', work, figure }];
}
