import type { Amps, Farads, Ohms, Seconds, Volts } from '../quantities/units';
import { TIMERS, type TimerFamily } from './timers';

/** Where the timing capacitor is charged and discharged from. */
export const TIMING_FORMS = ['standard', 'output-driven', 'one-shot'] as const;
export type TimingForm = (typeof TIMING_FORMS)[number];

export interface Times {
  readonly high: Seconds;
  /** 0 for a single pulse. */
  readonly low: Seconds;
}

/** What hangs on the output besides the timing: amps out of it while it is up, and into it while it is down. */
export interface OutputLoad {
  readonly up: Amps;
  readonly down: Amps;
}

/** Seconds of an exponential from one level to another on its way to a third. */
function way(seconds: Seconds, end: Volts, from: Volts, to: Volts): Seconds {
  return seconds * Math.log((end - from) / (end - to));
}

/**
 * Times of a timer between a third and two thirds of its supply, with the chip's own output and discharge stages.
 * Infinity high where the output cannot lift the capacitor far enough: it stalls.
 *
 * @param load what its output carries besides the timing resistor (output-driven): it moves where the output stands
 * @param ra from supply to discharge (standard); not used by the other forms
 * @param r the one that charges and discharges: RB, or the only one
 */
export function timesOf(
  form: TimingForm,
  family: TimerFamily,
  volts: Volts,
  { ra, r, farads }: { readonly ra: Ohms; readonly r: Ohms; readonly farads: Farads },
  load: OutputLoad = { up: 0, down: 0 },
): Times {
  const { highDrop, highOhms, lowVolts, lowOhms, dischargeVolts, dischargeOhms } = TIMERS[family];
  const [third, upper] = [volts / 3, (2 * volts) / 3];
  if (form === 'one-shot') return { high: way(r * farads, volts, 0, upper), low: 0 };
  if (form === 'output-driven') {
    const top = volts - highDrop - highOhms * load.up;
    const bottom = lowVolts + lowOhms * load.down;
    return {
      high: top > upper ? way((r + highOhms) * farads, top, third, upper) : Infinity,
      low: way((r + lowOhms) * farads, bottom, upper, third),
    };
  }
  const both = 1 / (1 / ra + 1 / dischargeOhms);
  const foot = (volts / ra + dischargeVolts / dischargeOhms) * both;
  return {
    high: way((ra + r) * farads, volts, third, upper),
    low: way((r + both) * farads, foot, upper, third),
  };
}

/** The same times by the rule of thumb, with an output that reaches both rails and a discharge that empties to nothing. */
export function idealTimes(
  form: TimingForm,
  { ra, r, farads }: { readonly ra: Ohms; readonly r: Ohms; readonly farads: Farads },
): Times {
  if (form === 'one-shot') return { high: Math.log(3) * r * farads, low: 0 };
  const through = form === 'standard' ? ra + r : r;
  return { high: Math.LN2 * through * farads, low: Math.LN2 * r * farads };
}

/** Supply that an output-driven chip must have to get past two thirds of it, with so many amps out of its output. */
export function stallVolts(family: TimerFamily, amps: Amps = 0): Volts {
  const { highDrop, highOhms } = TIMERS[family];
  return 3 * (highDrop + highOhms * amps);
}
