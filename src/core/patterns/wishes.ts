import { z } from 'zod';
import { finding, refused, type Finding, type Outcome } from '../findings/finding';
import { parseQuantity } from '../quantities/parse';
import { AGES, SUPPLIES, SUPPLY_KINDS } from '../catalogue/supplies';
import { SERIES_NAMES } from '../catalogue/preferred';
import { ROUNDINGS } from './style';

/** Any supply above this is refused: Mivvet plans extra-low-voltage battery and USB work only. */
export const SUPPLY_LIMIT_VOLTS = 24;
/** From here on a typed supply voltage can only be meant as mains. */
export const MAINS_VOLTS = 50;
export const AMPS_LOW = 1e-4;
export const AMPS_HIGH = 0.03;

export const supplySchema = z
  .strictObject({
    kind: z.enum(SUPPLY_KINDS),
    cells: z.number().int('must be a whole number').min(1).max(10),
    age: z.enum(AGES),
    volts: z.number().min(0.5).max(1000).optional(),
    limitAmps: z.number().min(1e-3).max(10).optional(),
    measured: z
      .strictObject({ volts: z.number().min(0.5).max(24), ohms: z.number().min(0).max(200) })
      .optional(),
  })
  .refine((s) => s.cells <= SUPPLIES[s.kind].cellsMost, {
    path: ['cells'],
    error: 'are more than this kind of supply is stacked',
  });

/** What a lesson may overrule of the house's way to choose a resistor. */
export const choiceOverrides = {
  rounding: z.enum(ROUNDINGS).optional(),
  values: z.enum(['drawer', ...SERIES_NAMES]).optional(),
};

export const ampsSchema = z.number().min(AMPS_LOW).max(AMPS_HIGH);

/** Why a supply is not planned with: mains, or above extra-low voltage. */
export function supplyRefusals(volts: number): Finding[] {
  if (volts >= MAINS_VOLTS) return [finding('mains-refused', { volts })];
  if (volts > SUPPLY_LIMIT_VOLTS) {
    return [finding('supply-too-high', { volts, limit: SUPPLY_LIMIT_VOLTS })];
  }
  return [];
}

/**
 * A supply voltage as typed: anything that can only be mains is refused by name, whatever else is typed with it.
 */
export function readSupplyVolts(typed: string): Outcome<number> {
  const number = Number(/\d+(?:[.,]\d+)?/u.exec(typed)?.[0]?.replace(',', '.') ?? NaN);
  if (/\b(ac|vac|mains)\b|~/iu.test(typed) || number >= MAINS_VOLTS) {
    return refused(finding('mains-refused', { volts: number || 230 }));
  }
  const volts = parseQuantity(typed, 'V');
  if (!volts.ok) return volts;
  if (volts.value > SUPPLY_LIMIT_VOLTS) {
    return refused(finding('supply-too-high', { volts: volts.value, limit: SUPPLY_LIMIT_VOLTS }));
  }
  if (volts.value < 0.5) {
    const limits = { low: 0.5, high: SUPPLY_LIMIT_VOLTS, unit: 'V' };
    return refused(finding('out-of-range', { name: 'A supply', value: volts.value, ...limits }));
  }
  return volts;
}

/** A wanted lamp current as typed; a bare number is in mA. */
export function readLampAmps(typed: string): Outcome<number> {
  const amps = parseQuantity(typed, 'A', 1e-3);
  if (!amps.ok || (amps.value >= AMPS_LOW && amps.value <= AMPS_HIGH)) return amps;
  const limits = { low: AMPS_LOW, high: AMPS_HIGH, unit: 'A' };
  return refused(finding('out-of-range', { name: 'A lamp current', value: amps.value, ...limits }));
}
