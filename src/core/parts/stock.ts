import { z } from 'zod';
import { CONTROLLER_IDS } from '../catalogue/controllers';
import { LAMP_TYPES } from '../catalogue/lamps';
import { TIMER_FAMILIES } from '../catalogue/timers';

/** What the store calls the parts of circuits: enough to match a row with what a kit needs. */
export const partStockSchemas = [
  z.strictObject({ kind: z.literal('resistor'), ohms: z.number().positive().max(1e9) }),
  /** A lamp with a resistor built in has ohms inside. */
  z.strictObject({
    kind: z.literal('led'),
    lamp: z.enum(LAMP_TYPES),
    inside: z.number().positive().max(1e5).optional(),
  }),
  z.strictObject({ kind: z.literal('potentiometer'), ohms: z.number().positive().max(1e9) }),
  z.strictObject({ kind: z.literal('zener'), volts: z.number().min(1).max(200) }),
  z.strictObject({ kind: z.literal('button') }),
  z.strictObject({ kind: z.literal('slide-switch') }),
  z.strictObject({ kind: z.literal('rgb-lamp'), common: z.enum(['cathode', 'anode']) }),
  z.strictObject({
    kind: z.literal('capacitor'),
    farads: z.number().positive().max(10),
    polarised: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('inductor'), henries: z.number().positive().max(100) }),
  z.strictObject({ kind: z.literal('diode') }),
  z.strictObject({ kind: z.literal('transistor'), polarity: z.enum(['npn', 'pnp']) }),
  z.strictObject({ kind: z.literal('timer'), family: z.enum(TIMER_FAMILIES) }),
  z.strictObject({ kind: z.literal('light-sensor') }),
  z.strictObject({ kind: z.literal('sound-lead') }),
  z.strictObject({ kind: z.literal('speaker'), ohms: z.number().positive().max(1e4) }),
  z.strictObject({ kind: z.literal('controller'), controller: z.enum(CONTROLLER_IDS) }),
] as const;

export type PartStock = z.output<(typeof partStockSchemas)[number]>;
