import type { LampFigures } from '../catalogue/lamps';
import { Junction } from '../devices/junction';
import { THERMAL_VOLTS } from '../quantities/constants';
import type { Amps, Volts } from '../quantities/units';

export interface MeasuredPoint {
  readonly volts: Volts;
  readonly amps: Amps;
}

/**
 * A lamp's figures fitted to one or two measured points. Two points give its inner ohms,
 * rs = ((V2 − V1) − n·VT·ln(I2/I1))/(I2 − I1), not below 0; one point shifts the curve and keeps them.
 * The spread of the batch moves along.
 *
 * @param points one or two, of different currents
 */
export function fitLamp(lamp: LampFigures, points: readonly MeasuredPoint[]): LampFigures {
  const [first, second] = [...points].sort((a, b) => a.amps - b.amps);
  if (!first) return lamp;
  const slope = lamp.n * THERMAL_VOLTS;
  const rs =
    second && second.amps > first.amps
      ? Math.max(
          0,
          (second.volts - first.volts - slope * Math.log(second.amps / first.amps)) /
            (second.amps - first.amps),
        )
      : lamp.rs;
  const held = second ?? first;
  const vf = held.volts + slope * Math.log(lamp.at / held.amps) + rs * (lamp.at - held.amps);
  const moved = vf - lamp.vf;
  return { ...lamp, rs, vf, vfLow: lamp.vfLow + moved, vfHigh: lamp.vfHigh + moved, origin: 'measured' };
}

/** By how many volts the fitted curve misses the measured point that it misses most. */
export function fitMiss(fitted: LampFigures, points: readonly MeasuredPoint[]): Volts {
  const curve = new Junction(fitted);
  return Math.max(0, ...points.map(({ volts, amps }) => Math.abs(curve.voltsAt(amps) - volts)));
}

/** Whether the volts fall where the current grows, which no lamp's do. */
export function areFalling(points: readonly MeasuredPoint[]): boolean {
  const [first, second] = [...points].sort((a, b) => a.amps - b.amps);
  return first !== undefined && second !== undefined && second.volts < first.volts;
}
