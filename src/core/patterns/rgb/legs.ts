export const RGB_COLOURS = ['red', 'green', 'blue'] as const;
export type RgbColour = (typeof RGB_COLOURS)[number];

/** Which leg of the three-colour lamp each pin of one colour is. */
export function legsOfColour(colour: RgbColour, commonCathode: boolean): Readonly<Record<string, string>> {
  return commonCathode ? { anode: colour, cathode: 'common' } : { anode: 'common', cathode: colour };
}
