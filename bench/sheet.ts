import { makeSheet } from '@/core';
import { benchRequest } from './request';
import { median, ms, type Line } from './measure';

/** From a keystroke to new figures: the whole sheet, as the worker makes it. */
export function benchSheet(): Line[] {
  const sheet = (samples: number) => median(() => makeSheet(benchRequest(samples)), 15);
  return [
    { work: 'sheet without draws: sums, plan, read-back, steps, kit', figure: ms(sheet(1)) },
    { work: 'keystroke to new figures (4,000 draws of two circuits)', figure: ms(sheet(4000)) },
    { work: 'sheet at rest (20,000 draws of two circuits)', figure: ms(sheet(20000)) },
  ];
}
