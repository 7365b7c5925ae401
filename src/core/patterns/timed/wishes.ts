import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { TIMER_FAMILIES, TIMERS, type TimerFamily } from '../../catalogue/timers';
import { finding, type Finding } from '../../findings/finding';
import { ampsSchema, choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

/** The shortest and the longest time that a timer lesson is asked for. */
export const SECONDS_LEAST = 1e-7;
export const SECONDS_MOST = 3600;

export const secondsSchema = z.number().min(SECONDS_LEAST).max(SECONDS_MOST);
export const lampSchema = z.enum(LAMP_TYPES);

/** What every timer lesson says. */
export const timedWishes = {
  supply: supplySchema,
  family: z.enum(TIMER_FAMILIES),
  amps: ampsSchema,
  /** Two small capacitors that keep the chip quiet: across its supply, and on its control pin. */
  quiet: z.boolean(),
  ...choiceOverrides,
};

/** Why a chip is not planned with on such a supply. */
export function chipRefusals(family: TimerFamily, volts: number): Finding[] {
  const unfit = supplyRefusals(volts);
  if (unfit.length > 0) return unfit;
  const { supplyLow: low, supplyHigh: high } = TIMERS[family];
  if (volts < low) return [finding('chip-supply-low', { family, volts, limit: low })];
  return volts > high ? [finding('chip-supply-high', { family, volts, limit: high })] : [];
}
