import { z } from 'zod';
import { AGES } from '../catalogue/supplies';
import { SERIES_NAMES } from '../catalogue/preferred';
import { RAIL_HABITS } from '../board/layout/request';
import { CSV_DIALECTS } from '../formats/csv/table';

export const ROUNDINGS = ['up', 'nearest', 'walk'] as const;
export type Rounding = (typeof ROUNDINGS)[number];
export const SIDES = ['plus', 'minus'] as const;
export type Side = (typeof SIDES)[number];

/** The educator's choice wherever practitioners differ; every lesson may overrule it. */
export const styleSchema = z.strictObject({
  rounding: z.enum(ROUNDINGS).default('up'),
  amps: z.number().min(1e-4).max(0.03).default(0.01),
  age: z.enum(AGES).default('fresh'),
  side: z.enum(SIDES).default('plus'),
  values: z.enum(['drawer', ...SERIES_NAMES]).default('drawer'),
  /** Jumpers by polarity, those between too by the lamp they lead to, or whatever colour is at hand. */
  wires: z.enum(['red and black', 'as the lamp', 'any']).default('red and black'),
  /** Every lamp with its long leg towards the same end of the board, or each as its wires come out shortest. */
  lamps: z.enum(['the same way', 'either way']).default('the same way'),
  /** Legs straight in the rails where they reach, or parts in rows only, with wires from the rails. */
  rails: z.enum(RAIL_HABITS).default('legs'),
  bands: z.union([z.literal(4), z.literal(5)]).default(4),
  /** Share of a resistor's rating that is still comfortable to touch. */
  ratingShare: z.number().min(0.1).max(1).default(0.5),
  /** Chance of running out of a part that is accepted when spares are counted. */
  spareRisk: z.number().min(0.001).max(0.5).default(0.05),
  /** The resistor's symbol in circuit diagrams. */
  symbol: z.enum(['box', 'zigzag']).default('box'),
  currency: z.string().min(1).max(3).default('€'),
  /** How tables are written for this house's spreadsheets. */
  tables: z.enum(CSV_DIALECTS).default('comma'),
  /** What causes are weighed by beforehand: the faults that this house has found, or the starting figures alone. */
  causes: z.enum(['logbook', 'starting figures']).default('logbook'),
  /** What a right build is whose pack is tired, while it still works. */
  tiredPack: z.enum(['right', 'off']).default('right'),
});
export type HouseStyle = z.output<typeof styleSchema>;

export const DEFAULT_STYLE: HouseStyle = styleSchema.parse({});

/** Tolerance of the resistors that go with a number of bands. */
export function toleranceOf(style: HouseStyle): number {
  return style.bands === 4 ? 0.05 : 0.01;
}

/** The house style as a lesson overrules it. */
export function styleIn(params: object, style: HouseStyle): HouseStyle {
  const own = params as Partial<Pick<HouseStyle, 'rounding' | 'values'>>;
  return { ...style, rounding: own.rounding ?? style.rounding, values: own.values ?? style.values };
}
