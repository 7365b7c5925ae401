import type { Farads, Ohms, Seconds, Volts } from '../quantities/units';
import { TIMERS, type TimerFamily } from './timers';

/** Where the timing capacitor is charged and discharged from. */
export const TIMING_FORMS = ['standard', 'output-driven', 'one-shot'] as const;
export type TimingForm = (typeof TIMING_FORMS)[number];

export interface Times {
  readonly high: Seconds;
  /** 0 for a single pulse. */
  readonly low: Seconds;
}

/** Seconds of an exponential from one level to another on its way to a third. */
function way(seconds: Seconds, end: Volts, from: Volts, to: Volts): Seconds {
  return seconds * Math.log((end - from) / (end - to));
}

/**
 * Times of a timer between a third and two thirds of its supply, with the chip's own output and discharge stages.
 * Infinity high where the output cannot lift the capacitor far enough: it stalls.
 *
 * @param ra from supply to discharge (standard); not used by the other forms
 * @param r the one that charges and discharges: RB, or the only one
 */
export function timesOf(
  form: TimingForm,
  family: TimerFamily,
  volts: Volts,
  { ra, r, farads }: { readonly ra: Ohms; readonly r: Ohms; readonly farads: Farads },
): Times {
  const { highDrop, highOhms, lowVolts, lowOhms, dischargeVolts, dischargeOhms } = TIMERS[family];
  const [third, upper] = [volts / 3, (2 * volts) / 3];
  if (form === 'one-shot') return { high: way(r * farads, volts, 0, upper), low: 0 };
  if (form === 'output-driven') {
    const top = volts - highDrop;
    return {
      high: top > upper ? way((r + highOhms) * farads, top, third, upper) : Infinity,
      low: way((r + lowOhms) * farads, lowVolts, upper, third),
    };
  }
  const both = 1 / (1 / ra + 1 / dischargeOhms);
  const foot = (volts / ra + dischargeVolts / dischargeOhms) * both;
  return {
    high: way((ra + r) * farads, volts, third, upper),
    low: way((r + both) * farads, foot, upper, third),
  };
}

/** Supply that an unloaded output-driven chip must have to get past two thirds of it. */
export function stallVolts(family: TimerFamily): Volts {
  return 3 * TIMERS[family].highDrop;
}
