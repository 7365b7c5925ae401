import type { LessonContent } from '@/server/repositories/lessons';
import { BLOCK, cells, lesson, on, USB } from './lesson';
import { PROGRAM_LESSONS } from './programLessons';
import { TIMER_LESSONS } from './timerLessons';

/** The lessons of the harbour in the order in which it is built: one or more of every pattern, on every board. */
export const LESSONS: readonly LessonContent[] = [
  lesson(
    'Pier lamp',
    {
      aim: 'Each student lights one red lamp with the right resistor, and shows by the meter that the current is what was planned.',
      story: 'A boat is due after dark, and the end of the pier has no light.',
      notes: 'Show the lamp the wrong way round before anybody has seen it lit.',
      extras: [
        { name: 'jam jar, clean', each: 1, use: 'Stand the jar over the lamp: the pier has its light' },
      ],
    },
    { pattern: 'single', params: { supply: cells(3), lamp: 'red', amps: 0.01, side: 'plus' } },
  ),
  lesson(
    'Harbour-office window',
    {
      aim: 'The same loop with another lamp: why does blue want a smaller resistor from five volts?',
      story: 'Somebody is still at work in the harbour office, behind a blue blind.',
    },
    { pattern: 'single', params: { supply: USB, lamp: 'blue', amps: 0.012, side: 'minus' } },
  ),
  lesson(
    'Net-loft lantern',
    {
      aim: 'Most of a nine-volt block is wasted on one lamp: measure where the volts go.',
      story: 'The nets are mended by the light of one yellow lantern.',
      notes: 'Leads into the two strings of the quay later in the course.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    { pattern: 'single', params: { supply: BLOCK, lamp: 'yellow', amps: 0.008, side: 'plus' } },
  ),
  lesson(
    'Paper-boat cabin light',
    {
      aim: 'A lamp that shines without solder or board: two tapes, one coin cell, and the two tapes never touch.',
      story: 'The paper boats sail at dusk, and each wants a light in its cabin.',
      notes: 'Coin cells counted out and counted in. The holder is screwed shut before the boat goes home.',
      ageGroup: '8–9',
      level: 'no mathematics',
      homework: 'Leave the boat lit on the sill, and draw how bright it is every evening.',
      extras: [
        {
          name: 'paper sheet for the boat',
          each: 1,
          use: 'Fold the boat and set the closed card in its cabin',
        },
        { name: 'paper screw', each: 1, use: 'Close the holder with the screw' },
      ],
    },
    {
      pattern: 'coin-light',
      params: { lamp: 'white', copies: 1, cells: 1, age: 'fresh', resistor: false, amps: 0.002 },
      build: on('card'),
    },
  ),
  lesson(
    'Finding the glow',
    {
      aim: 'Each student finds the largest resistor with which the lamp is still good to see, and knows why nobody goes on.',
      story: 'The watchman wants a lamp that he can see and the gulls cannot.',
    },
    { pattern: 'walk-down', params: { supply: cells(3), lamp: 'green', steps: 6 }, build: on('mini') },
  ),
  lesson(
    'Quay string',
    {
      aim: 'Three blue and two red lamps off nine volts: strings where the volts allow it, and the figures that say why.',
      story: 'The quay is lit for the lantern night, and the battery has to last until the last boat is in.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'strings',
      params: {
        supply: BLOCK,
        groups: [
          { lamp: 'blue', count: 3 },
          { lamp: 'red', count: 2 },
        ],
        amps: 0.008,
        way: { kind: 'strings', length: 2 },
        side: 'plus',
      },
      build: on('half'),
    },
  ),
  lesson(
    'Why blue stays dark',
    {
      aim: 'Red, green and blue side by side: measure who takes the current, and say why.',
      story: 'The signal post has three lamps, and only one of them ever burns.',
      notes: 'Predict first. The bench supply stays at its limit the whole time.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'hogging',
      params: { lamps: ['red', 'green', 'blue'], volts: 5, limitAmps: 0.015 },
      build: on('half'),
    },
  ),
  lesson(
    'Lantern dimmer',
    {
      aim: 'Turn the lantern up and down, and show that the floor resistor keeps it safe at the end of the knob.',
      story: 'The lantern on the mole is bright for the boats and low for the sleepers.',
    },
    {
      pattern: 'dimmer',
      params: { supply: cells(3), lamp: 'yellow', amps: 0.01, lowAmps: 2e-4, position: 0.5 },
      build: on('half'),
    },
  ),
  lesson(
    'Signal lantern',
    {
      aim: 'Mix cyan, orange and white with three resistors, and explain why each colour has its own.',
      story: 'The lantern tells the boats from afar what the harbour has to say.',
    },
    {
      pattern: 'rgb',
      params: {
        supply: USB,
        common: 'cathode',
        drive: 'fixed',
        resistors: 'own',
        amps: { red: 0.01, green: 0.005, blue: 0.005 },
        knobs: { red: 0, green: 0.3, blue: 0.6 },
      },
      build: on('full-split'),
    },
  ),
  lesson(
    'Launch battery gauge',
    {
      aim: 'Three lamps that tell how full the launch’s battery is, while a button is held.',
      story: 'The launch must not be left out there with a flat battery.',
      notes: 'Bench supply set to 12.75 V and lowered by hand: note where each lamp goes out.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'gauge',
      params: {
        supply: { kind: 'lead-acid-12v', cells: 1, age: 'fresh' },
        rungs: [
          { lamp: 'red', volts: 10.5 },
          { lamp: 'yellow', volts: 11 },
          { lamp: 'yellow-green', volts: 12 },
        ],
        amps: 0.01,
      },
      build: on('full'),
    },
  ),
  lesson(
    'Deck board',
    {
      aim: 'Sixteen lamps soldered in two batches, each batch tested before the next is begun.',
      story: 'The deck of the ferry is lit from rail to rail.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'panel',
      params: { supply: USB, rows: 2, columns: 8, lamp: 'white', amps: 0.005, batch: 8 },
      build: on('strip'),
    },
  ),
  lesson(
    'Cabin ceiling',
    {
      aim: 'Nine lamps in strings of three on an isolated twelve-volt supply, in the place of a mains lamp.',
      story: 'The captain’s cabin gets a ceiling of lights.',
      ageGroup: '13 and up',
      extras: [
        {
          name: 'tracing paper, half a sheet',
          each: 1,
          use: 'Fix the paper a hand below the lamps: it spreads the light',
        },
      ],
    },
    { pattern: 'lamp-cover', params: { count: 9, lamp: 'white', amps: 0.01 }, build: on('pad') },
  ),
  ...TIMER_LESSONS,
  ...PROGRAM_LESSONS,
];
