import type { LessonContent } from '@/server/repositories/lessons';
import { lesson, on } from './lesson';

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
];
