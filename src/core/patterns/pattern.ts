import type { z } from 'zod';
import type { BoardChoice } from '../board/boards';
import type { Shelf } from '../catalogue/shelf';
import type { Circuit } from '../circuit/circuit';
import type { Finding, Outcome } from '../findings/finding';
import type { SourceChoice } from '../catalogue/supplies';
import type { Checkpoint, Held, Shows } from '../observe/checkpoint';
import type { Moving } from '../observe/observation';
import type { Goal } from './goal';
import type { LessonSums } from './steady/figures';
import type { Way } from './steady/way';
import type { LampSorts } from './steady/parts';
import type { HouseStyle } from './style';

/** What a pattern makes of the parameters: the circuit and everything that is said about it. */
export interface Design {
  readonly circuit: Circuit;
  readonly supply: SourceChoice;
  /** The sort of each LED. */
  readonly sorts: LampSorts;
  readonly checkpoints: readonly Checkpoint[];
  /** What is pressed and turned while the build is tested, so that it shows what it can. */
  readonly held: Held;
  /** In what each lamp is looked at, where that is not the same for all: the tone of its channel. */
  readonly shows?: Shows | undefined;
  /** What starts it, where it waits for a hand; left out, it goes by itself. */
  readonly started?: Held;
  /** What it does over time, of one that moves, with what starts it. */
  readonly seen?: Moving;
  readonly sums: LessonSums;
  readonly findings: readonly Finding[];
}

export interface Means {
  readonly shelf: Shelf;
  readonly style: HouseStyle;
  /** Price of one piece in cents by what it is, as `resistor 330`, where the store knows it. */
  readonly cents?: Readonly<Record<string, number>>;
  /** Without the hours along a discharge, for lists that do not show them. */
  readonly brief?: boolean | undefined;
}

/**
 * The contract of a lesson pattern: a parameterised circuit, and everything that is the pattern's own. A new one is a
 * folder here and a line in `index.ts`; nobody else knows its name.
 */
export interface Pattern<Id extends string, Params> {
  readonly id: Id;
  readonly params: z.ZodType<Params>;
  /** The board that such a lesson is usually built on. */
  readonly board: BoardChoice;
  /** Patterns that it rests on: their lessons come before it. */
  readonly after: readonly string[];
  /** It stands in for something that no lesson here touches. */
  readonly standsInFor?: 'mains lamp';
  defaults(style: HouseStyle): Params;
  /** @returns the design, or the reasons why these wishes cannot be met */
  design(params: Params, means: Means): Outcome<Design>;
  /** What it promises of its lamps; left out, that all of them light at every age of the supply. */
  goals?(sums: LessonSums): readonly Goal[];
  /** Lamps that are soldered before a test; left out, one string at a time. */
  batch?(params: Params): number;
  /** Blocks side by side on a soldered board before the next row of them begins. */
  perBand?(params: Params): number;
  /** The wishes changed so that it is built in another of its ways; undefined where it cannot be. */
  withWay?(params: Params, way: Way): Params | undefined;
}
