import type { SupplyChoice } from '../../catalogue/supplies';
import type { Finding } from '../../findings/finding';
import type { Amps, Hours, Watts } from '../../quantities/units';

/** How the lamps are joined. */
export type WayKind = 'own' | 'strings' | 'shared' | 'none';

/** One way to meet a wish, with what it leads to; or the reason why it does not meet it. */
export interface Way {
  readonly kind: WayKind;
  /** Lamps in a row, for strings. */
  readonly length: number;
  readonly supply: SupplyChoice;
  /** Whether the lesson is built this way. */
  readonly taken: boolean;
  readonly works: boolean;
  readonly why: readonly Finding[];
  readonly figures?: WayFigures;
}

export interface WayFigures {
  readonly lamps: number;
  readonly litFresh: number;
  readonly litTired: number;
  readonly amps: Amps;
  readonly lostWatts: Watts;
  readonly hours?: Hours | undefined;
  readonly parts: number;
  /** Resistors and lamps together, in cents; undefined where a price is missing. */
  readonly cents?: number | undefined;
}
