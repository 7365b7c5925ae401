import type { PatternWords } from './words';

export const lightSwitch: PatternWords = {
  name: 'Light switch',
  about: 'A light sensor works a transistor, and it a lamp: on in the dark, or on in the light.',
  analogy:
    'Two taps on one pipe: one stands still, the other is turned by the light, and how full the pipe between them is works the float.',
  truth:
    '“The sensor switches the lamp” is not so: it moves a voltage a little, and the transistor makes a switch of that.',
  homework: 'Find three lights at home or in the street that come on by themselves: what do they sense?',
};
