import type { PatternWords } from './words';

export const pulsed: PatternWords = {
  name: 'On pulses',
  about: 'A lamp on the pulses of a booster: the meter shows the mean, the lamp has the peak.',
  analogy:
    'A child on a swing is pushed for a moment each time round: the push is strong and short, and what is seen is the steady swinging.',
  truth:
    '“The meter says 1.4 V, so this lamp needs only 1.4 V” is not so: it has its full volts for part of the time, and none for the rest.',
  homework:
    'Move a lit lamp of some appliance past your eyes in the dark: a line, or dots? What do dots tell?',
};
