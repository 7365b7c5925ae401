import { LAMP_TYPES, type LampFigures, type LampType } from '../catalogue/lamps';
import { Junction } from '../devices/junction';
import type { Amps, Volts } from '../quantities/units';

export interface LampGuess {
  readonly type: LampType;
  /** What such a lamp shows at that current: typical, and the lowest and highest of a batch. */
  readonly volts: Volts;
  readonly low: Volts;
  readonly high: Volts;
  /** Whether the measured volts lie within its batch. */
  readonly fits: boolean;
}

/**
 * Which sorts of lamp a measured point may belong to, the nearest first. The spread of a batch shifts its curve as
 * a whole.
 *
 * @param volts across the lamp while it is lit
 * @param amps through it then
 */
export function identifyLamp(
  lamps: Readonly<Record<LampType, LampFigures>>,
  volts: Volts,
  amps: Amps,
): LampGuess[] {
  return LAMP_TYPES.map((type): LampGuess => {
    const lamp = lamps[type];
    const typical = new Junction(lamp).voltsAt(amps);
    const [low, high] = [typical + lamp.vfLow - lamp.vf, typical + lamp.vfHigh - lamp.vf];
    return { type, volts: typical, low, high, fits: volts >= low && volts <= high };
  }).sort((a, b) => Math.abs(a.volts - volts) - Math.abs(b.volts - volts));
}
