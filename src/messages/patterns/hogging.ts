import type { PatternWords } from './words';

export const hogging: PatternWords = {
  name: 'Unlike lamps side by side',
  about: 'On a current-limited supply: why the one with the lowest forward voltage takes it all.',
  analogy: 'Water leaves a tub through the lowest hole; the higher ones stay dry while it is open.',
  truth: '“The blue one is broken” is what everybody says first. Taken alone, it lights.',
  homework: 'Which pairs of colours would share fairly? Say it from the forward volts alone.',
};
