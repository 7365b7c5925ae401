import type { PatternId } from './index';

/** What each pattern rests on: lessons of these patterns come before it. */
export const COMES_AFTER: Readonly<Record<PatternId, readonly PatternId[]>> = {
  single: [],
  'coin-light': [],
  'walk-down': ['single'],
  strings: ['single'],
  hogging: ['strings'],
  dimmer: ['single', 'walk-down'],
  rgb: ['strings', 'hogging'],
  gauge: ['strings'],
  panel: ['strings'],
  'lamp-cover': ['strings', 'panel'],
};
