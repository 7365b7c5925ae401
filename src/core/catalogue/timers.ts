import type { Amps, Ohms, Volts } from '../quantities/units';

export const TIMER_FAMILIES = ['bipolar', 'cmos'] as const;
export type TimerFamily = (typeof TIMER_FAMILIES)[number];

/** The figures of one family of the eight-pin timer chip. */
export interface TimerFigures {
  /** Each of the three equal resistors of its divider. */
  readonly dividerOhms: Ohms;
  /** Volts of the supply that a high output stays below, and the ohms behind it. */
  readonly highDrop: Volts;
  readonly highOhms: Ohms;
  /** Volts over ground of a low output, and the ohms behind it. */
  readonly lowVolts: Volts;
  readonly lowOhms: Ohms;
  /** The discharge pin when it is on. */
  readonly dischargeVolts: Volts;
  readonly dischargeOhms: Ohms;
  /** Own supply current beside the divider: the larger of a floor and a straight line. */
  readonly ownAmps: Amps;
  readonly ownSlope: number;
  readonly ownOffset: Amps;
  /** Below this supply the chip is off. */
  readonly offVolts: Volts;
  /** Current that a reset pin held low gives out. */
  readonly resetAmps: Amps;
  readonly supplyLow: Volts;
  readonly supplyHigh: Volts;
  readonly sourceMost: Amps;
  readonly sinkMost: Amps;
}

/** Volts over ground below which the reset pin clears the latch, and at which the current out of it has ended. */
export const RESET_VOLTS = 0.7;
export const RESET_QUIET_VOLTS = 1.0;

export const TIMERS: Readonly<Record<TimerFamily, TimerFigures>> = {
  bipolar: {
    dividerOhms: 5e3,
    highDrop: 1.2,
    highOhms: 6,
    lowVolts: 0.05,
    lowOhms: 10,
    dischargeVolts: 0.02,
    dischargeOhms: 12,
    ownAmps: 1e-3,
    ownSlope: 0.63e-3,
    ownOffset: -0.5e-3,
    offVolts: 2,
    resetAmps: 0.1e-3,
    supplyLow: 4.5,
    supplyHigh: 16,
    sourceMost: 0.2,
    sinkMost: 0.1,
  },
  cmos: {
    dividerOhms: 100e3,
    highDrop: 0,
    highOhms: 150,
    lowVolts: 0,
    lowOhms: 20,
    dischargeVolts: 0,
    dischargeOhms: 25,
    ownAmps: 0.1e-3,
    ownSlope: 0,
    ownOffset: 0,
    offVolts: 1,
    resetAmps: 0,
    supplyLow: 2,
    supplyHigh: 15,
    sourceMost: 0.01,
    sinkMost: 0.1,
  },
};
