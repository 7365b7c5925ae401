import type { PatternWords } from './words';

export const gauge: PatternWords = {
  name: 'Battery gauge',
  about: 'Rungs of zener, resistor and lamp that light one after another as the supply rises.',
  analogy: 'Overflow pipes at three heights: each runs only when the water stands above it.',
  truth:
    '“A battery at 12 V is full” depends on its kind and on what it gives just now: measure it under load.',
  homework: 'Between which two volts do exactly two lamps burn? Check it by turning the supply down slowly.',
};
