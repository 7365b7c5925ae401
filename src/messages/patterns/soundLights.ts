import type { PatternWords } from './words';

export const soundLights: PatternWords = {
  name: 'Sound lights',
  about: 'Music comes in by a lead: one pair of lamps follows the bass, one the voices, one the cymbals.',
  analogy:
    'Three sieves of different mesh under one tap: each lets through another grain, and a wheel behind each turns when its grain comes.',
  truth:
    '“The filter cuts everything above its corner” is not so: at the corner seven tenths still pass, and less and less beyond. What lights no lamp is what stays under the 0.65 V of a base.',
  homework: 'Play one piece to the lamps at home: which instrument lights which lamps? Write down three.',
};
