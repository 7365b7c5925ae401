import { z } from 'zod';

/** Something besides the circuit that a lesson wants: a jar, a diffuser, a cord; and what is done with it. */
export const extraSchema = z.strictObject({
  name: z.string().min(1).max(40),
  /** How many for one student. */
  each: z.number().int().min(1).max(50),
  /** What the last step of the card says about it; left empty, it is only packed. */
  use: z.string().max(200).default(''),
});
export type Extra = z.output<typeof extraSchema>;
export const EXTRAS_MOST = 12;
