import type { PatternWords } from './words';

export const sequence: PatternWords = {
  name: 'Sequence',
  about: 'Lamps on the pins of a controller, lit row after row as a table says.',
  analogy:
    'A signalman with a timetable: at each time he sets his levers as the row says, and then does nothing but wait.',
  truth:
    '“A dimmed pin gives half the volts” is not so: it gives all of them, half of the time. The eye and the meter take the mean.',
  homework:
    'Watch a crossing with signals for two rounds and write its table: who, how, how long. What is the sum of its times?',
};
