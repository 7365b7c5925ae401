import { judgeBench, sessionExpectation } from '@/core';
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
  ];
}
