import type { Ohms } from '../quantities/units';

export const DIGIT_COLOURS = [
  'black',
  'brown',
  'red',
  'orange',
  'yellow',
  'green',
  'blue',
  'violet',
  'grey',
  'white',
] as const;
export const BAND_COLOURS = [...DIGIT_COLOURS, 'gold', 'silver', 'pink'] as const;
export type BandColour = (typeof BAND_COLOURS)[number];

/** Multiplier exponents and tolerances by colour. Source: IEC 60062:2016, tables 1 and 2. */
const EXPONENT: Readonly<Partial<Record<BandColour, number>>> = {
  ...Object.fromEntries(DIGIT_COLOURS.map((colour, i) => [colour, i])),
  gold: -1,
  silver: -2,
  pink: -3,
};
const TOLERANCE: Readonly<Partial<Record<BandColour, number>>> = {
  brown: 0.01,
  red: 0.02,
  orange: 0.0005,
  yellow: 0.0002,
  green: 0.005,
  blue: 0.0025,
  violet: 0.001,
  grey: 0.0001,
  gold: 0.05,
  silver: 0.1,
};

export type BandCount = 4 | 5;

/**
 * The bands of a value, from the end where reading starts.
 *
 * @param ohms to be written; must have no more digits than the code carries (two with 4 bands, three with 5)
 * @param count how many bands
 * @param tolerance as a fraction: 0.05 or 0.01 …
 * @returns the colours, or undefined when the value cannot be written so
 * @example bandsFor(330, 4, 0.05) // ['orange', 'orange', 'brown', 'gold']
 */
export function bandsFor(ohms: Ohms, count: BandCount, tolerance: number): BandColour[] | undefined {
  const digits = count - 2;
  if (!(ohms > 0)) return undefined;
  const exponent = Math.max(-3, Math.floor(Math.log10(ohms) + 1e-9) - digits + 1);
  const figure = Math.round(ohms / 10 ** exponent);
  if (Math.abs(figure * 10 ** exponent - ohms) > ohms * 1e-9) return undefined;
  const multiplier = colourOf(EXPONENT, exponent);
  const last = colourOf(TOLERANCE, tolerance);
  if (!multiplier || !last) return undefined;
  const leading = figure.toString().padStart(digits, '0').split('');
  return [...leading.map((d) => DIGIT_COLOURS[Number(d)]!), multiplier, last];
}

function colourOf(table: Partial<Record<BandColour, number>>, value: number): BandColour | undefined {
  return BAND_COLOURS.find((colour) => table[colour] === value);
}

export interface BandReading {
  readonly ohms: Ohms;
  readonly tolerance: number;
}

/** Reads four or five bands; undefined when a colour cannot stand where it stands. */
export function readBands(bands: readonly BandColour[]): BandReading | undefined {
  if (bands.length !== 4 && bands.length !== 5) return undefined;
  const digits = bands.slice(0, -2).map((colour) => DIGIT_COLOURS.findIndex((c) => c === colour));
  const exponent = EXPONENT[bands[bands.length - 2]!];
  const tolerance = TOLERANCE[bands[bands.length - 1]!];
  if (digits.includes(-1) || exponent === undefined || tolerance === undefined) return undefined;
  const figure = Number(digits.join(''));
  return { ohms: Number((figure * 10 ** exponent).toPrecision(6)), tolerance };
}

/** The letter code of a value: 4R7, 330R, 4K7, 4M7. Source: IEC 60062:2016, clause 5. */
export function letterCode(ohms: Ohms): string {
  const [letter, scale] = ohms >= 1e6 ? ['M', 1e6] : ohms >= 1e3 ? ['K', 1e3] : ['R', 1];
  const text = Number((ohms / (scale as number)).toPrecision(4)).toString();
  return text.includes('.') ? text.replace('.', letter as string) : `${text}${letter}`;
}
