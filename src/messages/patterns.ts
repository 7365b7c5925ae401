import type { PatternId } from '@/core';

/** Each pattern by name, and what it is for, in the words of the gallery. */
export const PATTERN_WORDS: Readonly<Record<PatternId, { readonly name: string; readonly about: string }>> = {
  single: { name: 'One lamp', about: 'One LED, one series resistor on either side, any supply.' },
  'coin-light': {
    name: 'Coin light',
    about: 'LEDs across a coin cell, taped or clipped, with or without a resistor.',
  },
  'walk-down': {
    name: 'Walk down',
    about: 'One lamp and a row of resistors from high to low, with a floor that nobody passes.',
  },
  strings: {
    name: 'Several lamps',
    about: 'Lamps of any colours, each by itself, in strings, or on one resistor: every way compared.',
  },
  hogging: {
    name: 'Unlike lamps side by side',
    about: 'On a current-limited supply: why the one with the lowest forward voltage takes it all.',
  },
  dimmer: { name: 'Dimmer', about: 'A potentiometer, with a floor resistor that guards the lamp.' },
  rgb: {
    name: 'Three-colour lamp',
    about: 'Common cathode or anode, a resistor for each colour, fixed or turned by hand.',
  },
  gauge: {
    name: 'Battery gauge',
    about: 'Rungs of zener, resistor and lamp that light one after another as the supply rises.',
  },
  panel: {
    name: 'Panel',
    about: 'Rows and columns, each lamp with its resistor, soldered in tested batches.',
  },
  'lamp-cover': {
    name: 'Lamp cover',
    about: 'Many lamps in strings on an isolated 12 V supply, the safe stand-in for a mains lamp.',
  },
};
