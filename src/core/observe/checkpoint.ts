import type { Scene } from '../catalogue/light';
import type { ThingKind } from '../circuit/circuit';

/** A leg of a part: where a probe is held, or what is lifted. */
export interface PinRef {
  readonly part: string;
  readonly pin: string;
}

/** What a hand must do for a build to show something: buttons held, or pressed and let go; switches on; knobs by their place, 0 to 1; a controller’s pins by the share of the time for which they are high, 0 to 1; light sensors in a scene; the beams of lamps cut; what sound comes in by its tone in hertz, 0 for silence. */
export type Held = Readonly<Record<string, 'closed' | 'open' | 'on' | 'pressed' | 'cut' | Scene | number>>;

/** What is held while one looks at each of some lamps, by their names. */
export type Shows = Readonly<Record<string, Held>>;

/** Where a build is looked at: with probes, a watch, or the eye. */
export type Checkpoint = {
  readonly id: string;
  /** Part that the reading is about, for its name. */
  readonly part: string;
  readonly kind: ThingKind;
  readonly held?: Held;
} & (
  | {
      /** At rest, or what a meter makes of what moves: its mean. The red probe goes first. */
      readonly measure: 'volts' | 'meanVolts';
      readonly from: PinRef;
      readonly to: PinRef;
      /** Of what the meter shows by turns, which of the two values. */
      readonly by?: 'high' | 'low';
    }
  /** The leg at `gap` is lifted and the meter put between it and its hole. */
  | { readonly measure: 'amps' | 'meanAmps'; readonly gap: PinRef; readonly by?: 'high' | 'low' }
  /** How often it comes on (within a burst, of what pauses), how long it stays on, and how it looks. */
  | { readonly measure: 'hertz' | 'seconds' | 'look'; readonly pauses?: boolean }
);

export type Measure = Checkpoint['measure'];

export type Probed = Extract<Checkpoint, { measure: 'volts' | 'meanVolts' }>;
export type Gapped = Extract<Checkpoint, { measure: 'amps' | 'meanAmps' }>;

export function isProbed(point: Checkpoint): point is Probed {
  return point.measure === 'volts' || point.measure === 'meanVolts';
}

export function isGapped(point: Checkpoint): point is Gapped {
  return point.measure === 'amps' || point.measure === 'meanAmps';
}

/** Parts of which nobody has to know which leg is which to measure them. */
const ALIKE_LEGS: ReadonlySet<ThingKind> = new Set(['resistor', 'ldr', 'capacitor']);

/** Whether the probes may be held either way round, so that the sign of a figure says nothing. */
export function isEitherWay(point: Checkpoint): boolean {
  return isProbed(point) && ALIKE_LEGS.has(point.kind);
}

/** A checkpoint with a watch or by counting. */
export function isTimed(point: Checkpoint): boolean {
  return point.measure === 'hertz' || point.measure === 'seconds';
}

/** Times further from the wish than this are other times to anybody: so near, one is kept. */
export const KEPT_SHARE = 0.15;

/** A checkpoint that has a figure; a look has none. */
export function hasFigure(point: Checkpoint): boolean {
  return point.measure !== 'look';
}

export const UNITS: Readonly<Record<Measure, 'V' | 'A' | 'Hz' | 's' | ''>> = {
  volts: 'V',
  meanVolts: 'V',
  amps: 'A',
  meanAmps: 'A',
  hertz: 'Hz',
  seconds: 's',
  look: '',
};
