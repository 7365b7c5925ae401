import type { MeterFigures } from '../catalogue/meter';
import type { FaultDictionary } from './dictionary';
import type { Expectation } from './expected';

/** What a session is judged by, kept with it so that later changes to the lesson do not change old verdicts. */
export interface SessionExpectation {
  readonly expected: Expectation;
  readonly dictionary: FaultDictionary;
  readonly meter: MeterFigures;
  /** What a right build with a tired pack counts as; left out, it is a close call as it was before this could be chosen. */
  readonly tiredPack?: 'right' | 'off';
  /** The largest figure any build could show: supply volts, and the current into a short. */
  readonly limits: { readonly volts: number; readonly amps: number };
}

/**
 * The rule by which benches are judged, by number: it goes up whenever the same readings may come to another verdict,
 * state or cause, so that what was kept by an earlier one is judged anew.
 */
export const JUDGING_RULE = 3;
