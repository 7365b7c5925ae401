import { LOOP, type PatternWords } from './words';

export const single: PatternWords = {
  name: 'One lamp',
  about: 'One LED, one series resistor on either side, any supply.',
  ...LOOP,
};
