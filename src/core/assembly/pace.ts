/**
 * Minutes that one action takes a class of about ten-year-olds, talk included.
 * Starting figures; they are the educator's to replace once the logbook knows better.
 */
export const PACE = {
  'place-jumper': 0.75,
  'place-part': 1.5,
  'connect-supply': 0.75,
  'send-program': 2,
  gate: 2.5,
  'block-gate': 1.5,
  /** A block like one that was built already, for each of its pieces. */
  repeated: 0.7,
  cut: 0.5,
  /** One joint: heat, feed, look. */
  joint: 0.4,
  tape: 1.2,
  'change-part': 2,
  inspect: 4,
  'fit-extra': 1.5,
  /** Around the building, for the class as a whole. */
  talk: 8,
  clear: 5,
  /** One checkpoint read and written down. */
  reading: 1.5,
} as const;

/** Solder for one joint in millimetres of 0.7 mm wire. */
export const SOLDER_PER_JOINT = 6;

/** Slower for younger hands, faster for older ones. */
export const AGE_FACTORS = { '8–9': 1.4, '10–12': 1, '13 and up': 0.75 } as const;
export type AgeGroup = keyof typeof AGE_FACTORS;
export const AGE_GROUPS = Object.keys(AGE_FACTORS) as AgeGroup[];
