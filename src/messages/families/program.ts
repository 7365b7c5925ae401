import { formatQuantity } from '@/core';
import { supplyName } from '../names';
import { programLine, programPath, programPredictions, programTalk, timeLines } from '../program';
import type { FamilyWords } from './contract';

const counted = (count: number, name: string) => `${count} ${name}${count === 1 ? '' : 's'}`;

export const program: FamilyWords<'program'> = {
  line: ({ program: own }, { supply }) => `${programLine(own)}, ${supplyName(supply)}`,
  headline: ({ program: { lamps } }) =>
    `${counted(lamps.length, 'pin')}, ${formatQuantity(lamps[0]!.peak, 'A')}`,
  dayHeadline: ({ program: { rows, roundSeconds } }) =>
    `${counted(rows.length, 'row')}, ${formatQuantity(roundSeconds, 's')}`,
  blocks: ({ program: own }, level) => {
    const lines = timeLines(own);
    if (level === 'full working') return [{ title: 'The sum of its times', lines }];
    return [{ title: 'The table', lines: level === 'card' ? lines : lines.slice(0, own.rows.length) }];
  },
  seen: (_own, lamps) => lamps,
  path: ({ program: own }) => programPath(own),
  sum: ({ program: own }) => programTalk(own),
  predict: ({ program: own }) => programPredictions(own),
  fedBy: 'pin',
  isMean: false,
  isMeanPower: true,
};
