import { z } from 'zod';
import { timingChoice, type TimingWish } from '../../answers/timing';
import { capacitorTolerance } from '../../catalogue/capacitors';
import { capacitorsOf } from '../../catalogue/shelf';
import { accepted, type Outcome } from '../../findings/finding';
import type { Means } from '../pattern';
import { toleranceOf } from '../style';
import { sortOf } from './chip';
import { optionOf, type Picked } from './pick';

/** Values that the educator has taken for a chip in the place of the nearest ones. */
export const takenSchema = z
  .record(
    z.string().regex(/^U\d$/u),
    z.strictObject({
      ra: z.number().min(1).max(1e8).optional(),
      r: z.number().min(1).max(1e8),
      farads: z.number().min(1e-12).max(1),
    }),
  )
  .optional();
export type Taken = z.output<typeof takenSchema>;

/** The values taken for a chip, with their times; undefined where the nearest are to be looked for. */
export function takenFor(
  chip: string,
  taken: Taken,
  wish: TimingWish,
  { shelf, style }: Means,
): Outcome<Picked> | undefined {
  const own = taken?.[chip];
  if (!own) return undefined;
  const sort = sortOf(own.farads, capacitorsOf(shelf));
  const capacitor = { ...sort, tolerance: capacitorTolerance(sort) };
  const choice = timingChoice(wish, toleranceOf(style), capacitor, own.ra ?? 0, own.r);
  return accepted({ taken: choice, options: [optionOf(choice, choice)] });
}
