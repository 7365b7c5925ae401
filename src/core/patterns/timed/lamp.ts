import type { LampType } from '../../catalogue/lamps';
import { valuesOf } from '../../catalogue/shelf';
import { TIMERS, type TimerFamily } from '../../catalogue/timers';
import type { SupplyFigures } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Amps } from '../../quantities/units';
import type { Means } from '../pattern';
import { ampsOf } from '../steady/bank';
import { choose } from '../steady/choose';
import type { StringSum } from '../steady/figures';
import type { Rounding } from '../style';
import type { HouseStyle } from '../style';

/** A lamp that hangs on a chip's output. */
export interface DrivenLamp {
  readonly part: string;
  readonly type: LampType;
  readonly resistor: string;
  /** Lit while the output is up (the lamp leads to ground), or while it is down (it hangs from the plus rail). */
  readonly lit: 'up' | 'down';
  /** At its other end another chip's output, which is then at the opposite level. */
  readonly against?: boolean;
}

interface Drive {
  readonly family: TimerFamily;
  readonly supply: SupplyFigures;
  readonly amps: Amps;
  /** What the same output carries besides, at the same time. */
  readonly beside?: Amps;
  readonly rounding?: Rounding | undefined;
  readonly values?: HouseStyle['values'] | undefined;
}

/** Where a lamp's current comes from or goes to: what is kept back of the supply there, its ohms, and at which level. */
export interface Output {
  readonly volts: number;
  readonly ohms: number;
  readonly level: 'up' | 'down' | 'across';
}

/**
 * The sum for one lamp behind a chip's output, which stays short of its rail and has ohms of its own.
 *
 * @returns the sum with the resistor chosen, or why there is none
 */
export function drivenLamp(
  { part, type, resistor, lit, against }: DrivenLamp,
  { family, ...drive }: Drive,
  means: Means,
): Outcome<StringSum> {
  const { highDrop, highOhms, lowVolts, lowOhms } = TIMERS[family];
  const [up, down] = [lit === 'up' || against, lit === 'down' || against];
  const keeps = (up ? highDrop : 0) + (down ? lowVolts : 0);
  const ohms = (up ? highOhms : 0) + (down ? lowOhms : 0);
  const output: Output = { volts: keeps, ohms, level: against ? 'across' : lit };
  return lampBehind({ part, type, resistor }, output, drive, means);
}

/** The sum for one lamp behind an output of any kind. */
export function lampBehind(
  { part, type, resistor }: Pick<DrivenLamp, 'part' | 'type' | 'resistor'>,
  output: Output,
  { supply, amps, beside = 0, ...choice }: Omit<Drive, 'family'>,
  { shelf, style }: Means,
): Outcome<StringSum> {
  const { volts: keeps, ohms } = output;
  // Ohms that more than this lamp's current flows through count more than once.
  const shared = (supply.ohms + ohms) * (1 + beside / amps);
  const junction = new Junction(shelf.lamps[type]);
  const lampVolts = junction.voltsAt(amps);
  const emf = supply.volts - keeps;
  const voltsLeft = emf - lampVolts;
  const exactOhms = voltsLeft / amps - shared;
  if (exactOhms <= 0) {
    const needVolts = lampVolts + keeps + amps * shared;
    const real = ampsOf([junction], Math.max(emf, 0), shared);
    return refused(finding('cannot-light', { supply: emf, lampVolts, lamp: type, amps: real, needVolts }));
  }
  const values = valuesOf(shelf, choice.values ?? style.values);
  const ampsWith = (r: number) => ampsOf([junction], emf, r + shared);
  const chosen = choose(choice.rounding ?? style.rounding, values, exactOhms, amps, ampsWith);
  if (chosen === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest: Math.max(...values) }));
  }
  return accepted({
    resistor,
    alike: [resistor],
    lamps: [{ part, type, volts: lampVolts }],
    wanted: amps,
    lampVolts,
    output,
    voltsLeft,
    lessOhms: shared,
    exactOhms,
    chosen,
  });
}
