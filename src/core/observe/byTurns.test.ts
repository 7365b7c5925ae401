import { patternSheet, ROUGH } from '../../../tests/support/sheets';
import type { Moving } from './observation';
import { shownOf, turnsOf } from './byTurns';

/** A run of a few samples, as the function looks at it. */
const run = (time: readonly number[], window: readonly [number, number]) =>
  ({ run: { time: Float64Array.from(time) }, window }) as unknown as Moving;

describe('what a hand meter shows of what comes and goes', () => {
  it('is the two values by turns where it changes seldom, each over its own time', () => {
    // Up at 8 V from 0 to 1 s, down at 0.1 V to 3 s, and so on: two changes in three seconds.
    const time = [0, 1, 1, 3, 3, 4, 4, 6];
    const volts = [8, 8, 0.1, 0.1, 8, 8, 0.1, 0.1];
    const turns = turnsOf(run(time, [0, 6]), (i) => volts[i]!);
    expect(turns.high).toBeCloseTo(8, 12);
    expect(turns.low).toBeCloseTo(0.1, 12);
    expect(turns.mean).toBeCloseTo((2 * 8 + 4 * 0.1) / 6, 12);
    expect(turns.changes).toBeCloseTo(3 / 6, 12);
    expect([shownOf(turns, 'high'), shownOf(turns, 'low')]).toEqual([turns.high, turns.low]);
  });

  it('is the mean of what changes too often to be followed, whichever value is asked for', () => {
    const turns = { high: 8, low: 0, mean: 3, changes: 400 };
    expect([shownOf(turns, 'high'), shownOf(turns, 'low')]).toEqual([3, 3]);
  });
});

describe('checkpoints of a slow blinker', () => {
  const { expected, circuit, sums } = patternSheet('blink', {}, 'full', ROUGH);
  const at = (id: string) => expected.points.find((point) => point.id === id)!;

  it('ask for what a meter shows: no mean of an output that goes up and down once a second', () => {
    expect(at('U1 output').point).toMatchObject({ measure: 'volts', by: 'high' });
    expect(at('U1 output low').point).toMatchObject({ measure: 'volts', by: 'low' });
    expect(at('current').typical).toBeGreaterThan(at('current low').typical);
  });

  it('have Ohm’s law between resistor and lamp at the same instant', () => {
    const r3 = circuit.parts.find(({ id }) => id === 'R3')!;
    const ohms = r3.kind === 'resistor' ? r3.params.ohms : 0;
    expect(at('R3').typical / ohms).toBeCloseTo(sums.design.lamps[0]!.amps, 4);
  });
});
