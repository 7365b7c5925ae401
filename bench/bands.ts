import { bands } from '@/core';
import { benchRequest, benchSheetOf } from './request';
import { median, ms, type Line } from './measure';

/** Draws a second through the single lamp with two volt checks. */
export function benchBands(): Line[] {
  const sheet = benchSheetOf(benchRequest(100));
  const circuit = {
    ...sheet.circuit,
    checks: [
      { id: 'across R1', measure: 'volts', from: 'plus', to: 'between' },
      { id: 'current', measure: 'amps', part: 'D1' },
    ],
  } as const;
  return [4000, 20000].map((samples) => {
    const time = median(() => bands(circuit, { samples }), 15);
    return {
      work: `bands of one lamp, ${samples} draws`,
      figure: `${ms(time)}, ${Math.round(samples / (time / 1000)).toLocaleString('en')} draws a second`,
    };
  });
}
