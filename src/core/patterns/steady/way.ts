import type { SourceChoice } from '../../catalogue/supplies';
import type { Finding } from '../../findings/finding';
import type { Amps, Hours, Watts } from '../../quantities/units';

/** How the lamps are joined. */
export type WayKind = 'own' | 'strings' | 'shared' | 'none';

/** One way to meet a wish, with what it leads to; or the reason why it does not meet it. */
export interface Way {
  readonly kind: WayKind;
  /** Lamps in a row, for strings. */
  readonly length: number;
  readonly supply: SourceChoice;
  /** Whether the lesson is built this way. */
  readonly taken: boolean;
  readonly works: boolean;
  readonly why: readonly Finding[];
  readonly figures?: WayFigures;
  /** Why it is the best of those that work: it alone works, it keeps its light, or it draws least. */
  readonly best?: 'only' | 'keeps' | 'least';
}

export interface WayFigures {
  readonly lamps: number;
  readonly litFresh: number;
  readonly litTired: number;
  readonly amps: Amps;
  readonly lostWatts: Watts;
  /** Until the dimmest lamp is too dim to serve, or the battery empty. */
  readonly hours?: Hours | undefined;
  /** Share of its current that every lamp keeps from a tired supply and from any batch of lamps. */
  readonly kept: number;
  readonly parts: number;
  /** Resistors and lamps together, in cents; undefined where a price is missing. */
  readonly cents?: number | undefined;
}
