/** What is said of a pattern: its name and purpose in the gallery, and what there is to tell and ask around it. */
export interface PatternWords {
  readonly name: string;
  readonly about: string;
  /** A picture for it, a half-truth that goes around, and what to do at home. */
  readonly analogy: string;
  readonly truth: string;
  readonly homework: string;
}

/** What holds for every lamp behind its resistor. */
export const LOOP: Pick<PatternWords, 'analogy' | 'truth' | 'homework'> = {
  analogy:
    'Water in a ring of pipe: the pump is the battery, the narrow piece the resistor. All of it flows everywhere at once, none is used up.',
  truth:
    '“A red lamp runs at 2 V” is half true: its volts follow its current. It is the current that is chosen, and the volts come by themselves.',
  homework: 'Find three lamps at home, and say of each what limits its current.',
};
