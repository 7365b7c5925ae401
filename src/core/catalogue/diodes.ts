import type { Amps, Ohms, Volts } from '../quantities/units';

export const DIODE_TYPES = ['signal', 'rectifier'] as const;
export type DiodeType = (typeof DIODE_TYPES)[number];

export interface DiodeFigures {
  readonly vf: Volts;
  readonly at: Amps;
  readonly n: number;
  readonly rs: Ohms;
}

export const DIODES: Readonly<Record<DiodeType, DiodeFigures>> = {
  signal: { vf: 0.72, at: 0.01, n: 1.8, rs: 0.6 },
  rectifier: { vf: 0.85, at: 0.1, n: 1.7, rs: 0.05 },
};
