import {
  judgeBench,
  makeSheet,
  PATTERN_IDS,
  sessionExpectation,
  sessionSignatures,
  type PatternId,
} from '@/core';
import { choiceWith } from '../tests/support/sheets';
import { benchRequest, benchSheetOf } from './request';
import { median, ms, type Line } from './measure';

/** Computing every fault of a lesson once, and finding the cause of one bench. */
export function benchDictionary(): Line[] {
  const request = benchRequest(4000);
  const sheet = benchSheetOf(request);
  const session = sessionExpectation(sheet, request);
  const noted = [
    { point: 'pack', value: 4.8, step: 0.01 },
    { point: 'R1', value: 0, step: 0.01 },
    { point: 'D1', value: 4.8, step: 0.01 },
  ];
  return [
    {
      work: `fault dictionary, ${session.dictionary.signatures.length} candidates, 400 draws each`,
      figure: ms(median(() => sessionExpectation(sheet, request), 9, 3)),
    },
    { work: 'verdicts and cause of one bench', figure: ms(median(() => judgeBench(session, noted))) },
    ...PATTERN_IDS.map(ofPattern),
  ];
}

/** The mistakes of one lesson shared out to two workers: the one that takes longer. */
function ofPattern(pattern: PatternId): Line {
  const board = pattern === 'panel' ? 'full' : 'half';
  const request = { ...benchRequest(400), choice: choiceWith(pattern, {}, board) };
  const made = makeSheet(request);
  if (!made.ok) throw new Error(`${pattern} is refused`);
  let candidates = 0;
  const shares = [0, 1].map((at) => {
    const before = performance.now();
    candidates += sessionSignatures(made.value, request, { at, of: 2 }).signed.length;
    return performance.now() - before;
  });
  return {
    work: `${candidates} candidates of ${pattern}, in two workers`,
    figure: ms(Math.max(...shares)),
  };
}
