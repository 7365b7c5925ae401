import type { Body } from './bodies';

/** How the legs of a thing lie to each other. */
export type Footprint =
  /** Two legs in one line, so many pitches apart. */
  | { readonly form: 'line'; readonly low: number; readonly high: number; readonly usual: number }
  /** Three or more legs side by side. */
  | { readonly form: 'comb'; readonly pitch: number }
  /** Two rows of four, three pitches apart, counted counter-clockwise from the notch. */
  | { readonly form: 'chip' }
  /** Flexible leads: each goes where its net is. */
  | { readonly form: 'leads' };

const line = (low: number, usual: number, high: number): Footprint => ({ form: 'line', low, usual, high });

const FOOTPRINTS: Readonly<Record<Body['kind'], Footprint>> = {
  resistor: line(4, 5, 7),
  diode: line(3, 4, 6),
  zener: line(3, 4, 6),
  inductor: line(3, 4, 6),
  led: line(1, 1, 2),
  capacitor: line(1, 2, 3),
  ldr: line(1, 2, 3),
  switch: line(2, 2, 3),
  wire: line(1, 2, 10),
  potentiometer: { form: 'comb', pitch: 2 },
  transistor: { form: 'comb', pitch: 1 },
  rgb: { form: 'comb', pitch: 1 },
  timer: { form: 'chip' },
  supply: { form: 'leads' },
  speaker: { form: 'leads' },
  pin: { form: 'leads' },
  signal: { form: 'leads' },
};

export function footprintOf(body: Pick<Body, 'kind'>): Footprint {
  return FOOTPRINTS[body.kind];
}

/** Pins of a timer as they lie: 1 to 4 down the left, 8 to 5 down the right. */
export const CHIP_PINS = {
  left: ['ground', 'trigger', 'output', 'reset'],
  right: ['supply', 'discharge', 'threshold', 'control'],
} as const;

/** What stands above the board instead of lying on it: it wants room beside it. */
export function isRound(kind: Body['kind']): boolean {
  return kind === 'led' || kind === 'rgb';
}
