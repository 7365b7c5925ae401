import { circuitOf, made, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { oneShot, standardBlinker, threeLamps } from '@/demo/circuits';
import type { Circuit } from '../circuit/circuit';
import { bands, bandsOf, drawSlice, everyDraw } from './bands';
import { histogram } from './histogram';

function slice(circuit: Circuit, from: number, to: number, seed = 1) {
  const drawn = drawSlice(circuit, seed, from, to);
  if (!drawn.ok) throw new Error(JSON.stringify(drawn.findings));
  return drawn.value;
}

describe('draws in slices', () => {
  const lantern = made(threeLamps());

  it('are the same draws however they are cut', () => {
    const whole = slice(lantern, 0, 300);
    const cut = [slice(lantern, 0, 37), slice(lantern, 37, 200), slice(lantern, 200, 300)];
    whole.values.forEach((values, check) => {
      expect([...values]).toEqual(cut.flatMap((part) => [...part.values[check]!]));
    });
  });

  it('make the same bands, with the same typical figure and corners', () => {
    const alone = bands(lantern, { samples: 300 });
    const together = bandsOf(lantern, [slice(lantern, 0, 150), slice(lantern, 150, 300)]);
    expect(together).toEqual(alone);
  });

  it('are the same where every one is wanted, and none where the circuit has no rest', () => {
    const every = everyDraw(lantern, { samples: 300, seed: 1 });
    expect(every).toEqual(slice(lantern, 0, 300).values);
    expect(every![0]).toHaveLength(300);
    expect(
      everyDraw(made(standardBlinker('cmos', 9, [10e3, 68e3], 10e-6)), { samples: 300, seed: 1 }),
    ).toBeUndefined();
  });

  it('of a circuit with a latch all start from its state at rest', () => {
    const held = made({
      ...oneShot('cmos', 9, 1e5, 1e-6),
      checks: [{ id: 'out', measure: 'volts', from: 'out', to: '0' }],
    });
    // The trigger stands at half the supply, above the lower tap: the output is low in every draw.
    const drawn = slice(held, 0, 50);
    expect(drawn.unsettled).toBe(0);
    expect(Math.max(...drawn.values[0]!)).toBeLessThan(0.1);
  });

  it('name what cannot be drawn', () => {
    const island = circuitOf(
      [supplyPart(5, 1), resistorPart('R', 'x', 'y', 10)],
      [{ id: 'i', measure: 'amps', part: 'R' }],
    );
    expect(drawSlice(island, 1, 0, 10)).toMatchObject({ ok: false, findings: [{ code: 'floating-nodes' }] });
    expect(bandsOf(island, [])).toMatchObject({ ok: false, findings: [{ code: 'floating-nodes' }] });
  });
});

describe('how figures lie', () => {
  it('counts every draw once, ends included', () => {
    const sorted = Float64Array.from({ length: 1000 }, (_, i) => i / 999);
    const { from, to, shares } = histogram(sorted);
    expect([from, to]).toEqual([0, 1]);
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(0.01);
  });

  it('takes figures that are all the same', () => {
    const { from, to, shares } = histogram(Float64Array.from([2, 2, 2]));
    expect([from, to, shares[0]]).toEqual([2, 2, 1]);
  });
});
