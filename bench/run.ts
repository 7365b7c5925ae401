import { run, type Circuit } from '@/core';
import { made } from '../tests/support/circuits';
import { alternate, soundLights } from '@/demo/circuits';
import { median, ms, type Line } from './measure';

/** Whole lessons over time. */
export function benchRun(): Line[] {
  const timed = (work: string, circuit: Circuit, seconds: number): Line => {
    let steps = 0;
    const time = median(
      () => {
        const done = run(circuit, { seconds });
        if (!done.ok) throw new Error(`${work}: refused`);
        steps = done.value.steps;
      },
      3,
      1,
    );
    const share = (time / 1000 / seconds).toFixed(3);
    return { work, figure: `${ms(time)}, ${share} of real time, ${steps} steps` };
  };
  return [
    timed('two output-driven timers, 10 s', made(alternate()), 10),
    timed('sound-lights, 1 s of 20 Hz, 440 Hz and 8 kHz', made(soundLights([20, 440, 8000])), 1),
  ];
}
