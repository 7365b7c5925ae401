import type { LessonContent } from '@/server/repositories/lessons';
import { lesson, on, USB } from './lesson';

/** Lessons whose lamps hang on a controller. */
export const PROGRAM_LESSONS: readonly LessonContent[] = [
  lesson(
    'Swing-bridge signal',
    {
      aim: 'Red, amber and green in turn by a table: wire each lamp to the pin that the table names, and time one round against its sum.',
      story: 'Before the bridge swings, boats and carts must know whose turn it is.',
      notes:
        'Let one bench exchange two leads on purpose: the table is right, the leads are right, and still the wrong lamp lights.',
      ageGroup: '13 and up',
      level: 'card',
    },
    {
      pattern: 'sequence',
      params: {
        board: 'five-volt',
        common: 'minus',
        resistors: 'own',
        amps: 0.008,
        lamps: [
          { lamp: 'red', pin: 9 },
          { lamp: 'yellow', pin: 10 },
          { lamp: 'green', pin: 11 },
        ],
        columns: [9, 10, 11],
        rows: [
          { steps: [255, 0, 0], seconds: 4, fade: false },
          { steps: [0, 255, 0], seconds: 1, fade: false },
          { steps: [0, 0, 255], seconds: 4, fade: false },
        ],
        rounds: 2,
        after: 'off',
        says: 18,
      },
      build: on('half'),
    },
  ),
  lesson(
    'Signal lantern in any colour',
    {
      aim: 'One lamp, three pins, every colour: set the steps of turquoise, and show by the meter that each mean is its share.',
      story: 'Every harbour has its own colour at night, and this one wants turquoise.',
      notes: 'A sheet of tracing paper over the lamp mixes what the three chips give. Look at white first.',
      ageGroup: '13 and up',
      level: 'card',
    },
    {
      pattern: 'rgb',
      params: {
        supply: USB,
        common: 'cathode',
        drive: 'pulses',
        resistors: 'own',
        amps: { red: 0.012, green: 0.006, blue: 0.006 },
        knobs: { red: 0, green: 0, blue: 0 },
        pulses: {
          board: 'five-volt',
          pins: { red: 9, green: 11, blue: 13 },
          colour: 'turquoise',
          steps: { red: 0, green: 255, blue: 128 },
        },
      },
      build: on('half'),
    },
  ),
  lesson(
    'Harbour-office lamp',
    {
      aim: 'A lamp that a program lights at dusk: find the reading of a bright and a dark room, and the two thresholds between them.',
      story: 'The office closes at dusk, and somebody always forgets the light.',
      notes: 'Let each bench write its two readings on the board first: no two sensors are the same.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'dusk-controller',
      params: {
        board: 'five-volt',
        lamp: 'white',
        amps: 0.008,
        lit: 'dusk',
        dark: 'classroom',
        pins: { lamp: 9, reads: 14 },
        hysteresis: 40,
      },
      build: on('half'),
    },
  ),
  lesson(
    'Storm lights',
    {
      aim: 'Bass red, voice yellow, cymbals blue: one transistor hears, three others each let their own part of the music through.',
      story: 'When the storm comes in, the lights along the mole dance with it.',
      notes:
        'Begin with silence and the meter: the hub must stand where the sheet says before anything is played. Then one channel at a time, each at its own tone. Start quietly.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'sound-lights',
      params: {
        supply: { kind: 'block-9v', cells: 1, age: 'fresh' },
        lamps: { low: 'red', middle: 'yellow', high: 'blue' },
        amps: 0.01,
        level: 0.2,
        bounds: { low: 250, high: 2500 },
      },
      // With parts in rows its card keeps to four pages of either paper.
      build: { ...on('full'), rails: 'wires only' },
    },
  ),
];
