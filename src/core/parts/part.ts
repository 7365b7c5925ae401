import type { LampFigures, LampType } from '../catalogue/lamps';
import type { SourceChoice } from '../catalogue/supplies';
import type { Circuit, PartOf } from '../circuit/circuit';
import type { Kind } from '../devices/index';
import type { Footprint, Room } from './footprint';
import type { PartReport } from '../solver/report';
import type { Mistake } from './mistake';
import type { Overload } from './overload';
import type { PolarityMarks } from './polarity';
import type { PartStock } from './stock';

/** What a kind's mistakes and store entry hang on besides the part itself. */
export interface Surroundings {
  readonly circuit: Circuit;
  readonly supply: SourceChoice;
  /** Resistors that lie within reach of a wrong hand. */
  readonly drawer: readonly number[];
  /** The sort of each LED. */
  readonly sorts: Readonly<Record<string, LampType>>;
  readonly lamps: Readonly<Record<LampType, LampFigures>>;
}

/**
 * Everything that is said of a kind of part besides its equations: a new kind is a file here and a line in `index.ts`,
 * and one that is not placed, packed or damaged does not compile.
 */
export interface PartTraits<K extends Kind> {
  readonly kind: K;
  /** What its name begins with: R1, D1. */
  readonly letter: string;
  readonly footprint: Footprint;
  /** How far the body reaches beyond the line of its legs. */
  readonly room: Room;
  /** Height over the board: what lies flat goes in before what stands. */
  readonly height: number;
  /** Pins that may be exchanged without any difference. */
  readonly alike: readonly (readonly string[])[];
  polarity(part: PartOf<K>): PolarityMarks;
  /** What the store calls it; `elsewhere` for what is no part of a kit by itself, or has a list of its own. */
  stock(part: PartOf<K>, sorts: Surroundings['sorts']): PartStock | 'elsewhere';
  /** Whether what it does is more than it stands. */
  overload(part: PartOf<K>, now: PartReport): Overload | undefined;
  /** What a hand may do wrong with it, each as the circuit that it then is. */
  mistakes(part: PartOf<K>, around: Surroundings): Mistake[];
}
