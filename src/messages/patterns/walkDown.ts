import { LOOP, type PatternWords } from './words';

export const walkDown: PatternWords = {
  name: 'Walk down',
  about: 'One lamp and a row of resistors from high to low, with a floor that nobody passes.',
  ...LOOP,
  truth: '“Twice the current is twice as bright” is what the meter says; the eye sees much less of a step.',
  homework: 'Draw brightness, as you saw it, over ohms. Where does it stop to be worth the current?',
};
