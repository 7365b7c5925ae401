import type { StockSpec } from '@/core';
import type { LessonContent } from '@/server/repositories/lessons';

/** The invented course: a model harbour, built week by week. All names, values and prices in it are invented. */
export const COURSE = 'Model harbour';

export const GROUPS = [
  {
    name: 'Tern',
    meets: 'second evening, at six',
    nicknames: [
      'Ottoline',
      'Bram',
      'Sorrel',
      'Teasel',
      'Ignace',
      'Wren',
      'Calla',
      'Dorrit',
      'Fenn',
      'Juniper',
      'Marlo',
      'Pim',
      'Quill',
      'Rafe',
    ],
  },
  {
    name: 'Plover',
    meets: 'fourth evening, at five',
    nicknames: [
      'Ansel',
      'Brisa',
      'Corin',
      'Delphie',
      'Eskil',
      'Fable',
      'Gorse',
      'Hanne',
      'Isolde',
      'Jory',
      'Kestrel',
    ],
  },
] as const;

export const LESSONS: readonly LessonContent[] = [
  {
    title: 'Pier lamp',
    aim: 'Each student lights one red lamp with the right resistor, and shows by the meter that the current is what was planned.',
    story: 'A boat is due after dark, and the end of the pier has no light.',
    notes: 'Show the lamp the wrong way round before anybody has seen it lit.',
    ageGroup: '10–12',
    choice: {
      pattern: 'single',
      params: {
        supply: { kind: 'aa-alkaline', cells: 3, age: 'fresh' },
        lamp: 'red',
        amps: 0.01,
        side: 'plus',
      },
    },
    plan: null,
  },
  {
    title: 'Harbour-office window',
    aim: 'The same loop with another lamp: why does blue want a smaller resistor from five volts?',
    story: 'Somebody is still at work in the harbour office, behind a blue blind.',
    notes: '',
    ageGroup: '10–12',
    choice: {
      pattern: 'single',
      params: { supply: { kind: 'usb', cells: 1, age: 'nominal' }, lamp: 'blue', amps: 0.012, side: 'minus' },
    },
    plan: null,
  },
  {
    title: 'Net-loft lantern',
    aim: 'Most of a nine-volt block is wasted on one lamp: measure where the volts go.',
    story: 'The nets are mended by the light of one yellow lantern.',
    notes: 'Leads into the two strings of the quay later in the course.',
    ageGroup: '13 and up',
    choice: {
      pattern: 'single',
      params: {
        supply: { kind: 'block-9v', cells: 1, age: 'fresh' },
        lamp: 'yellow',
        amps: 0.008,
        side: 'plus',
      },
    },
    plan: null,
  },
];

const RESISTORS: readonly (readonly [number, number])[] = [
  [10, 20],
  [33, 18],
  [47, 25],
  [68, 30],
  [100, 60],
  [150, 44],
  [180, 22],
  [220, 80],
  [270, 35],
  [330, 26],
  [390, 40],
  [470, 75],
  [560, 30],
  [680, 28],
  [820, 31],
  [1000, 90],
  [1200, 24],
  [1500, 20],
  [2200, 45],
  [3300, 22],
  [4700, 50],
  [10000, 70],
  [33000, 20],
  [100000, 40],
];

/** Spec, number in store, pack size, cents a pack, place. */
export const STOCK: readonly (readonly [StockSpec, number, number, number, string])[] = [
  ...RESISTORS.map(([ohms, have]) => [{ kind: 'resistor', ohms }, have, 50, 140, 'drawer A'] as const),
  [{ kind: 'led', lamp: 'red' }, 12, 25, 275, 'drawer B'],
  [{ kind: 'led', lamp: 'yellow' }, 30, 25, 275, 'drawer B'],
  [{ kind: 'led', lamp: 'green' }, 24, 25, 390, 'drawer B'],
  [{ kind: 'led', lamp: 'blue' }, 22, 25, 390, 'drawer B'],
  [{ kind: 'led', lamp: 'white' }, 18, 25, 420, 'drawer B'],
  [{ kind: 'cell', supply: 'aa-alkaline' }, 60, 12, 480, 'shelf 2'],
  [{ kind: 'holder', supply: 'aa-alkaline', cells: 3 }, 18, 1, 85, 'shelf 2'],
  [{ kind: 'cell', supply: 'block-9v' }, 12, 2, 420, 'shelf 2'],
  [{ kind: 'holder', supply: 'block-9v', cells: 1 }, 16, 5, 210, 'shelf 2'],
  [{ kind: 'supply', supply: 'usb' }, 15, 1, 160, 'shelf 3'],
  [{ kind: 'jumper' }, 140, 70, 350, 'box J'],
  [{ kind: 'board', board: 'half' }, 16, 1, 320, 'shelf 1'],
];

/** Which benches of the finished session were built wrong, and what was found when they were measured again. */
export const WRONG_BUILDS = [
  { bench: 3, fault: 'wrong-resistor', ohms: 3300, mended: true },
  { bench: 6, fault: 'lamp-reversed', mended: true },
  { bench: 9, fault: 'supply-tired', mended: false },
  { bench: 10, fault: 'resistor-shorted', mended: false },
] as const;
