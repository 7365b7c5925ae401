import {
  formatEntered,
  formatFarads,
  formatOhms,
  formatQuantity,
  type ChipTimes,
  type LessonSums,
  type Level,
  type SumsOf,
} from '@/core';
import { beamLines, beamPath, beamPredictions, beamTalk } from '../beam';
import { lampName, supplyName } from '../names';
import { listWords } from '../stepWords';
import { bandLine, type SumBlock, type SumLine } from '../sumLines';
import { timingLines } from '../timing';
import type { FamilyWords } from './contract';

const S = (seconds: number) => formatQuantity(seconds, 's', 2);

/** What it does: `red and green lamps, once round in 1.2 s`, `a tone of 440 Hz`. */
function doesWords([first]: readonly ChipTimes[], own: LessonSums['design']['lamps']): string {
  const { solved, hertz } = first!;
  if (own.length === 0) return `a tone of ${formatQuantity(hertz, 'Hz')}`;
  const names = [...new Set(own.map(({ type }) => lampName(type)))];
  const lamps = `${listWords(names)} ${own.length === 1 ? 'lamp' : 'lamps'}`;
  if (!(solved.low > 0)) return `${lamps}, lit for ${S(solved.high)}`;
  return `${lamps}, once round in ${S(solved.high + solved.low)}`;
}

function timeHeadline({ solved, values, hertz }: ChipTimes): string {
  if (hertz > 20) return `${formatOhms(values.r)} → ${formatQuantity(hertz, 'Hz')}`;
  return solved.low > 0 ? `${S(solved.high)} up, ${S(solved.low)} down` : `${S(solved.high)} up`;
}

function dayHeadline({ timing }: { readonly timing: readonly ChipTimes[] }): string {
  const { high, low } = timing[0]!.solved;
  return low > 0 ? `${S(high + low)}, over and over` : `one press, ${S(high)}`;
}

/** The parts that set each chip's time; on a card with the rule of thumb, and whole with every line. */
function chipBlocks(timing: readonly ChipTimes[], level: Level): SumBlock[] {
  return timing.map((chip) => {
    const { ra, r, farads } = chip.values;
    const lines = timingLines(chip);
    const title = `${chip.chip}: ${listWords(Object.values(chip.parts))}`;
    if (level === 'full working') return { title, lines };
    return {
      title,
      lines: [
        ...(level === 'card' ? lines.slice(0, lines.length - 1) : []),
        ...(ra === undefined ? [] : [bandLine(ra)]),
        bandLine(r),
        { name: 'take the capacitor', work: 'as printed on it', figure: formatFarads(farads) },
      ],
    };
  });
}

function heardLine([chip]: readonly ChipTimes[], level: Level, work: string): SumLine {
  const figure = level === 'no mathematics' ? '' : formatQuantity(chip!.hertz, 'Hz');
  return { name: 'the speaker', work, figure };
}

/** The ways of the charge that keeps the time, traced aloud. */
function chargeWords(chips: readonly ChipTimes[]): string {
  return chips
    .map(({ chip, form, parts }) => {
      const { ra, r, c } = parts;
      if (form === 'standard')
        return `${c} fills from plus through ${listWords([ra!, r])}, and empties through ${r} into pin 7 of ${chip}`;
      if (form === 'one-shot')
        return `${c} fills through ${r} until ${chip} turns over, and is emptied for the next time`;
      return `${c} fills and empties through ${r}, out of the output of ${chip} and back into it`;
    })
    .join('; ')
    .concat('.');
}

/** The rule of thumb with this lesson's own figures. */
function timeWords(chips: readonly ChipTimes[]): string {
  return chips
    .map(({ parts, ideal, solved, form }) => {
      const { ra, r, c } = parts;
      const through = ra === undefined ? r : `(${ra} + ${r})`;
      const rule = `${form === 'one-shot' ? '1.10' : '0.693'} × ${through} × ${c} = ${formatQuantity(ideal.high, 's', 3)} up`;
      return `${rule}; in the real circuit ${formatQuantity(solved.high, 's', 3)}`;
    })
    .join('. ')
    .concat('.');
}

/** What may be asked before it is switched on. */
function predictions([first]: readonly ChipTimes[], hasLamps: boolean): string[] {
  const { parts, solved } = first!;
  return [
    hasLamps
      ? `How long do ten flashes take, or one light? Guess before power; the sum says ${S(solved.high + solved.low)} for one round.`
      : 'Is the tone deeper or higher than your own voice?',
    `${parts.r} is made twice as large: what becomes of the time?`,
    `${parts.c} is made ten times as large: what becomes of it then?`,
  ];
}

const CHIPS = {
  dayHeadline,
  headline: ({ timing }: SumsOf<'timed' | 'beam'>) => timeHeadline(timing[0]!),
  fedBy: 'output',
  isMean: false,
  isMeanPower: true,
} as const;

export const timed: FamilyWords<'timed'> = {
  ...CHIPS,
  line: ({ timing }, { design, supply }) => `${doesWords(timing, design.lamps)}, ${supplyName(supply)}`,
  blocks: ({ timing }, level) => chipBlocks(timing, level),
  seen: ({ timing }, lamps, level) =>
    lamps.length > 0 ? lamps : [heardLine(timing, level, 'one tone, all the time')],
  path: ({ timing }) => chargeWords(timing),
  sum: ({ timing }) => timeWords(timing),
  predict: ({ timing }, { sums }) => predictions(timing, sums.design.lamps.length > 0),
};

export const beam: FamilyWords<'beam'> = {
  ...CHIPS,
  line: ({ beam: own, timing }, { supply }) =>
    `a beam over ${formatEntered(own.metres, 'm')}, ${doesWords(timing, [])} when it is cut, ${supplyName(supply)}`,
  headline: ({ beam: { switches }, timing }) =>
    switches.typical === undefined
      ? timeHeadline(timing[0]!)
      : `below ${formatQuantity(switches.typical, 'lx', 2)} it sounds`,
  blocks: ({ beam: own, timing }, level) => [
    ...(level === 'full working' ? [{ title: 'The beam', lines: beamLines(own) }] : []),
    ...chipBlocks(timing, level),
  ],
  seen: ({ timing }, lamps, level) => [...lamps, heardLine(timing, level, 'one tone, while the beam is cut')],
  path: ({ beam: own }) => beamPath(own),
  sum: ({ beam: own }) => beamTalk(own),
  predict: ({ beam: own }) => beamPredictions(own),
};
