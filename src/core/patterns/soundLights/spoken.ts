import { lampInWords } from '../../catalogue/lampWords';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Band, SoundLightsParams } from './params';

/** What people call the three parts of music. */
const HEARD: Readonly<Record<string, Band>> = {
  ...Object.fromEntries(['low', 'lows', 'bass', 'deep', 'drum', 'drums'].map((word) => [word, 'low'])),
  ...Object.fromEntries(
    ['middle', 'mid', 'mids', 'voice', 'voices', 'singing', 'song'].map((word) => [word, 'middle']),
  ),
  ...Object.fromEntries(
    ['high', 'highs', 'cymbal', 'cymbals', 'treble', 'rattle', 'hiss'].map((word) => [word, 'high']),
  ),
};

/**
 * Which lamps follow what, as it is said; what is not said stays.
 *
 * @returns the lamps, or the words that are not understood
 * @example spokenChannels('bass red, voice yellow, cymbals blue', lamps)
 * // { ok: true, value: { low: 'red', middle: 'yellow', high: 'blue' } }
 */
export function spokenChannels(
  text: string,
  lamps: SoundLightsParams['lamps'],
): Outcome<SoundLightsParams['lamps']> {
  const parts = text
    .toLowerCase()
    .split(/[,;\n]|\band\b/u)
    .map((words) => words.trim())
    .filter((words) => words !== '');
  if (parts.length === 0) return refused(finding('words-unknown', { words: text.trim() }));
  let found = lamps;
  for (const words of parts) {
    const heard = words.split(/\s+/u).flatMap((word) => HEARD[word] ?? []);
    const lamp = lampInWords(words);
    if (heard.length !== 1 || !lamp) return refused(finding('words-unknown', { words }));
    found = { ...found, [heard[0]!]: lamp };
  }
  return accepted(found);
}
