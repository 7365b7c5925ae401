/** Lamps that colours are mixed of. */
export type Primary = 'red' | 'green' | 'blue';

/**
 * Colours by name: the light of each lamp beside what it gives to white. Starting figures, as an eye places them beside
 * one another; a diffuser in front, and a classroom’s own light, move them.
 */
export const MIX_COLOURS = {
  white: { red: 1, green: 1, blue: 1 },
  red: { red: 1, green: 0, blue: 0 },
  orange: { red: 1, green: 0.35, blue: 0 },
  yellow: { red: 1, green: 0.8, blue: 0 },
  green: { red: 0, green: 1, blue: 0 },
  turquoise: { red: 0, green: 1, blue: 0.6 },
  cyan: { red: 0, green: 1, blue: 1 },
  blue: { red: 0, green: 0, blue: 1 },
  violet: { red: 0.45, green: 0, blue: 1 },
  magenta: { red: 1, green: 0, blue: 0.8 },
  pink: { red: 1, green: 0.45, blue: 0.55 },
} as const satisfies Readonly<Record<string, Readonly<Record<Primary, number>>>>;
export type MixColour = keyof typeof MIX_COLOURS;
export const MIX_COLOUR_NAMES = Object.keys(MIX_COLOURS) as MixColour[];

/** Share of white’s light that each lamp gives: the eye counts green most and blue least. */
export const WHITE_LIGHT: Readonly<Record<Primary, number>> = { red: 0.27, green: 0.65, blue: 0.08 };

/** Candela an amp of the three lamps of one body, as they shine forward. Starting figures. */
export const CANDELA_PER_AMP: Readonly<Record<Primary, number>> = { red: 40, green: 110, blue: 28 };
