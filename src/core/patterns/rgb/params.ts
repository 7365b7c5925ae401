import { z } from 'zod';
import { MIX_COLOUR_NAMES } from '../../catalogue/colours';
import { CONTROLLER_IDS } from '../../catalogue/controllers';
import { ampsSchema, choiceOverrides, supplySchema } from '../wishes';

const stepSchema = z.number().int('must be a whole number').min(0).max(1e6);
const pinSchema = z.number().int('must be a whole number').min(0).max(99);

/** What a three-colour lamp on a controller's pins is asked for besides its currents. */
export const pulsesSchema = z.strictObject({
  board: z.enum(CONTROLLER_IDS),
  pins: z.strictObject({ red: pinSchema, green: pinSchema, blue: pinSchema }),
  /** A colour by its name, or the steps as they stand below. */
  colour: z.enum([...MIX_COLOUR_NAMES, 'own']),
  steps: z.strictObject({ red: stepSchema, green: stepSchema, blue: stepSchema }),
});
export type PulsesWish = z.output<typeof pulsesSchema>;

export const PULSES_AT_FIRST: PulsesWish = {
  board: 'five-volt',
  pins: { red: 9, green: 11, blue: 13 },
  colour: 'turquoise',
  steps: { red: 0, green: 255, blue: 128 },
};

export const rgbParams = z.strictObject({
  supply: supplySchema,
  /** Which end of the three lamps is joined inside. */
  common: z.enum(['cathode', 'anode']),
  drive: z.enum(['fixed', 'potentiometer', 'pulses']),
  resistors: z.enum(['own', 'shared']),
  amps: z.strictObject({ red: ampsSchema, green: ampsSchema, blue: ampsSchema }),
  /** Knobs, 0 fully up to 1 fully down, for potentiometer drive. */
  knobs: z.strictObject({
    red: z.number().min(0).max(1),
    green: z.number().min(0).max(1),
    blue: z.number().min(0).max(1),
  }),
  /** Of a lamp on the pins of a controller, which is its supply then. */
  pulses: pulsesSchema.optional(),
  ...choiceOverrides,
});
export type RgbParams = z.output<typeof rgbParams>;
