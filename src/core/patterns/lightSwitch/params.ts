import { z } from 'zod';
import { SCENES } from '../../catalogue/light';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides, supplySchema } from '../wishes';

export const lightSwitchParams = z.strictObject({
  supply: supplySchema,
  lamp: lampSchema,
  amps: ampsSchema,
  /** Where the lamp is to be lit, and where dark: the one with less light decides which way round it is. */
  lit: z.enum(SCENES),
  dark: z.enum(SCENES),
  /** The real sensor's ohms in these two scenes, where they were measured. */
  sensor: z.strictObject({ lit: z.number().min(50).max(1e7), dark: z.number().min(50).max(1e7) }).optional(),
  /** The lamp has a resistor of its own inside, made for so many volts; left out, it gets one on the board. */
  madeFor: z.union([z.literal(5), z.literal(9), z.literal(12)]).optional(),
  /** A lamp that shows that the supply is switched on, with its switch; left out, there is neither. */
  power: lampSchema.optional(),
  /** From how many metres the lamp shines on its own sensor; left out, it is out of its sight. */
  sees: z.number().min(0.005).max(10).optional(),
  ...choiceOverrides,
});
export type LightSwitchParams = z.output<typeof lightSwitchParams>;
