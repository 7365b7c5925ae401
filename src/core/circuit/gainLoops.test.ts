import { circuitOf, made, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { worked } from '../../../tests/support/sheets';
import { lockGate } from '@/demo/circuits';
import { stagesInLoops } from './gainLoops';

const stage = (id: string, collector: string, base: string, emitter = '0', polarity = 'npn') => ({
  id,
  kind: 'transistor',
  polarity,
  pins: { collector, base, emitter },
});

const looped = (circuit: Parameters<typeof stagesInLoops>[0], motion: 'steady' | 'moving' = 'steady') =>
  [...stagesInLoops(circuit, motion)].sort();

describe('transistors that may hold one another', () => {
  it('are both of a latch', () => {
    expect(looped(made(lockGate()))).toEqual(['Q1', 'Q2']);
  });

  it('are none of two stages one after the other', () => {
    const chain = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'b1', 1e5),
      resistorPart('R2', 'plus', 'c1', 1e3),
      stage('Q1', 'c1', 'b1'),
      resistorPart('R3', 'c1', 'b2', 1e4),
      resistorPart('R4', 'plus', 'c2', 1e3),
      stage('Q2', 'c2', 'b2'),
    ]);
    expect(looped(chain)).toEqual([]);
  });

  it('are both of a pair that feed each other’s bases, and of one that share an emitter', () => {
    const held = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'e', 470),
      stage('Q1', 'g', 'k', 'e', 'pnp'),
      stage('Q2', 'k', 'g'),
    ]);
    expect(looped(held)).toEqual(['Q1', 'Q2']);
    const shared = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'b1', 1e5),
      resistorPart('R2', 'plus', 'c1', 1e3),
      resistorPart('R3', 'plus', 'c2', 1e3),
      resistorPart('R4', 'plus', 'b2', 1e5),
      resistorPart('R5', 'e', '0', 100),
      stage('Q1', 'c1', 'b1', 'e'),
      stage('Q2', 'c2', 'b2', 'e'),
    ]);
    expect(looped(shared)).toEqual(['Q1', 'Q2']);
  });

  it('are joined by a capacitor only while something moves', () => {
    const through = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'b1', 1e5),
      resistorPart('R2', 'plus', 'b2', 1e5),
      resistorPart('R3', 'plus', 'c1', 1e3),
      resistorPart('R4', 'plus', 'c2', 1e3),
      { id: 'C1', kind: 'capacitor', pins: { a: 'c1', b: 'b2' }, farads: 1e-6 },
      { id: 'C2', kind: 'capacitor', pins: { a: 'c2', b: 'b1' }, farads: 1e-6 },
      stage('Q1', 'c1', 'b1'),
      stage('Q2', 'c2', 'b2'),
    ]);
    expect(looped(through)).toEqual([]);
    expect(looped(through, 'moving')).toEqual(['Q1', 'Q2']);
  });

  it('are none of the four of the sound lights', () => {
    const { circuit } = worked('sound-lights').design;
    expect(looped(circuit)).toEqual([]);
    expect(looped(circuit, 'moving')).toEqual([]);
  });
});
