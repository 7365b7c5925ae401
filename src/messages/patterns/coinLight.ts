import { LOOP, type PatternWords } from './words';

export const coinLight: PatternWords = {
  name: 'Coin light',
  about: 'LEDs across a coin cell, taped or clipped, with or without a resistor.',
  ...LOOP,
  truth:
    '“A lamp needs no resistor on a coin cell” holds because the cell has ohms of its own inside, and for that cell only.',
  homework: 'Leave it lit and write down every hour how bright it is: when would you call it dim?',
};
