import type { PatternWords } from './words';

export const dimmer: PatternWords = {
  name: 'Dimmer',
  about: 'A potentiometer, with a floor resistor that guards the lamp.',
  analogy: 'A tap in the pipe, and a stop on the tap so that it never opens all the way.',
  truth: '“The knob turns the voltage down” is not what happens: it adds ohms, and the current falls.',
  homework: 'Where on the knob does the lamp look half as bright? It is not the middle: why?',
};
