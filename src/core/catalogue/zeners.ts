import type { Amps, Ohms, Volts } from '../quantities/units';

/** The E24 values from 5.1 V to 15 V. */
export const ZENER_TYPES = [
  'zener-5v1',
  'zener-5v6',
  'zener-6v2',
  'zener-6v8',
  'zener-7v5',
  'zener-8v2',
  'zener-9v1',
  'zener-10v',
  'zener-11v',
  'zener-12v',
  'zener-13v',
  'zener-15v',
] as const;
export type ZenerType = (typeof ZENER_TYPES)[number];

/** Forward curve through (vf, at), reverse curve through (vz, iz) with its own emission coefficient and ohms. */
export interface ZenerFigures {
  readonly vf: Volts;
  readonly at: Amps;
  readonly n: number;
  readonly rs: Ohms;
  readonly vz: Volts;
  readonly iz: Amps;
  readonly nz: number;
  readonly rz: Ohms;
}

/** How far zener volts lie from their name. */
export const ZENER_TOLERANCE = 0.05;

const row = (type: ZenerType): ZenerFigures => {
  const vz = Number(type.slice('zener-'.length).replace('v', '.'));
  return { vf: 0.75, at: 0.01, n: 1.8, rs: 1, vz, iz: 0.005, nz: 2, rz: vz > 10 ? 15 : 7 };
};

export const ZENERS: Readonly<Record<ZenerType, ZenerFigures>> = Object.fromEntries(
  ZENER_TYPES.map((type) => [type, row(type)]),
) as Record<ZenerType, ZenerFigures>;
