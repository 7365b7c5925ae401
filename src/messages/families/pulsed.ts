import { formatQuantity } from '@/core';
import { pulseLines, pulsePredictions, pulseTalk } from '../pulses';
import { bank, currentPath } from './bank';
import type { FamilyWords } from './contract';

export const pulsed: FamilyWords<'pulsed'> = {
  line: (_own, sums) => bank.line({ family: 'bank' }, sums),
  headline: ({ pulses: { lampVolts } }) =>
    `${formatQuantity(lampVolts.peak, 'V', 2)}, meter ${formatQuantity(lampVolts.mean, 'V', 2)}`,
  dayHeadline: ({ pulses }) => `once round ${formatQuantity(1 / pulses.hertz, 's', 3)}`,
  // Without mathematics there is nothing to say of them.
  blocks: ({ pulses }, level) =>
    level === 'no mathematics' ? [] : [{ title: 'Peak and mean', lines: pulseLines(pulses) }],
  seen: (_own, lamps) => lamps,
  path: (_own, sheet) => currentPath(sheet),
  sum: ({ pulses }) => pulseTalk(pulses),
  predict: ({ pulses }) => pulsePredictions(pulses),
  fedBy: 'output',
  isMean: true,
  isMeanPower: true,
};
