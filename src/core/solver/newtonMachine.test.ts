import fc from 'fast-check';
import { made } from '../../../tests/support/circuits';
import { soundLights, standardBlinker, threeLamps } from '@/demo/circuits';
import type { Circuit } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { choosePivots } from '../numerics/pivots';
import { OperatingPoint } from './operatingPoint';
import { remember, setDraw } from '../tolerance/draw';
import { prepare } from './prepare';
import { restOf } from './resting';
import { NewtonMachine } from './newtonMachine';

/** A circuit at rest, about to take a stage of a step in time. */
function aboutToStep(circuit: Circuit): { compiled: Compiled; point: OperatingPoint } {
  const made = compile(circuit, 'moving');
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  const compiled = made.value;
  const point = new OperatingPoint(compiled);
  for (const { instance } of compiled.placed) instance.wave?.enter(0);
  Object.assign(compiled.equations, { regime: 'start', time: 0 });
  expect(restOf({ compiled, point }).settling.converged).toBe(true);
  const { equations } = compiled;
  Object.assign(equations, { regime: 'step', theta: 1e-5, time: 1e-5, limiting: true });
  for (const { instance } of compiled.placed)
    if (instance.storage) instance.storage.past = instance.storage.state(equations.x);
  return { compiled, point };
}

function orderOf({ equations, stamped, coordinates }: Compiled) {
  equations.values.fill(0);
  equations.residual.fill(0);
  for (const { instance } of stamped) instance.stamp(equations);
  const order = choosePivots(coordinates, equations.values);
  if (typeof order === 'number') throw new Error('no pivots');
  order.most.fill(Infinity);
  return order;
}

/** The stage from a guess that is off by some volts, once by code and once as it is stamped. */
function bothWays(circuit: Circuit, off: number) {
  const { compiled, point } = aboutToStep(circuit);
  const { x } = compiled.equations;
  const guess = x.map((value, i) => (i < compiled.nodeCount ? value + off * Math.sin(i) : value));
  const machine = NewtonMachine.of(compiled, orderOf(compiled), 1e-5)!;
  x.set(guess);
  const settled = machine.settleStage(1e-9);
  const byCode = x.slice();
  x.set(guess);
  // A stage is given up after a few steps: it goes on from there.
  const stamped = Array.from({ length: 5 }).some(() => point.newton.settleStage(1e-9));
  return { settled, byCode, stamped, x, nodes: compiled.nodes };
}

const blinker = made(standardBlinker('cmos', 9, [10e3, 68e3], 10e-6));

describe('a stage by straight-line code', () => {
  it.each([
    ['the sound lights, all of whose bent parts are written down', made(soundLights([20, 440, 8000]))],
    ['a timer, which is stamped at every step', blinker],
  ])('ends where the stamped one ends: %s', (_, circuit) => {
    fc.assert(
      fc.property(fc.double({ min: -0.3, max: 0.3, noNaN: true }), (off) => {
        const { settled, stamped, byCode, x, nodes } = bothWays(circuit, off);
        expect([settled, stamped]).toEqual([true, true]);
        nodes.forEach((_name, i) => expect(byCode[i]).toBeCloseTo(x[i]!, 6));
      }),
      { numRuns: 20 },
    );
  });

  it('leaves the guess as it was when its order of pivots does not suit', () => {
    const { compiled } = aboutToStep(made(soundLights([20, 440, 8000])));
    const order = orderOf(compiled);
    order.most.fill(1e-30);
    const { x } = compiled.equations;
    const before = x.slice();
    expect(NewtonMachine.of(compiled, order, 1e-5)!.settleStage(1e-9)).toBe(false);
    expect(x).toEqual(before);
  });
});

describe('a circuit at rest by straight-line code', () => {
  const lantern = made(threeLamps());

  /** Solves draw after draw, and answers with all unknowns of each. */
  function drawn(hastened: boolean) {
    const bench = prepare(lantern);
    if (!bench.ok) throw new Error('refused');
    const { compiled, point } = bench.value;
    expect(restOf(bench.value).settling.converged).toBe(true);
    const restore = remember(bench.value);
    if (hastened) point.hasten();
    return Array.from({ length: 300 }, (_, draw) => {
      setDraw(compiled, 7, draw);
      restore();
      const { converged, residual } = point.solve();
      expect(converged).toBe(true);
      expect(residual).toBeLessThan(1e-12);
      return compiled.equations.x.slice();
    });
  }

  it('is the one that is stamped, with every figure as the knobs stand', () => {
    const [stamped, coded] = [drawn(false), drawn(true)];
    stamped.forEach((x, draw) =>
      x.forEach((value, i) => expect(Math.abs(coded[draw]![i]! - value)).toBeLessThan(1e-11)),
    );
    expect(new Set(coded.map((x) => x[1])).size).toBeGreaterThan(290);
  });

  it('hangs on nothing that was solved before', () => {
    const [once, again] = [drawn(true), drawn(true)];
    expect(again[299]).toEqual(once[299]);
  });
});
