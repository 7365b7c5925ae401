import { circuitOf } from './circuits';
import { KINDS, PARTS, type Circuit, type Kind, type Part } from '@/core';

const NODES = ['plus', 'mid', '0', 'n3', 'n4', 'n5', 'n6', 'n7'];

/** Pins of each kind as a circuit file names them. */
const PINS: Readonly<Record<Kind, readonly string[]>> = {
  supply: ['plus', 'minus'],
  resistor: ['a', 'b'],
  potentiometer: ['a', 'wiper', 'b'],
  capacitor: ['a', 'b'],
  inductor: ['a', 'b'],
  led: ['anode', 'cathode'],
  diode: ['anode', 'cathode'],
  zener: ['anode', 'cathode'],
  transistor: ['collector', 'base', 'emitter'],
  timer: ['supply', 'trigger', 'ground', 'output', 'reset', 'discharge', 'threshold', 'control'],
  ldr: ['a', 'b'],
  switch: ['a', 'b'],
  wire: ['a', 'b'],
  speaker: ['a', 'b'],
  pin: ['pin', 'ground'],
  signal: ['plus', 'minus'],
};

/** What a circuit file must say of a kind besides its pins. */
const FIELDS: Readonly<Partial<Record<Kind, object>>> = {
  resistor: { ohms: 330 },
  potentiometer: { ohms: 10e3, position: 0.5 },
  capacitor: { farads: 10e-6, polarised: true },
  inductor: { henries: 1e-3 },
  led: { type: 'red' },
  diode: { type: 'signal' },
  zener: { type: 'zener-6v2' },
  transistor: { polarity: 'npn' },
  timer: { family: 'cmos' },
  ldr: { lux: 150 },
  switch: { closed: true },
  speaker: { ohms: 64 },
  signal: { shape: 'sine', amplitude: 1, hertz: 100 },
  supply: { volts: 9, ohms: 1 },
  pin: { drive: 'high', volts: 5 },
};

/** One part of a kind between a supply and ground, with resistors that keep every node in place. */
export function circuitWith(kind: Kind, fields: object = {}): { circuit: Circuit; part: Part } {
  const id = `${PARTS[kind].letter}9`;
  const pins = Object.fromEntries(PINS[kind].map((pin, i) => [pin, NODES[i]!]));
  const used = NODES.filter((node) => node !== '0' && node !== 'plus');
  const circuit = circuitOf([
    { id: 'B1', kind: 'supply', pins: { plus: 'plus', minus: '0' }, volts: 9, ohms: 1 },
    { id, kind, pins, ...FIELDS[kind], ...fields },
    ...used.map((node) => ({ id: `K${node}`, kind: 'resistor', pins: { a: node, b: '0' }, ohms: 1e4 })),
  ]);
  return { circuit, part: circuit.parts[1]! };
}

/** Kinds that are placed in holes with legs of their own. */
export const PLACED_KINDS = KINDS.filter((kind) => PARTS[kind].footprint.form !== 'leads' && kind !== 'wire');
