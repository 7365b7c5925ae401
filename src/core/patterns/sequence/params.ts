import { z } from 'zod';
import { CONTROLLER_IDS } from '../../catalogue/controllers';
import { COLUMNS_MOST, ROUNDS_MOST, ROWS_MOST, rowSchema, type ProgramTable } from '../../program/table';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides } from '../wishes';

/** Highest number that a pin may be typed with: what no board has is refused by name. */
const PIN_MOST = 99;
const pinSchema = z.number().int('must be a whole number').min(0).max(PIN_MOST);

export const sequenceParams = z
  .strictObject({
    board: z.enum(CONTROLLER_IDS),
    /** Where the lamps' other end leads: to minus, so that a high pin lights them, or to the rail, so that a low one does. */
    common: z.enum(['minus', 'plus']),
    resistors: z.enum(['own', 'shared']),
    amps: ampsSchema,
    /** Each lamp with the pin that its lead comes from. */
    lamps: z
      .array(z.strictObject({ lamp: lampSchema, pin: pinSchema }))
      .min(1)
      .max(COLUMNS_MOST)
      .readonly(),
    /** The pin of each lamp as the program has it. */
    columns: z.array(pinSchema).min(1).max(COLUMNS_MOST).readonly(),
    rows: z.array(rowSchema).min(1).max(ROWS_MOST).readonly(),
    /** 0 for a program without end. */
    rounds: z.number().int('must be a whole number').min(0).max(ROUNDS_MOST),
    after: z.enum(['off', 'stay']),
    /** How long all of it takes as the lesson's own words say, where they do. */
    says: z.number().min(0.01).max(1e7).optional(),
    ...choiceOverrides,
  })
  .refine(({ lamps, columns }) => columns.length === lamps.length, {
    path: ['columns'],
    error: 'must be as many as there are lamps',
  })
  .refine(({ columns, rows }) => rows.every(({ steps }) => steps.length === columns.length), {
    path: ['rows'],
    error: 'must have a step for every column',
  });
export type SequenceParams = z.output<typeof sequenceParams>;

export function tableOf({ board, columns, rows, rounds, after, common }: SequenceParams): ProgramTable {
  return { board, columns, rows, rounds, after, lowLights: common === 'plus' };
}
