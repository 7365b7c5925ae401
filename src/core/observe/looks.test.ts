import { circuitOf, lampLoop, ledPart, resistorPart } from '../../../tests/support/circuits';
import type { Circuit } from '../circuit/circuit';
import { GLOW_AMPS, lampsSeen, LIT_AMPS, litIn, lookAt, spellsOf, type LampSeen } from './looks';
import { looksIn } from './looksIn';
import { observe } from './observe';

function seenOf(circuit: Circuit) {
  const seen = observe(circuit);
  if (!seen.ok) throw new Error(JSON.stringify(seen.findings));
  return seen.value;
}
const lampOf = (circuit: Circuit): LampSeen => lampsSeen(seenOf(circuit))[0]!;

/** A red lamp and its resistor on a source that is at 5 V for a share of every round, and at 0 V for the rest. */
function pulsed(hertz: number, duty: number, ohms = 330): Circuit {
  return circuitOf([
    {
      id: 'S1',
      kind: 'signal',
      pins: { plus: 's', minus: '0' },
      shape: 'square',
      hertz,
      amplitude: 2.5,
      offset: 2.5,
      duty,
    },
    resistorPart('R1', 's', 'a', ohms),
    ledPart('D1', 'a', '0', 'red'),
  ]);
}
/** What the lamp carries while the source is high. */
const HIGH = lampOf(lampLoop(5, 0, 'red', 330)).amps;

describe('what an eye says of a lamp', () => {
  it('goes by its current: dark, dim, lit, more than it stands', () => {
    const looks = [0, 0.9 * GLOW_AMPS, 1.1 * GLOW_AMPS, 0.9 * LIT_AMPS, LIT_AMPS, 20e-3, 21e-3];
    expect(looks.map((amps) => lookAt(amps, 20e-3))).toEqual([
      'dark',
      'dark',
      'dim',
      'dim',
      'lit',
      'lit',
      'too-bright',
    ]);
  });

  it('at rest is that of its steady current', () => {
    // About (5 − 1.9) V over 330 Ω.
    expect(HIGH).toBeGreaterThan(9e-3);
    expect(HIGH).toBeLessThan(9.7e-3);
    expect(lampOf(lampLoop(5, 0, 'red', 330))).toMatchObject({ look: 'lit', peak: HIGH, glow: HIGH });
    expect(lampOf(lampLoop(5, 0, 'red', 47_000)).look).toBe('dim');
    expect(lampOf(lampLoop(5, 0, 'red', 33)).look).toBe('too-bright');
    expect(lampOf(lampLoop(-5, 0, 'red', 330)).look).toBe('dark');
  });
});

describe('a lamp that comes and goes', () => {
  it('blinks where an eye can follow, for as long as it is lit, at the brightness of its flash', () => {
    const lamp = lampOf(pulsed(2, 0.25));
    expect(lamp.look).toBe('blinking');
    expect(lamp.hertz).toBeCloseTo(2, 3);
    expect(lamp.litFor).toBeCloseTo(0.125, 4);
    expect(lamp.peak).toBeCloseTo(HIGH, 8);
    expect(lamp.glow).toBe(lamp.peak);
    expect(lamp.amps).toBeCloseTo(HIGH / 4, 6);
  });

  it('is one steady light where none can, as bright as its mean', () => {
    const lamp = lampOf(pulsed(200, 0.25));
    expect(lamp.look).toBe('lit');
    expect(lamp.hertz).toBeUndefined();
    expect(lamp.glow).toBe(lamp.amps);
    expect(lamp.amps).toBeCloseTo(HIGH / 4, 6);
    expect(lampOf(pulsed(200, 0.05)).look).toBe('dim');
  });

  it('has spells of equal length, one a round', () => {
    const seen = seenOf(pulsed(10, 0.4));
    if (seen.kind !== 'moving') throw new Error('it rests');
    const spells = spellsOf(seen.run, 'D1');
    expect(spells.length).toBeGreaterThan(2);
    for (const { from, to } of spells.slice(1)) expect(to - from).toBeCloseTo(0.04, 5);
    spells.slice(2).forEach(({ from }, i) => expect(from - spells[i + 1]!.from).toBeCloseTo(0.1, 5));
  });
});

describe('lamps of a build', () => {
  const two = (ohms: number) =>
    circuitOf([
      { id: 'B1', kind: 'supply', pins: { plus: 'p', minus: '0' }, volts: 5, ohms: 0 },
      resistorPart('R1', 'p', 'a', 330),
      ledPart('D1', 'a', '0', 'red'),
      resistorPart('R2', 'p', 'b', ohms),
      ledPart('D2', 'b', '0', 'red'),
    ]);

  it('are surely lit, or may be seen to glow or not', () => {
    expect(litIn(seenOf(two(470)))).toEqual({ lit: ['D1', 'D2'], may: [] });
    expect(litIn(seenOf(two(100_000)))).toEqual({ lit: ['D1'], may: ['D2'] });
    expect(litIn(seenOf(two(10e6)))).toEqual({ lit: ['D1'], may: [] });
  });

  it('are each looked at in what is held for them', () => {
    const button = circuitOf([
      { id: 'B1', kind: 'supply', pins: { plus: 'p', minus: '0' }, volts: 5, ohms: 0 },
      { id: 'S1', kind: 'switch', pins: { a: 'p', b: 's' }, closed: false },
      resistorPart('R1', 's', 'a', 330),
      ledPart('D1', 'a', '0', 'red'),
    ]);
    expect(looksIn(button, undefined)).toEqual({ D1: 'dark' });
    expect(looksIn(button, { D1: { S1: 'closed' } })).toEqual({ D1: 'lit' });
  });
});
