import { z } from 'zod';
import { CONTROLLER_IDS } from '../../catalogue/controllers';
import { SCENES } from '../../catalogue/light';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides } from '../wishes';

const pinSchema = z.number().int('must be a whole number').min(0).max(99);
const ohmsSchema = z.number().min(50).max(1e7);

export const duskParams = z.strictObject({
  board: z.enum(CONTROLLER_IDS),
  lamp: lampSchema,
  amps: ampsSchema,
  /** Where the lamp is to be lit, and where dark: the one with less light decides which way round the program asks. */
  lit: z.enum(SCENES),
  dark: z.enum(SCENES),
  /** The pin that lights the lamp, and the one that reads the light. */
  pins: z.strictObject({ lamp: pinSchema, reads: pinSchema }),
  /** In counts; left out, half way between the two scenes. */
  threshold: z.number().int('must be a whole number').min(0).max(1e5).optional(),
  /** Counts between going on and going off. */
  hysteresis: z.number().int('must be a whole number').min(0).max(1e4),
  sensor: z.strictObject({ lit: ohmsSchema, dark: ohmsSchema }).optional(),
  ...choiceOverrides,
});
export type DuskParams = z.output<typeof duskParams>;
