import type { FaultCode, FaultData } from '../parts/mistake';

/** What somebody says of a part who compares the bench with the plan. */
export const PLACED_WORDS = ['turned', 'astray', 'missing', 'other-part'] as const;
export type PlacedWord = (typeof PLACED_WORDS)[number];

/** How a mistake shows to whoever compares the bench with the plan; one that is not here shows nowhere. */
const SHOWS_AS: Readonly<Partial<Record<FaultCode, readonly PlacedWord[]>>> = {
  'lamp-reversed': ['turned'],
  'zener-reversed': ['turned'],
  'part-reversed': ['turned'],
  'supply-reversed': ['turned'],
  'cell-reversed': ['turned'],
  'lead-off': ['astray', 'missing'],
  'chip-turned': ['turned'],
  'pins-exchanged': ['turned', 'astray'],
  'pin-leads-exchanged': ['astray'],
  'pin-leads-shifted': ['astray'],
  'pin-lead-astray': ['astray'],
  'chip-shifted': ['astray'],
  'leg-astray': ['astray'],
  'legs-touching': ['astray'],
  'lamp-shorted': ['astray'],
  'resistor-shorted': ['astray', 'missing'],
  'part-shorted': ['astray', 'missing'],
  'resistor-missing': ['missing'],
  'part-missing': ['missing', 'astray'],
  'jumper-missing': ['missing', 'astray'],
  'wrong-resistor': ['other-part'],
  'wrong-capacitor': ['other-part'],
  'other-lamp': ['other-part'],
  'other-common': ['other-part'],
  'resistors-exchanged': ['other-part', 'astray'],
  'zeners-exchanged': ['other-part', 'astray'],
  'arms-exchanged': ['other-part', 'astray'],
};

/** Chance that somebody who compares says this of the part that it is; says something else of it; is mistaken. Starting figures. */
const SEEN_SO = 0.8;
const SEEN_OTHERWISE = 0.1;
const MISTAKEN = 0.02;

/** One or two things that are wrong, as far as they may be seen beside the plan. */
export interface PlacedMistake {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly also?: { readonly code: FaultCode; readonly data: FaultData } | undefined;
  /** Mistakes that make the same circuit: it may be any of them that is seen. */
  readonly alike?: readonly { readonly code: FaultCode; readonly data: FaultData }[] | undefined;
}

/** Chance that a word is said of a part of a build with such a mistake. */
export function placedChance(
  { code, data, also, alike = [] }: PlacedMistake,
  part: string,
  word: PlacedWord,
): number {
  const any = [{ code, data }, ...(also ? [also] : []), ...alike];
  return Math.max(...any.map((one) => chanceOf(one.code, one.data, part, word)));
}

function chanceOf(code: FaultCode, data: FaultData, part: string, word: PlacedWord): number {
  const words = SHOWS_AS[code];
  if (!words || (data.part !== part && data.other !== part)) return MISTAKEN;
  return words.includes(word) ? SEEN_SO : SEEN_OTHERWISE;
}

/** Where nothing is known of what is wrong, a part that is said to differ may be it. */
export const UNKNOWN_PLACED = 0.1;

export function isPlacedWord(word: string): word is PlacedWord {
  return (PLACED_WORDS as readonly string[]).includes(word);
}
