import { z } from 'zod';
import { parseQuantity } from '../quantities/parse';
import type { Unit } from '../quantities/units';

/**
 * A figure in a file: a plain SI number, or text with a unit (`"4k7"`, `"22 mA"`).
 *
 * @param unit the unit that text may name
 * @param low smallest allowed value
 * @param high largest allowed value
 */
export function quantityField(unit: Unit, low: number, high: number) {
  return z
    .union([z.number(), z.string().max(40)])
    .transform((given, context) => {
      if (typeof given === 'number') return given;
      const parsed = parseQuantity(given, unit);
      if (parsed.ok) return parsed.value;
      context.addIssue({ code: 'custom', message: `"${given}" is not a figure in ${unit}` });
      return z.NEVER;
    })
    .pipe(
      z
        .number()
        .min(low, low === 0 ? 'must not be negative' : `must be at least ${low} ${unit}`)
        .max(high, `must be at most ${high} ${unit}`),
    );
}

/** A share between two limits, without unit. */
export function shareField(low: number, high: number) {
  return z.number().min(low, `must be at least ${low}`).max(high, `must be at most ${high}`);
}

export const ohmsField = quantityField('Ω', 0, 1e12);
export const toleranceField = shareField(0, 0.99);
