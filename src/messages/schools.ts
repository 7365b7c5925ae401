import type { HouseStyle, LoopSums, School } from '@/core';
import { formatQuantity } from '@/core';

/** The other ways of choosing, named as practitioners would. */
export function schoolWords({ question, choice }: School, lamp: LoopSums['lamp']): string {
  switch (question) {
    case 'value':
      return (
        { up: 'next value up', nearest: 'nearest either way', walk: 'walk down until bright enough' }[
          choice
        ] ?? choice
      );
    case 'age':
      return 'sum with the volts on the label, not fresh';
    case 'forward volts':
      return `one figure for the lamp, ${formatQuantity(lamp.vf, 'V')}, not its curve`;
    case 'current':
      return `full rated ${formatQuantity(lamp.maxAmps, 'A', 2)}`;
  }
}

export const ROUNDING_WORDS = { up: 'up', nearest: 'nearest', walk: 'walked down by eye' } as const;

/** How the rails of a plug-in board are used. */
export const RAIL_WORDS: Readonly<Record<HouseStyle['rails'], string>> = {
  legs: 'legs in them where they reach',
  'wires only': 'wires only, parts in rows',
};
