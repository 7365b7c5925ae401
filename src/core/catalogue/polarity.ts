/** How to tell the legs of a part apart. A cue is a code; `messages/` draws the words, `ui/` the picture. */
export type PolarityCue =
  'long-leg' | 'flat-edge' | 'band-end' | 'stripe-minus' | 'plus-face' | 'red-wire' | 'black-wire' | 'none';

export interface PolarityMarks {
  readonly polarised: boolean;
  /** Cue at each pin that has one. */
  readonly pins: Readonly<Record<string, PolarityCue>>;
}

/** Resistors, LDRs and film or ceramic capacitors have no polarity; turning one changes looks only. */
export const POLARITY: Readonly<Record<string, PolarityMarks>> = {
  led: { polarised: true, pins: { anode: 'long-leg', cathode: 'flat-edge' } },
  diode: { polarised: true, pins: { cathode: 'band-end' } },
  zener: { polarised: true, pins: { cathode: 'band-end' } },
  rgb: { polarised: true, pins: { common: 'long-leg' } },
  supply: { polarised: true, pins: { plus: 'red-wire', minus: 'black-wire' } },
  resistor: { polarised: false, pins: {} },
  potentiometer: { polarised: false, pins: {} },
  switch: { polarised: false, pins: {} },
  inductor: { polarised: false, pins: {} },
  ldr: { polarised: false, pins: {} },
  speaker: { polarised: false, pins: {} },
  wire: { polarised: false, pins: {} },
};
