/** How to tell the legs of a part apart. A cue is a code; `messages/` draws the words, `ui/` the picture. */
export type PolarityCue =
  | 'long-leg'
  | 'flat-edge'
  | 'band-end'
  | 'stripe-minus'
  | 'plus-face'
  | 'red-wire'
  | 'white-wire'
  | 'bare-wire'
  | 'black-wire'
  | 'notch-end'
  | 'flat-face'
  | 'longest-leg'
  | 'beside-the-longest'
  | 'none';

export interface PolarityMarks {
  readonly polarised: boolean;
  /** Cue at each pin that has one. */
  readonly pins: Readonly<Record<string, PolarityCue>>;
}

/** Resistors, LDRs and film or ceramic capacitors have no polarity; turning one changes looks only. */
export const UNPOLARISED: PolarityMarks = { polarised: false, pins: {} };
