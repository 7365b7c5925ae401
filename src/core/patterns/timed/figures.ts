import type { TimingCaution } from '../../answers/timing';
import type { TimerFamily } from '../../catalogue/timers';
import type { Times, TimingForm } from '../../catalogue/timing';
import type { Farads, Hertz, Ohms, Seconds, Volts } from '../../quantities/units';

/** Resistors and capacitor that set one chip's time. */
export interface TimingValues {
  /** From supply to discharge; the standard form only. */
  readonly ra?: Ohms;
  readonly r: Ohms;
  readonly farads: Farads;
}

/** How long one lamp is lit each time, of lessons that say so lamp by lamp. */
export interface LampTurn {
  readonly part: string;
  readonly wanted: Seconds;
  /** By the solver; 0 where it never goes out. */
  readonly solved: Seconds;
}

/** One choice of values beside the one that is taken. */
export interface TimingOption extends TimingValues {
  readonly high: Seconds;
  readonly low: Seconds;
  /** From the wanted time, as a share. */
  readonly error: number;
  /** How far its parts let it stray to either side, at most, as a share. */
  readonly spread: number;
  readonly drawAmps: number;
  readonly cautions: readonly TimingCaution[];
  /** The share of its charging current that its capacitor leaks. */
  readonly leaks: number;
  /** The product of resistor and capacitor is that of the values taken: the time is the same. */
  readonly sameTime: boolean;
}

/** Why the solver's time is another one than the rule of thumb's. */
export type TimingReason =
  | { readonly why: 'output-short'; readonly volts: Volts }
  | { readonly why: 'output-loaded'; readonly volts: Volts }
  | { readonly why: 'discharge-ohms'; readonly volts: Volts; readonly sag: Volts }
  | { readonly why: 'fed-from-output'; readonly volts: Volts }
  | { readonly why: 'rounding' };

/** A part that neither sets a time nor guards a lamp, and what it is there for. */
export interface Helper {
  readonly part: string;
  readonly ohms?: Ohms;
  readonly farads?: Farads;
  readonly job:
    | 'pull-up'
    | 'empties'
    | 'swing'
    | 'coupling'
    | 'quiet-supply'
    | 'quiet-control'
    | 'sets-light'
    | 'sets-hush'
    | 'guards-base'
    | 'mixes'
    | 'feeds-back'
    | 'loads-stage'
    | 'lets-sound-in'
    | 'keeps-highs-out'
    | 'keeps-lows-out'
    | 'drives-base'
    | 'holds-off';
}

/** The times of one chip: wished, chosen, by the rule of thumb, and solved. */
export interface ChipTimes {
  readonly chip: string;
  readonly form: TimingForm;
  readonly family: TimerFamily;
  /** The parts that set the time. */
  readonly parts: { readonly ra?: string; readonly r: string; readonly c: string };
  readonly values: TimingValues;
  /** Seconds up and down as wished; for a single pulse only up. */
  readonly wanted: { readonly high?: Seconds; readonly low?: Seconds; readonly period?: Seconds };
  readonly ideal: Times;
  /** By the closed form with this chip's own output and discharge, as the choice was made. */
  readonly closed: Times;
  /** By the solver; 0 where it does not go round. */
  readonly solved: Times;
  readonly hertz: Hertz;
  /** Where the capacitor turns, as solved. */
  readonly lower: Volts;
  readonly upper: Volts;
  readonly reason: TimingReason;
  readonly options: readonly TimingOption[];
}
