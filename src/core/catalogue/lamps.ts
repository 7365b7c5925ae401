import type { Amps, Ohms, Volts } from '../quantities/units';
import type { Origin } from './origin';

export const LAMP_TYPES = [
  'infrared',
  'red',
  'orange',
  'yellow',
  'yellow-green',
  'green',
  'blue',
  'white',
  'violet',
] as const;
export type LampType = (typeof LAMP_TYPES)[number];

export type Technology = 'phosphide' | 'nitride' | 'phosphor-converted' | 'arsenide';

/** One lamp sort: a curve through (vf, at), its spread, and three limits that are never mixed. */
export interface LampFigures {
  readonly type: LampType;
  readonly technology: Technology;
  /** Forward volts at the test current. */
  readonly vf: Volts;
  readonly vfLow: Volts;
  readonly vfHigh: Volts;
  /** Test current, where vf is quoted. */
  readonly at: Amps;
  readonly n: number;
  readonly rs: Ohms;
  /** Continuous maximum. */
  readonly maxAmps: Amps;
  /** Absolute (pulse) maximum; beyond it a figure is only a floor. */
  readonly absoluteAmps: Amps;
  readonly reverseLimit: Volts;
  readonly origin: Origin;
}

function row(
  type: LampType,
  technology: Technology,
  vf: number,
  vfLow: number,
  vfHigh: number,
  n: number,
  rs: number,
): LampFigures {
  const limits = { at: 0.02, maxAmps: 0.02, absoluteAmps: 0.03, reverseLimit: 5 };
  return { type, technology, vf, vfLow, vfHigh, n, rs, ...limits, origin: 'table' };
}

/** The colour table that ships with the product. */
export const LAMPS: Readonly<Record<LampType, LampFigures>> = {
  infrared: row('infrared', 'arsenide', 1.25, 1.1, 1.5, 1.6, 2),
  red: row('red', 'phosphide', 1.95, 1.75, 2.2, 1.7, 3.5),
  orange: row('orange', 'phosphide', 2.0, 1.8, 2.25, 1.7, 3.5),
  yellow: row('yellow', 'phosphide', 2.05, 1.85, 2.3, 1.8, 4),
  'yellow-green': row('yellow-green', 'phosphide', 2.1, 1.9, 2.4, 2.0, 5),
  green: row('green', 'nitride', 3.1, 2.8, 3.5, 3.0, 9),
  blue: row('blue', 'nitride', 3.1, 2.8, 3.5, 2.6, 8),
  white: row('white', 'phosphor-converted', 3.1, 2.8, 3.5, 2.6, 8),
  violet: row('violet', 'nitride', 3.25, 3.0, 3.6, 2.7, 9),
};
