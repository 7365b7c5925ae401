import type { Amps } from '../quantities/units';

export const POLARITIES = ['npn', 'pnp'] as const;
export type TransistorPolarity = (typeof POLARITIES)[number];

/** Order of the leads seen from the flat face; it differs between types of the same outline. */
export const LEAD_ORDERS = ['E-B-C', 'C-B-E'] as const;
export type LeadOrder = (typeof LEAD_ORDERS)[number];

export interface TransistorFigures {
  /** Saturation current. */
  readonly is: Amps;
  /** Forward gain, and its limits from part to part. */
  readonly betaF: number;
  readonly betaLow: number;
  readonly betaHigh: number;
  /** Reverse gain. */
  readonly betaR: number;
  readonly leads: LeadOrder;
}

export const TRANSISTORS: Readonly<Record<TransistorPolarity, TransistorFigures>> = {
  npn: { is: 1e-14, betaF: 200, betaLow: 100, betaHigh: 400, betaR: 2, leads: 'E-B-C' },
  pnp: { is: 1e-14, betaF: 180, betaLow: 80, betaHigh: 350, betaR: 2, leads: 'E-B-C' },
};
