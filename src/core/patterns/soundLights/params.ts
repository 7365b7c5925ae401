import { z } from 'zod';
import type { Hertz } from '../../quantities/units';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides, supplySchema } from '../wishes';

/** The three channels, from the deepest to the highest. */
export const BANDS = ['low', 'middle', 'high'] as const;
export type Band = (typeof BANDS)[number];

export const soundLightsParams = z.strictObject({
  supply: supplySchema,
  lamps: z.strictObject({ low: lampSchema, middle: lampSchema, high: lampSchema }),
  /** Of a pair of lamps while its transistor is on. */
  amps: ampsSchema,
  /** Peak volts that each side of the sound lead gives at the loudness that is meant. */
  level: z.number().min(0.05).max(1),
  /** Below the first is the low channel's, above the second the high one's. */
  bounds: z.strictObject({ low: z.number().min(80).max(800), high: z.number().min(600).max(6000) }),
  ...choiceOverrides,
});
export type SoundLightsParams = z.output<typeof soundLightsParams>;

/** A channel's own tone lies by so much outside of a bound, or in the middle of both by ratio. */
const BEYOND = 3;

/** The tones at which the channels are tested. */
export function tonesOf({ low, high }: SoundLightsParams['bounds']): Readonly<Record<Band, Hertz>> {
  return { low: low / BEYOND, middle: Math.sqrt(low * high), high: high * BEYOND };
}
