import type { PatternWords } from './words';

export const rgb: PatternWords = {
  name: 'Three-colour lamp',
  about:
    'Common cathode or anode, a resistor for each colour, fixed, turned by hand, or mixed on the pins of a controller.',
  analogy: 'Three taps into one basin: each colour has its own, and the basin shows the mixture.',
  truth:
    '“Equal current is equal brightness” fails here: green looks far brighter than red at the same current.',
  homework: 'Make cyan, magenta, orange and white, and note the three currents of each.',
};
