import type { ProgramTable } from '../../program/table';
import {
  CANDELA_PER_AMP,
  MIX_COLOURS,
  MIX_COLOUR_NAMES,
  WHITE_LIGHT,
  type MixColour,
} from '../../catalogue/colours';
import type { Controller, ControllerId } from '../../catalogue/controllers';
import type { Amps } from '../../quantities/units';
import { RGB_COLOURS, type RgbColour } from './legs';

export type Steps = Readonly<Record<RgbColour, number>>;
type PerColour = Readonly<Record<RgbColour, number>>;

/** One colour of the mix: what its pin is set to, and what comes of it. */
export interface MixLamp {
  readonly colour: RgbColour;
  readonly part: string;
  readonly resistor: string;
  readonly pin: number;
  readonly place: number;
  readonly dims: boolean;
  readonly step: number;
  /** Share of the time for which its lamp is on. */
  readonly share: number;
  /** While it is on, and on average. */
  readonly peak: Amps;
  readonly mean: Amps;
  /** Of the light of all three together. */
  readonly light: number;
}

/** A three-colour lamp on pulses: the mix that is set, and every named colour with these very lamps and resistors. */
export interface MixSums {
  readonly board: ControllerId;
  /** What the program does: one row, for as long as there is power. */
  readonly table: ProgramTable;
  readonly colour: MixColour | 'own';
  readonly lamps: readonly MixLamp[];
  readonly named: readonly { readonly name: MixColour; readonly steps: Steps }[];
  /** Light of each lamp beside what it gives to white, for a patch of the colour. */
  readonly shown: PerColour;
}

/**
 * Steps of the three pins for a named colour: the light that it wants of each lamp, by what a milliamp of that lamp
 * gives, over what the lamp carries when it is fully on; as bright as the weakest of the three allows.
 */
export function stepsFor(name: MixColour, peaks: PerColour, { steps }: Controller): Steps {
  const wanted = perColour(
    (colour) => (MIX_COLOURS[name][colour] * WHITE_LIGHT[colour]) / CANDELA_PER_AMP[colour] / peaks[colour],
  );
  const most = Math.max(...RGB_COLOURS.map((colour) => wanted[colour]));
  return perColour((colour) => Math.round((steps * wanted[colour]) / most));
}

export function namedSteps(peaks: PerColour, board: Controller): MixSums['named'] {
  return MIX_COLOUR_NAMES.map((name) => ({ name, steps: stepsFor(name, peaks, board) }));
}

/** The light of each lamp at its mean current, and what it gives beside its part of white. */
export function lightOf(means: PerColour): { readonly light: PerColour; readonly shown: PerColour } {
  const candela = perColour((colour) => means[colour] * CANDELA_PER_AMP[colour]);
  const all = RGB_COLOURS.reduce((sum, colour) => sum + candela[colour], 0);
  const beside = perColour((colour) => candela[colour] / WHITE_LIGHT[colour]);
  const most = Math.max(...RGB_COLOURS.map((colour) => beside[colour]));
  return {
    light: perColour((colour) => (all > 0 ? candela[colour] / all : 0)),
    shown: perColour((colour) => (most > 0 ? beside[colour] / most : 0)),
  };
}

export function perColour(of: (colour: RgbColour) => number): PerColour {
  return { red: of('red'), green: of('green'), blue: of('blue') };
}
