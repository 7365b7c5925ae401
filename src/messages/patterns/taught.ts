import { PATTERN_IDS, type PatternId } from '@/core';

/** What each pattern teaches, in the order in which it is taught. */
const TEACHES = {
  single: 'Polarity and the resistor',
  'coin-light': 'Polarity and the resistor',
  'walk-down': 'Polarity and the resistor',
  strings: 'Several lamps',
  hogging: 'Several lamps',
  panel: 'Several lamps',
  'lamp-cover': 'Several lamps',
  dimmer: 'Turning, mixing, measuring volts',
  rgb: 'Turning, mixing, measuring volts',
  gauge: 'Turning, mixing, measuring volts',
  pulsed: 'Turning, mixing, measuring volts',
  blink: 'Timers and sound',
  'blink-simple': 'Timers and sound',
  'one-shot': 'Timers and sound',
  alternate: 'Timers and sound',
  chain: 'Timers and sound',
  tone: 'Timers and sound',
  'light-switch': 'Light and sound as input',
  'beam-alarm': 'Light and sound as input',
  'sound-lights': 'Light and sound as input',
  sequence: 'Controllers',
  'dusk-controller': 'Controllers',
} as const satisfies Readonly<Record<PatternId, string>>;

/** Patterns by what they teach. */
export const TAUGHT: readonly { readonly teaches: string; readonly patterns: readonly PatternId[] }[] = [
  ...new Set(Object.values(TEACHES)),
].map((teaches) => ({ teaches, patterns: PATTERN_IDS.filter((id) => TEACHES[id] === teaches) }));
