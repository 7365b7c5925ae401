import fc from 'fast-check';
import { circuitOf, made } from '../../../tests/support/circuits';
import { soundLights, standardBlinker } from '@/demo/circuits';
import type { Circuit } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { choosePivots } from '../numerics/pivots';
import { OperatingPoint } from './operatingPoint';
import { restOf } from './resting';
import { StageMachine } from './stageMachine';

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
  const machine = StageMachine.of(compiled, orderOf(compiled))!;
  x.set(guess);
  const settled = machine.settle(1e-9, 60);
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
    expect(StageMachine.of(compiled, order)!.settle(1e-9, 60)).toBeUndefined();
    expect(x).toEqual(before);
  });

  it('settles a lamp that is let go from a milliampere to next to nothing', () => {
    const part = (id: string, kind: string, pins: object, more: object) => ({ id, kind, pins, ...more });
    const circuit = circuitOf([
      part('S1', 'signal', { plus: 's', minus: '0' }, { shape: 'sine', amplitude: 3, hertz: 1000 }),
      part('R1', 'resistor', { a: 's', b: 'n' }, { ohms: 1000 }),
      part('D1', 'led', { anode: 'n', cathode: 'm' }, { type: 'red' }),
      part('D2', 'led', { anode: 'm', cathode: '0' }, { type: 'red' }),
      part('C1', 'capacitor', { a: 's', b: '0' }, { farads: 1e-8 }),
    ]);
    const { settled, byCode, x, nodes } = bothWays(circuit, 2);
    expect(settled).toBe(true);
    nodes.forEach((_name, i) => expect(byCode[i]).toBeCloseTo(x[i]!, 5));
  });
});
