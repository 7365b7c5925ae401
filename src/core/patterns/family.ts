import type { BeamSums } from '../answers/beam';
import type { RuleSums } from '../answers/duskRule';
import type { LightSums } from '../answers/lampInLight';
import type { ProgramSums } from '../program/sums';
import type { Amps } from '../quantities/units';
import type { PulseSums } from './pulsed/pulses';
import type { MixSums } from './rgb/mix';
import type { LoopSums } from './single/working';
import type { SoundSums } from './soundLights/sums';
import type { KnobRow, RungRow, WalkRow } from './steady/rows';
import type { ChipTimes, Helper, LampTurn } from './timed/figures';

/**
 * What a lesson works out besides what every lesson has. Its words stand in `messages/families`, its screens in
 * `features/sheet/families`, each behind one contract with an entry for every family: one that is missing does not compile.
 */
export type FamilySums =
  /** Lamps on resistors, and nothing more. */
  | { readonly family: 'bank' }
  /** One lamp: the working line by line, and the other schools beside it. */
  | { readonly family: 'loop'; readonly loop: LoopSums }
  | { readonly family: 'walk'; readonly walk: readonly WalkRow[] }
  | {
      readonly family: 'knob';
      readonly knob: readonly KnobRow[];
      /** The currents that the knob was wished to go between. */
      readonly wished: { readonly low: Amps; readonly high: Amps };
    }
  | { readonly family: 'gauge'; readonly rungs: readonly RungRow[] }
  | ({ readonly family: 'timed' } & TimedSums)
  | ({ readonly family: 'beam'; readonly beam: BeamSums } & TimedSums)
  /** Peak and mean. */
  | { readonly family: 'pulsed'; readonly pulses: PulseSums }
  /** Colours mixed on the pins of a controller. */
  | { readonly family: 'mix'; readonly mix: MixSums }
  /** What the table of a program does, row by row. */
  | { readonly family: 'program'; readonly program: ProgramSums }
  /** How the lamp follows the light, by a transistor. */
  | { readonly family: 'light'; readonly light: LightSums; readonly helpers: readonly Helper[] }
  /** How it follows the light by a program, with its thresholds. */
  | {
      readonly family: 'rule';
      readonly light: LightSums;
      readonly rule: RuleSums;
      readonly helpers: readonly Helper[];
    }
  /** From a sound to the lamps of its channels. */
  | { readonly family: 'sound'; readonly sound: SoundSums; readonly helpers: readonly Helper[] };

/** Of a lesson with timer chips. */
export interface TimedSums {
  /** The times of each chip. */
  readonly timing: readonly ChipTimes[];
  /** How long each lamp is lit, where each has its time. */
  readonly turns: readonly LampTurn[];
  /** Its lamps are to come on and go out by themselves. */
  readonly flashes: boolean;
  /** What else the circuit wants, and what for. */
  readonly helpers: readonly Helper[];
}

export type Family = FamilySums['family'];
export type SumsOf<F extends Family> = Extract<FamilySums, { readonly family: F }>;

/** What a lesson carries of its family. */
export interface OfFamily {
  readonly own: FamilySums;
}

/** The sums of one family; undefined for a lesson of another. */
export function sumsIn<F extends Family>({ own }: OfFamily, family: F): SumsOf<F> | undefined {
  return own.family === family ? (own as SumsOf<F>) : undefined;
}

/** The times of each timer chip; empty where there is none. */
export function timingIn({ own }: OfFamily): readonly ChipTimes[] {
  return 'timing' in own ? own.timing : [];
}

/** What the circuit wants besides, and what for. */
export function helpersIn({ own }: OfFamily): readonly Helper[] {
  return 'helpers' in own ? own.helpers : [];
}

/** How the lamp follows the light, by whatever it does. */
export function lightIn({ own }: OfFamily): LightSums | undefined {
  return 'light' in own ? own.light : undefined;
}
