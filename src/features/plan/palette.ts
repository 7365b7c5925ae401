import type { BandColour, LampType, JumperColour } from '@/core';

/** Drawn colours stand in the SVG itself, so that a saved or printed plan keeps them. */
export const DRAWN = {
  board: '#fbfcfb',
  edge: '#7f8f8c',
  trench: '#e6ecea',
  hole: '#7f8f8c',
  clip: '#e0eae7',
  ink: '#1d2b36',
  soft: '#56636c',
  plus: '#b1602a',
  minus: '#1d2b36',
  leg: '#8a8f90',
  body: '#ead9b5',
  glass: '#d9a679',
  strip: '#ecd9bd',
  tape: '#d29a6b',
  cell: '#dfe3e4',
  pick: '#0e5a66',
} as const;

export const WIRE_COLOURS: Readonly<Record<JumperColour, string>> = {
  red: '#b1602a',
  black: '#1d2b36',
  green: '#2f7a4f',
  yellow: '#a67c00',
  blue: '#2f5f94',
};

/** What tells wires apart without their hue: a light core, whole, in dashes or in dots. */
export const WIRE_CORES: Readonly<Partial<Record<JumperColour, string>>> = {
  green: '5 4',
  blue: '0.1 4',
  yellow: 'none',
};

/** Fill and the letter that names the colour for those who cannot see it. */
export const LAMP_DRAWN: Readonly<Record<LampType, { fill: string; ink: string; letter: string }>> = {
  infrared: { fill: '#6d6470', ink: '#fff', letter: 'IR' },
  red: { fill: '#b3322b', ink: '#fff', letter: 'R' },
  orange: { fill: '#d8742a', ink: '#1d2b36', letter: 'O' },
  yellow: { fill: '#e6bd3a', ink: '#1d2b36', letter: 'Y' },
  'yellow-green': { fill: '#a9b83c', ink: '#1d2b36', letter: 'YG' },
  green: { fill: '#2f8a56', ink: '#fff', letter: 'G' },
  blue: { fill: '#2d5d9c', ink: '#fff', letter: 'B' },
  white: { fill: '#fffdf6', ink: '#1d2b36', letter: 'W' },
  violet: { fill: '#6b4a94', ink: '#fff', letter: 'V' },
};

export const BAND_FILLS: Readonly<Record<BandColour, string>> = {
  black: '#1c1c1c',
  brown: '#6f3f1f',
  red: '#b3322b',
  orange: '#dd7a2c',
  yellow: '#e6c23a',
  green: '#2f8a56',
  blue: '#2d5d9c',
  violet: '#6b4a94',
  grey: '#8b8b8b',
  white: '#ffffff',
  gold: '#b8912f',
  silver: '#b9bcc0',
  pink: '#d99aa5',
};
