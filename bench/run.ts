import { listen, roughly, run, testSound, type Circuit, type Music } from '@/core';
import { made } from '../tests/support/circuits';
import { alternate, soundLights } from '@/demo/circuits';
import { worked } from '../tests/support/sheets';
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
    ...music(),
  ];
}

/** A piece played to the lesson's own circuit: the rough picture of 20 s, and every swing of 2 s. */
function music(): Line[] {
  const { circuit } = worked('sound-lights').design;
  const piece = (seconds: number): Music => {
    const sound = testSound('bass-beat', seconds);
    return { left: sound, right: sound };
  };
  const [long, short] = [piece(20), piece(2)];
  const rough = median(() => void roughly(circuit, long), 3, 1);
  const whole = median(() => void listen(circuit, short), 3, 1);
  return [
    { work: 'music, rough picture of 20 s (goal 2 s)', figure: ms(rough) },
    { work: 'music, every swing of 2 s', figure: `${ms(whole)}, ${(whole / 2000).toFixed(2)} of real time` },
  ];
}
