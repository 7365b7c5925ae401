import { CycleCount } from './cycles';

const charge = new Float64Array([0]);

/** Edges of an output: seconds, and whether it goes up. */
function counted(high: boolean, start: number, edges: readonly (readonly [number, boolean])[]) {
  const count = new CycleCount(high, start);
  for (const [time, up] of edges) {
    charge[0] = time * 2;
    count.edge(time, up, charge);
  }
  return count;
}

describe('counting cycles', () => {
  it('goes from the first rising edge to the last', () => {
    const edges = [
      [1, false],
      [2, true],
      [2.5, false],
      [4, true],
      [4.7, false],
      [6, true],
      [6.4, false],
    ] as const;
    const count = counted(true, 0, edges);
    const { period, high, low, hertz, duty, cycles } = count.report();
    expect(cycles).toBe(2);
    expect(period).toBeCloseTo(2, 12);
    expect(high).toBeCloseTo((0.5 + 0.7) / 2, 12);
    expect(low).toBeCloseTo(1.4, 12);
    expect(hertz).toBeCloseTo(0.5, 12);
    expect(duty).toBeCloseTo(0.3, 12);
    expect([count.window!.from, count.window!.to]).toEqual([2, 6]);
    expect(count.window!.after[0]! - count.window!.before[0]!).toBeCloseTo(8, 12);
  });

  it('gives whole spells where there is no whole cycle', () => {
    expect(counted(true, 0, [[1.1, false]]).report()).toEqual({
      period: null,
      high: 1.1,
      low: null,
      hertz: null,
      duty: null,
      cycles: 0,
    });
    const once = counted(false, 0.5, [
      [2, true],
      [3.5, false],
    ]).report();
    expect([once.high, once.low, once.cycles]).toEqual([1.5, 1.5, 0]);
    expect(counted(false, 0, []).report()).toMatchObject({ high: null, low: null });
  });
});

describe('an output that another holds back', () => {
  /** Four rounds of 0.5 s from every fourth second on, the first of each burst half as long again. */
  const edges = [0, 4, 8].flatMap((start) =>
    [0, 0.75, 1.25, 1.75].flatMap((at, i) => [
      [start + at, true] as const,
      [start + at + (i === 0 ? 0.5 : 0.25), false] as const,
    ]),
  );

  it('has the rate of its bursts, and the bursts beside it', () => {
    const { hertz, high, bursts } = counted(false, -1, edges).report();
    expect(hertz).toBeCloseTo(2, 12);
    expect(high).toBeCloseTo(0.25, 12);
    expect(bursts!.pulses).toBeCloseTo(4, 12);
    expect(bursts!.every).toBeCloseTo(4, 12);
  });

  it('has none where every round is of one length', () => {
    const even = [0, 1, 2, 3].flatMap((at) => [[at, true] as const, [at + 0.9, false] as const]);
    expect(counted(false, -1, even).report()).not.toHaveProperty('bursts');
  });
});
