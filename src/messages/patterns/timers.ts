import type { PatternWords } from './words';

const TANK =
  'A cistern that fills through a thin pipe; a float empties it when it is two thirds full, and lets it fill again at one third.';

export const blink: PatternWords = {
  name: 'Blinker',
  about: 'One timer chip, one lamp: so long lit, so long dark, as you say.',
  analogy: TANK,
  truth:
    '“The chip counts the seconds” is not so: it only compares two voltages. The resistor and the capacitor are the clock.',
  homework:
    'Which of the two resistors must be changed so that it stays dark for longer and flashes as long as before?',
};

export const blinkSimple: PatternWords = {
  name: 'Simple blinker',
  about: 'The chip driven by its own output: one resistor, one capacitor, lamps that take turns.',
  analogy: 'Somebody on a swing who pushes back each time an end is reached.',
  truth:
    '“It is up as long as it is down” holds for a chip that reaches both rails. This one stays short of the upper one, and takes longer there.',
  homework: 'What happens to the rate when the capacitor is twice as large, and the resistor half?',
};

export const oneShot: PatternWords = {
  name: 'One press, one light',
  about: 'A push button lights the lamp for a time that you say.',
  analogy: 'A stairwell light: one push, and it goes out by itself.',
  truth:
    '“Hold the button longer and it stays lit longer” is true only when it is held for longer than the light itself lasts.',
  homework: 'Press twice, the second time while it is lit: what happens, and why?',
};

export const alternate: PatternWords = {
  name: 'Two colours in bursts',
  about: 'Two timers, a slow and a fast one: some flashes of one colour, then as many of the other.',
  analogy: 'Two people at the ends of a rope: it moves only while one pulls and the other does not.',
  truth:
    '“Each chip has its own lamp” is not so here: a lamp lights only where one output is up and the other is down.',
  homework: 'Make both timers equally fast: what will be seen, and for how long? Predict, then try.',
};

export const chain: PatternWords = {
  name: 'Three in turn',
  about: 'One timer feeds a second: three lamps light one after another.',
  analogy: 'A relay race: the second runner may go only when the first has handed over.',
  truth: '“Three lamps need three timers” is not so: what neither of the two says is the third.',
  homework: 'Which part decides how long the second lamp is lit? Change it and see who else changes.',
};

export const tone: PatternWords = {
  name: 'Tone',
  about: 'The timer at a pitch that is heard, with a speaker behind a capacitor.',
  analogy: 'A reed that opens and closes: so many puffs of air a second are the pitch.',
  truth:
    '“More volts make a higher tone” is not so: both thresholds move with the supply, and the time stays.',
  homework: 'Which resistor makes the tone an octave higher? Twice as often is an octave.',
};
