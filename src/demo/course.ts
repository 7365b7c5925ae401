import type { StockSpec } from '@/core';
import type { NewBattery } from '@/server/repositories/batteries';

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
  [{ kind: 'led', lamp: 'white' }, 60, 25, 420, 'drawer B'],
  [{ kind: 'cell', supply: 'aa-alkaline' }, 60, 12, 480, 'shelf 2'],
  [{ kind: 'holder', supply: 'aa-alkaline', cells: 3 }, 18, 1, 85, 'shelf 2'],
  [{ kind: 'cell', supply: 'block-9v' }, 12, 2, 420, 'shelf 2'],
  [{ kind: 'holder', supply: 'block-9v', cells: 1 }, 16, 5, 210, 'shelf 2'],
  [{ kind: 'supply', supply: 'usb' }, 15, 1, 160, 'shelf 3'],
  [{ kind: 'supply', supply: 'bench' }, 14, 1, 4900, 'shelf 4'],
  [{ kind: 'supply', supply: 'lead-acid-12v' }, 14, 1, 2150, 'shelf 4'],
  [{ kind: 'jumper' }, 140, 70, 350, 'box J'],
  [{ kind: 'led', lamp: 'yellow-green' }, 20, 25, 240, 'drawer B'],
  [{ kind: 'rgb-lamp', common: 'cathode' }, 15, 10, 460, 'drawer B'],
  [{ kind: 'zener', volts: 8.2 }, 18, 25, 210, 'drawer C'],
  [{ kind: 'zener', volts: 9.1 }, 18, 25, 210, 'drawer C'],
  [{ kind: 'zener', volts: 10 }, 16, 25, 210, 'drawer C'],
  [{ kind: 'potentiometer', ohms: 22000 }, 15, 5, 380, 'drawer C'],
  [{ kind: 'button' }, 30, 20, 310, 'drawer C'],
  [{ kind: 'cell', supply: 'coin-20mm' }, 24, 5, 350, 'safe'],
  [{ kind: 'holder', supply: 'coin-20mm', cells: 1 }, 20, 10, 640, 'safe'],
  [{ kind: 'tape' }, 120, 60, 540, 'box J'],
  [{ kind: 'tinned-wire' }, 300, 100, 120, 'box J'],
  [{ kind: 'clip-lead' }, 40, 10, 460, 'box J'],
  [{ kind: 'fuse' }, 20, 10, 240, 'safe'],
  [{ kind: 'iron' }, 7, 1, 1650, 'shelf 4'],
  [{ kind: 'board', board: 'half' }, 16, 1, 320, 'shelf 1'],
  [{ kind: 'board', board: 'mini' }, 18, 1, 140, 'shelf 1'],
  [{ kind: 'board', board: 'full' }, 12, 1, 560, 'shelf 1'],
  [{ kind: 'board', board: 'full-split' }, 4, 1, 540, 'shelf 1'],
  [{ kind: 'board', board: 'strip' }, 14, 5, 900, 'shelf 1'],
  [{ kind: 'board', board: 'pad' }, 14, 5, 750, 'shelf 1'],
  [{ kind: 'board', board: 'card' }, 60, 20, 180, 'shelf 1'],
  [{ kind: 'thing', name: 'jam jar, clean' }, 16, 1, 0, 'shelf 5'],
  [{ kind: 'thing', name: 'paper sheet for the boat' }, 100, 100, 230, 'shelf 5'],
  [{ kind: 'thing', name: 'paper screw' }, 40, 20, 190, 'safe'],
  [{ kind: 'thing', name: 'tracing paper, half a sheet' }, 12, 25, 310, 'shelf 5'],
];

/** Which benches of the finished session were built wrong, and what was found when they were measured again. */
export const WRONG_BUILDS = [
  { bench: 3, fault: 'wrong-resistor', ohms: 3300, mended: true },
  { bench: 6, fault: 'lamp-reversed', mended: true },
  { bench: 9, fault: 'supply-tired', mended: false },
  { bench: 10, fault: 'resistor-shorted', mended: false },
] as const;

/** Battery boxes that were read with the class meter, and how many days ago. */
export const BATTERIES: readonly (Omit<NewBattery, 'measuredAt'> & { readonly daysAgo: number })[] = [
  { name: 'box 3', kind: 'aa-alkaline', cells: 3, volts: 4.38, ohms: 0.94, daysAgo: 5 },
  { name: 'box 7', kind: 'aa-alkaline', cells: 3, volts: 4.71, ohms: 0.52, daysAgo: 5 },
  { name: 'block, red dot', kind: 'block-9v', cells: 1, volts: 8.2, ohms: 3.9, daysAgo: 2 },
];
