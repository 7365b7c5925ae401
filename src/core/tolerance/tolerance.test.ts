import fc from 'fast-check';
import { circuitOf, lampLoop, ledPart, resistorPart, supplyPart } from '../../../tests/support/circuits';
import type { Circuit } from '../circuit/circuit';
import { compile } from '../circuit/compile';
import { solve } from '../solver/solve';
import { bands, type Draws } from './bands';
import { drawn } from './draw';

function loop(): Circuit {
  return {
    ...circuitOf([
      supplyPart(4.8, 0.45, { tolerance: 0.03 }),
      resistorPart('R1', 'plus', 'n', 330),
      ledPart('D1', 'n', '0', 'red'),
    ]),
    checks: [
      { id: 'across R1', measure: 'volts', from: 'plus', to: 'n' },
      { id: 'current', measure: 'amps', part: 'D1' },
    ],
  };
}

function drawsOf(circuit: Circuit, options: Parameters<typeof bands>[1] = {}): Draws {
  const outcome = bands(circuit, { samples: 4000, ...options });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

describe('drawing one figure', () => {
  const shapes = [
    { field: 'a', shape: 'rectangular', low: 95, mode: 100, high: 105 },
    { field: 'b', shape: 'triangular', low: 1.75, mode: 1.95, high: 2.2 },
    { field: 'c', shape: 'log-uniform', low: 100, mode: 200, high: 400 },
  ] as const;

  it.each(shapes)('$shape stays within its limits and rises with u', (spread) => {
    expect(drawn(spread, 0)).toBeCloseTo(spread.low, 12);
    expect(drawn(spread, 1)).toBeCloseTo(spread.high, 12);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.99, noNaN: true }), (u) => {
        expect(drawn(spread, u + 0.01)).toBeGreaterThan(drawn(spread, u));
      }),
    );
  });

  it('has the means of its distributions', () => {
    const mean = (i: number) => {
      let sum = 0;
      for (let k = 0; k < 20000; k++) sum += drawn(shapes[i]!, (k + 0.5) / 20000);
      return sum / 20000;
    };
    expect(mean(0)).toBeCloseTo(100, 3);
    expect(mean(1)).toBeCloseTo((1.75 + 1.95 + 2.2) / 3, 3);
    expect(mean(2)).toBeCloseTo(300 / Math.log(4), 1);
  });
});

