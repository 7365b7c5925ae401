import { worked } from '../../../tests/support/sheets';
import { lampsSeen } from './looks';
import { observe } from './observe';

describe('a lamp that flashes in bursts', () => {
  const { design } = worked('alternate', { flashes: 5 });
  const seen = observe(design.circuit);
  if (!seen.ok || seen.value.kind !== 'moving') throw new Error('it rests');
  const [red, green] = lampsSeen(seen.value);
  const { out1, out2 } = seen.value.run.cycles;

  it('has a rate within its bursts, which is the fast chip’s', () => {
    expect(red!.hertz! / out2!.hertz!).toBeCloseTo(1, 1);
    expect(green!.hertz! / out2!.hertz!).toBeCloseTo(1, 1);
  });

  it('has a burst for each round of the slow chip, and as many flashes as fit into its half', () => {
    for (const [lamp, half] of [
      [red!, out1!.high!],
      [green!, out1!.low!],
    ] as const) {
      expect(lamp.bursts!.every / out1!.period!).toBeCloseTo(1, 2);
      expect(Math.abs(lamp.bursts!.flashes - half * out2!.hertz!)).toBeLessThan(1.5);
    }
  });

  it('is nothing that a lamp without pauses has', () => {
    const blinker = observe(worked('blink').design.circuit);
    if (!blinker.ok) throw new Error('it does not settle');
    expect(lampsSeen(blinker.value).map(({ bursts }) => bursts)).toEqual([undefined]);
  });
});
