/**
 * Minutes that one action takes a class of about ten-year-olds, talk included.
 * Starting figures; they are the educator's to replace once the logbook knows better.
 */
export const PACE = {
  'place-jumper': 0.75,
  'place-part': 1.5,
  'connect-supply': 0.75,
  gate: 2.5,
} as const;

/** Slower for younger hands, faster for older ones. */
export const AGE_FACTORS = { '8–9': 1.4, '10–12': 1, '13 and up': 0.75 } as const;
export type AgeGroup = keyof typeof AGE_FACTORS;
export const AGE_GROUPS = Object.keys(AGE_FACTORS) as AgeGroup[];
