import { LAMP_TYPES, type LampType } from './lamps';

/** Lamps by the words that people have for their colours. */
export const COLOUR_WORDS: Readonly<Record<string, LampType>> = {
  ...Object.fromEntries(LAMP_TYPES.map((type) => [type, type])),
  amber: 'yellow',
  purple: 'violet',
};

/** The one lamp that is named among other words; none where there is none, or more than one. */
export function lampInWords(words: string): LampType | undefined {
  const named = words.split(/\s+/u).flatMap((word) => COLOUR_WORDS[word] ?? []);
  return named.length === 1 ? named[0] : undefined;
}
