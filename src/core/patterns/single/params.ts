import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { SERIES_NAMES } from '../../catalogue/preferred';
import type { SupplyChoice } from '../../catalogue/supplies';
import { ROUNDINGS, SIDES, type HouseStyle } from '../style';
import { AMPS_HIGH, AMPS_LOW, supplySchema } from '../wishes';

export const singleParams = z.strictObject({
  supply: supplySchema,
  lamp: z.enum(LAMP_TYPES),
  amps: z.number().min(AMPS_LOW).max(AMPS_HIGH),
  side: z.enum(SIDES),
  rounding: z.enum(ROUNDINGS).optional(),
  values: z.enum(['drawer', ...SERIES_NAMES]).optional(),
});
export type SingleParams = z.output<typeof singleParams>;

export function singleDefaults(style: HouseStyle): SingleParams {
  const supply: SupplyChoice = { kind: 'aa-alkaline', cells: 3, age: style.age };
  return { supply, lamp: 'red', amps: style.amps, side: style.side };
}
