import {
  circuitOf,
  lampLoop,
  ledPart,
  made,
  resistorPart,
  supplyPart,
} from '../../../tests/support/circuits';
import { lockGate, standardBlinker } from '../../demo/circuits';
import { DEFAULT_METER } from '../catalogue/meter';
import { isKind, type Circuit } from '../circuit/circuit';
import { circuitFrom } from '../formats/circuit/parse';
import type { Checkpoint } from './checkpoint';
import { setByHand, withHeld } from './held';
import { lampsSeen } from './looks';
import { JACK_OHMS, metered, type MeterUse } from './meter';
import { observe, reportOf, voltsAcross } from './observe';
import { read } from './read';

const loop = lampLoop(4.8, 0.45, 'red', 330);
const across = (part: string, kind: 'led' | 'resistor', from: string, to: string): Checkpoint => ({
  id: part,
  part,
  kind,
  measure: 'volts',
  from: { part, pin: from },
  to: { part, pin: to },
});
const D1 = across('D1', 'led', 'anode', 'cathode');
const R1 = across('R1', 'resistor', 'a', 'b');

function reading(circuit: Circuit, point: Checkpoint, use: MeterUse = 'right'): number {
  const seen = observe(circuit);
  if (!seen.ok) throw new Error('unsettled');
  const found = read(seen.value, point, use, DEFAULT_METER);
  if (!found.ok || found.value.kind !== 'figure') throw new Error('no figure');
  return found.value.value;
}

describe('a build at rest', () => {
  it('is still, with its lamp lit', () => {
    const seen = observe(loop);
    expect(seen.ok && seen.value.kind).toBe('still');
    expect(seen.ok && lampsSeen(seen.value)).toMatchObject([{ part: 'D1', look: 'lit' }]);
  });

  it('half built is observed too: what hangs in the air carries nothing', () => {
    const half = { ...loop, parts: loop.parts.filter(({ id }) => id !== 'R1') };
    const seen = observe(half);
    expect(seen.ok && Math.abs(reportOf(seen.value, 'D1').amps)).toBeLessThan(1e-9);
  });
});

describe('a meter in the circuit', () => {
  it('reads 0 V across what an open circuit leaves without current', () => {
    const parts = loop.parts.filter(({ id }) => id !== 'D1');
    expect(reading({ ...loop, parts }, R1)).toBeCloseTo(0, 4);
  });

  it('reads by the places of its probes: a turned lamp has minus the supply', () => {
    const turned = {
      ...loop,
      parts: loop.parts.map((part) =>
        isKind(part, 'led')
          ? { ...part, pins: { anode: part.pins['cathode']!, cathode: part.pins['anode']! } }
          : part,
      ),
    };
    expect(reading(turned, D1)).toBeCloseTo(-4.8, 2);
    expect(reading(turned, D1, 'swapped')).toBeCloseTo(4.8, 2);
  });

  it('takes a millionth where the circuit is stiff, and half where it has 10 MΩ itself', () => {
    const divider = circuitOf([
      supplyPart(9, 0.001),
      resistorPart('R1', 'plus', 'm', 1e7),
      resistorPart('R2', 'm', '0', 1e7),
    ]);
    // 10 MΩ beside 10 MΩ are 5 MΩ: a third of nine volts.
    expect(reading(divider, across('R2', 'resistor', 'a', 'b'))).toBeCloseTo(3, 3);
    expect(reading(loop, R1)).toBeCloseTo(2.9206, 3);
  });

  it('with its lead in the current jack is a shunt across the part, and the lamp gets everything', () => {
    const put = metered(loop, R1, 'current-jack', 0)!;
    const seen = observe(put.circuit);
    // 330 Ω beside the jack’s ohm leave less than one.
    expect(seen.ok && reportOf(seen.value, 'D1').amps).toBeGreaterThan(0.3);
    expect(JACK_OHMS).toBe(1);
    expect(put.shows).toBe('nothing');
  });

  it('says which part is not there', () => {
    const seen = observe({ ...loop, parts: loop.parts.filter(({ id }) => id !== 'D1') });
    const found = seen.ok && read(seen.value, D1, 'right', DEFAULT_METER);
    expect(found && !found.ok && found.findings).toMatchObject([
      { code: 'not-on-board', data: { part: 'D1' } },
    ]);
  });
});

describe('hands', () => {
  const knob = (position: number): Circuit =>
    circuitOf([
      supplyPart(4.8, 0.45),
      {
        id: 'P1',
        kind: 'potentiometer',
        pins: { a: 'plus', wiper: 'm', b: 'm' },
        ohms: 1000,
        tolerance: 0.2,
        position,
      },
      resistorPart('R1', 'm', 'n', 330),
      ledPart('D1', 'n', '0', 'red'),
    ]);

  it('turn a knob and nothing else', () => {
    const turned = withHeld(knob(0.2), { P1: 0.9 });
    expect(turned).toEqual(knob(0.9));
  });

  it('set it to a tenth of its travel, and at a stop for certain', () => {
    const spread = (position: number) =>
      setByHand(knob(position)).parts.map((part) =>
        isKind(part, 'potentiometer') ? part.params.turn : undefined,
      );
    expect(spread(0.5)).toContain(0.05);
    expect(spread(0)).toEqual(spread(1));
    expect(spread(0).every((turn) => turn === undefined)).toBe(true);
  });
});

describe('a build that never rests', () => {
  it('is moving, with its cycles and a lamp that blinks', () => {
    const file = circuitFrom(standardBlinker('cmos', 9, [10_000, 47_000], 1e-5));
    if (!file.ok) throw new Error(JSON.stringify(file.findings));
    const seen = observe(file.value);
    if (!seen.ok || seen.value.kind !== 'moving') throw new Error('rests');
    const [cycle] = Object.values(seen.value.run.cycles).filter(({ hertz }) => hertz);
    // 1.44 / ((R1 + 2 R2) C), within what the chip's own levels and ohms do to it.
    expect(cycle!.hertz! / (1.44 / ((10_000 + 94_000) * 1e-5))).toBeGreaterThan(0.9);
    expect(cycle!.hertz! / (1.44 / ((10_000 + 94_000) * 1e-5))).toBeLessThan(1.1);
  });
});

describe('what a meter shows across a part', () => {
  it('is over a transistor from its collector to its emitter, over others from leg to leg', () => {
    const circuit = made(lockGate());
    const seen = observe(circuit);
    if (!seen.ok) throw new Error('does not settle');
    const { nodes, parts } = seen.value;
    const q1 = circuit.parts.find(({ id }) => id === 'Q1')!;
    expect(voltsAcross(q1, seen.value)).toBeCloseTo(nodes['c1']! - nodes['0']!, 12);
    const d1 = circuit.parts.find(({ id }) => id === 'D1')!;
    expect(voltsAcross(d1, seen.value)).toBe(parts['D1']!.volts);
  });
});
