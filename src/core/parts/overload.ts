import type { Amps, Volts, Watts } from '../quantities/units';

/** A part beyond what it stands. */
export interface Overload {
  readonly how: 'current' | 'reverse' | 'heat' | 'shorted' | 'volts';
  /** What it gets, and what it stands, in amps, volts or watts as it goes. */
  readonly figure: number;
  readonly limit: number;
}

/** More than its limit of something, or nothing to say. */
export function beyond(how: Overload['how'], figure: number, limit: number): Overload | undefined {
  return figure > limit ? { how, figure, limit } : undefined;
}

/** What parts stand that have no figure of their own in a circuit: usual for the sorts that classes use. */
export const STANDS: {
  readonly reverseVolts: Volts;
  readonly potentiometerWatts: Watts;
  readonly zenerWatts: Watts;
  readonly diodeAmps: Amps;
  readonly transistorAmps: Amps;
  readonly transistorWatts: Watts;
  readonly sensorWatts: Watts;
  readonly speakerWatts: Watts;
  readonly buttonAmps: Amps;
  readonly coilAmps: Amps;
  /** Wrong way round, an electrolytic begins to leak. */
  readonly electrolyticReverse: Volts;
} = {
  reverseVolts: 5,
  potentiometerWatts: 0.2,
  zenerWatts: 0.5,
  diodeAmps: 0.2,
  transistorAmps: 0.2,
  transistorWatts: 0.5,
  sensorWatts: 0.1,
  speakerWatts: 0.5,
  buttonAmps: 0.05,
  coilAmps: 0.5,
  electrolyticReverse: 0.5,
};

/** Absolute limit of a controller's pin, by the volts of its board. */
export function pinAmps(volts: Volts): Amps {
  return volts > 4 ? 0.04 : 0.012;
}
