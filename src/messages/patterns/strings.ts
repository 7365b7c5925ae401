import type { PatternWords } from './words';

export const strings: PatternWords = {
  name: 'Several lamps',
  about: 'Lamps of any colours, each by itself, in strings, or on one resistor: every way compared.',
  analogy: 'A chain of waterfalls shares the height; waterfalls side by side each want water of their own.',
  truth:
    '“Lamps side by side share the current” holds for like lamps with a resistor each. Unlike ones on one resistor do not share: the lowest takes it.',
  homework: 'Four red lamps on a USB port: how many ways are there, and which draws least?',
};