describe('bands', () => {
  it('of a divider without a junction are those of its closed form', () => {
    const circuit: Circuit = {
      ...circuitOf([supplyPart(10, 0), resistorPart('R1', 'plus', '0', 1000, { tolerance: 0.1 })]),
      checks: [{ id: 'i', measure: 'amps', part: 'R1' }],
    };
    const [band] = drawsOf(circuit, { samples: 20000 }).bands;
    expect(band!.typical).toBeCloseTo(0.01, 12);
    expect(band!.low / (10 / 1095)).toBeCloseTo(1, 3);
    expect(band!.high / (10 / 905)).toBeCloseTo(1, 3);
    expect(band!.worstLow).toBeCloseTo(10 / 1100, 12);
    expect(band!.worstHigh).toBeCloseTo(10 / 900, 12);
  });

  it('lie between the worst corners and around the typical figure', () => {
    for (const band of drawsOf(loop()).bands) {
      const order = [band.worstLow, band.low, band.typical, band.high, band.worstHigh];
      expect([...order].sort((a, b) => a - b)).toEqual(order);
    }
  });

  it('are the same for the same seed, whatever the order of the parts', () => {
    const circuit = loop();
    const turned = { ...circuit, parts: [...circuit.parts].reverse() };
    const [one, other] = [drawsOf(circuit), drawsOf(turned)];
    one.bands.forEach((band, i) => {
      expect(other.bands[i]!.low).toBeCloseTo(band.low, 9);
      expect(other.bands[i]!.high).toBeCloseTo(band.high, 9);
    });
    expect(drawsOf(circuit).bands).toEqual(one.bands);
    expect(drawsOf(circuit, { seed: 2 }).bands[0]!.low).not.toBe(one.bands[0]!.low);
  });

  it('do not move when a separate circuit is added', () => {
    const circuit = loop();
    const far = circuitOf([supplyPart(9, 1), resistorPart('R9', 'plus', '0', 50)]).parts.map((part) => ({
      ...part,
      id: `far ${part.id}`,
      pins: Object.fromEntries(Object.entries(part.pins).map(([k, v]) => [k, v === '0' ? '0' : `far ${v}`])),
    }));
    const both = drawsOf({ ...circuit, parts: [...circuit.parts, ...far] });
    drawsOf(circuit).bands.forEach((band, i) => {
      expect(both.bands[i]!.typical).toBeCloseTo(band.typical, 9);
      expect(both.bands[i]!.low).toBeCloseTo(band.low, 8);
    });
  });

  it('keep all draws, sorted, for the chart', () => {
    const { sorted, unsettled, samples } = drawsOf(loop());
    expect(unsettled).toBe(0);
    expect(samples).toBe(4000);
    expect(sorted[0]).toHaveLength(4000);
    expect([...sorted[0]!].every((v, i, all) => i === 0 || v >= all[i - 1]!)).toBe(true);
  });

  it('find the corners by search when there are many spreads', () => {
    const chain = Array.from({ length: 14 }, (_, i) =>
      resistorPart(`R${i}`, i === 0 ? 'plus' : `m${i}`, i === 13 ? '0' : `m${i + 1}`, 100),
    );
    const circuit: Circuit = {
      ...circuitOf([supplyPart(14, 0, { tolerance: 0.1 }), ...chain]),
      checks: [{ id: 'i', measure: 'amps', part: 'R0' }],
    };
    const [band] = drawsOf(circuit, { samples: 200 }).bands;
    expect(band!.worstHigh).toBeCloseTo(15.4 / (1400 * 0.95), 9);
    expect(band!.worstLow).toBeCloseTo(12.6 / (1400 * 1.05), 9);
  });

  it('refuse a circuit that cannot be solved', () => {
    const island = circuitOf([supplyPart(5, 1), resistorPart('R2', 'x', 'y', 10)]);
    const outcome = bands({ ...island, checks: [{ id: 'i', measure: 'amps', part: 'R2' }] });
    expect(outcome.ok || outcome.findings[0]!.code).toBe('floating-nodes');
  });

  it('leave the compiled circuit free to be solved at its nominal again', () => {
    const outcome = solve(lampLoop(4.8, 0.45, 'red', 330));
    const typical = drawsOf(loop()).bands[1]!.typical;
    expect(outcome.ok && outcome.value.parts['D1']!.amps).toBeCloseTo(typical, 9);
    expect(compile(loop()).ok).toBe(true);
  });
});

it('a circuit with more figures that differ than anybody waits for is refused by name', () => {
  const many = circuitOf([
    supplyPart(5, 0),
    ...Array.from({ length: 1001 }, (_, i) => resistorPart(`R${i}`, 'plus', '0', 1000)),
  ]);
  const checks = [{ id: 'current', measure: 'amps', part: 'R0' }] as const;
  const refusal = { code: 'too-many-spreads', severity: 'refusal', data: { count: 1001, most: 1000 } };
  expect(bands({ ...many, checks }, { samples: 10 })).toEqual({ ok: false, findings: [refusal] });
  // A thousand times 1 kΩ ± 5 % on 5 V: what flows through one hangs on no other.
  const fewer = drawsOf({ ...many, parts: many.parts.slice(0, 400), checks }, { samples: 1000 });
  expect(fewer.bands[0]!.typical).toBeCloseTo(0.005, 10);
  expect(fewer.bands[0]!.worstHigh).toBeCloseTo(0.005 / 0.95, 9);
  expect(fewer.bands[0]!.worstLow).toBeCloseTo(0.005 / 1.05, 9);
});
