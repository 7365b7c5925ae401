import type { Kind, Part, Unit } from '@/core';

export const KIND_NAMES: Readonly<Record<Kind, string>> = {
  supply: 'supply',
  resistor: 'resistor',
  potentiometer: 'potentiometer',
  capacitor: 'capacitor',
  inductor: 'coil',
  led: 'lamp',
  diode: 'diode',
  zener: 'zener',
  transistor: 'transistor',
  timer: 'timer',
  ldr: 'light sensor',
  switch: 'switch',
  wire: 'wire',
  speaker: 'speaker',
  pin: 'controller pin',
  signal: 'signal',
};

/** A field that may be turned, as people say it; without a unit it is a share or a plain number. */
export interface FieldWords {
  readonly field: string;
  readonly words: string;
  readonly unit?: Unit;
}

const ohms: FieldWords = { field: 'ohms', words: 'ohms', unit: 'Ω' };
const volts: FieldWords = { field: 'volts', words: 'volts', unit: 'V' };
const duty: FieldWords = { field: 'duty', words: 'duty' };

/** What of each kind is turned in practice. */
export const TURNED_FIELDS: Readonly<Record<Kind, readonly FieldWords[]>> = {
  supply: [volts, { ...ohms, words: 'inside' }],
  resistor: [ohms],
  potentiometer: [ohms, { field: 'position', words: 'turned to' }],
  capacitor: [{ field: 'farads', words: 'farads', unit: 'F' }],
  inductor: [{ field: 'henries', words: 'henries', unit: 'H' }],
  led: [{ field: 'vf', words: 'forward volts', unit: 'V' }],
  diode: [{ field: 'vf', words: 'forward volts', unit: 'V' }],
  zener: [{ field: 'vz', words: 'zener volts', unit: 'V' }],
  transistor: [{ field: 'betaF', words: 'gain' }],
  timer: [],
  ldr: [{ field: 'lux', words: 'room light', unit: 'lx' }],
  switch: [],
  wire: [],
  speaker: [ohms],
  pin: [volts, duty],
  signal: [
    { field: 'amplitude', words: 'peak', unit: 'V' },
    { field: 'hertz', words: 'pitch', unit: 'Hz' },
  ],
};

export function fieldValue(part: Part, field: string): number {
  return (part.params as unknown as Record<string, number>)[field] ?? 0;
}

/** What sets one part of a kind apart: `npn`, `bipolar`, `closed`. */
export function kindWords(part: Part): string {
  const name = KIND_NAMES[part.kind];
  if (part.kind === 'transistor') return `${name}, ${part.params.polarity}`;
  if (part.kind === 'timer') return `${name}, ${part.params.family === 'cmos' ? 'CMOS' : 'bipolar'}`;
  if (part.kind === 'switch') return `${name}, ${part.params.closed ? 'closed' : 'open'}`;
  if (part.kind === 'pin') return `${name}, ${part.params.drive === 'pwm' ? 'PWM' : part.params.drive}`;
  if (part.kind === 'signal') return `${name}, ${part.params.shape}`;
  return name;
}
