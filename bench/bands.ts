import { bands } from '@/core';
import { made } from '../tests/support/circuits';
import { threeLamps } from '@/demo/circuits';
import { benchRequest, benchSheetOf } from './request';
import { median, ms, type Line } from './measure';

/** Draws a second through the single lamp with two checks, and through a lantern of three. */
export function benchBands(): Line[] {
  const sheet = benchSheetOf(benchRequest(100));
  const circuit = {
    ...sheet.circuit,
    checks: [
      { id: 'across R1', measure: 'volts', from: 'plus', to: 'between' },
      { id: 'current', measure: 'amps', part: 'D1' },
    ],
  } as const;
  const lantern = made(threeLamps());
  const jobs = [
    ['one lamp', circuit, 4000],
    ['one lamp', circuit, 20000],
    ['three lamps', lantern, 20000],
  ] as const;
  return jobs.map(([name, drawn, samples]) => {
    const time = median(() => bands(drawn, { samples }), 9, 3);
    return {
      work: `bands of ${name}, ${samples} draws, one worker`,
      figure: `${ms(time)}, ${Math.round(samples / (time / 1000)).toLocaleString('en')} draws a second`,
    };
  });
}
