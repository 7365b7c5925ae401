import type { PatternWords } from './words';

export const beamAlarm: PatternWords = {
  name: 'Beam alarm',
  about:
    'A lamp shines on a light sensor and keeps a timer silent; whoever walks through the beam lets it sound.',
  analogy:
    'A hand on a bell: as long as it lies there the bell is still, and it rings when the hand is taken away.',
  truth:
    '“The sensor switches the alarm on” is not so: its light holds the alarm off, and the alarm sounds when nothing holds it.',
  homework: 'Where at home or in shops does a beam watch a door? What would happen if its lamp failed?',
};
