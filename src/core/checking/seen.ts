import type { Look } from '../observe/looks';

/** What an eye at the bench says of a lamp. */
export const SEEN_WORDS = ['dark', 'dim', 'lit', 'too-bright', 'steady', 'blinking', 'hot'] as const;
export type SeenWord = (typeof SEEN_WORDS)[number];

export interface SeenLook {
  readonly lamp: string;
  readonly word: SeenWord;
}

/** Chance of each word for a lamp that looks so: eyes mix up neighbours, seldom light and dark. Starting figures. */
const SAID: Readonly<Record<Look, Readonly<Record<SeenWord, number>>>> = {
  dark: { dark: 0.95, dim: 0.04, lit: 0.01, 'too-bright': 0.002, steady: 0.01, blinking: 0.005, hot: 0.02 },
  dim: { dark: 0.15, dim: 0.6, lit: 0.3, 'too-bright': 0.005, steady: 0.5, blinking: 0.01, hot: 0.02 },
  lit: { dark: 0.01, dim: 0.08, lit: 0.9, 'too-bright': 0.03, steady: 0.9, blinking: 0.01, hot: 0.02 },
  'too-bright': { dark: 0.15, dim: 0.02, lit: 0.5, 'too-bright': 0.5, steady: 0.6, blinking: 0.01, hot: 0.4 },
  blinking: { dark: 0.03, dim: 0.05, lit: 0.1, 'too-bright': 0.01, steady: 0.03, blinking: 0.9, hot: 0.02 },
};

/** Log-likelihood of any one word where nothing is known about the lamp. */
export const UNKNOWN_LOOK = Math.log(0.25);

/** How well what was seen goes with how the lamps of a candidate look. A lamp that is not in the circuit is dark. */
export function lookLikelihood(
  looks: Readonly<Record<string, Look>> | undefined,
  seen: readonly SeenLook[],
): number {
  return seen.reduce((sum, { lamp, word }) => sum + Math.log(SAID[looks?.[lamp] ?? 'dark'][word]), 0);
}
