import type { Body } from '../board/bodies';
import type { JumperColour } from '../board/plan';
import type { Brightness } from '../catalogue/brightness';
import type { PolarityCue } from '../catalogue/polarity';

/** Where one leg goes, and how to know the leg. */
export interface LegPlace {
  readonly pin: string;
  readonly hole: string;
  readonly cue: PolarityCue;
}

/** One piece with its legs, as a line of a longer step. */
export interface Piece {
  readonly part: string;
  readonly kind: Body['kind'];
  readonly legs: readonly LegPlace[];
}

/** What a meter should read there with only the blocks built so far. */
export interface GateReading {
  readonly part: string;
  readonly measure: 'volts' | 'amps';
  readonly value: number;
}

interface StepBase {
  readonly id: string;
  readonly minutes: number;
}

export type Step = StepBase &
  (
    | {
        readonly action: 'place-jumper';
        readonly part: string;
        readonly legs: readonly LegPlace[];
        readonly colour: JumperColour;
        /** Bare wire or a bridge of solder on the copper side. */
        readonly onTheBack?: boolean;
      }
    | {
        readonly action: 'place-part';
        readonly part: string;
        readonly kind: Body['kind'];
        readonly legs: readonly LegPlace[];
        readonly polarised: boolean;
        /** The hole that will be the more positive, and by how many volts, as computed. */
        readonly positive?: { readonly hole: string; readonly volts: number };
      }
    | {
        readonly action: 'connect-supply';
        readonly part: string;
        readonly pin: 'plus' | 'minus';
        readonly legs: readonly LegPlace[];
      }
    | { readonly action: 'gate'; readonly gate: 'before-power' | 'after-power' }
    | {
        /** A block built like an earlier one. */
        readonly action: 'repeat';
        readonly block: number;
        readonly like: number;
        readonly pieces: readonly Piece[];
        /** First and last row or column it takes. */
        readonly rows: readonly [number, number];
      }
    | {
        readonly action: 'block-gate';
        readonly block: number;
        readonly of: number;
        /** Lamps that light with what is built so far. */
        readonly lit: readonly string[];
        readonly readings: readonly GateReading[];
      }
    | { readonly action: 'cut'; readonly cuts: readonly string[] }
    | {
        /** A batch is tacked by one leg, looked at, then finished and trimmed. */
        readonly action: 'solder-batch';
        readonly batch: number;
        readonly of: number;
        readonly pieces: readonly Piece[];
        readonly joints: number;
        /** Height of what lies in it: flat parts, or parts that want a strip to stand in line. */
        readonly height: 'flat' | 'standing';
      }
    | { readonly action: 'inspect'; readonly joints: number; readonly links: number }
    | {
        readonly action: 'lay-tape';
        readonly tape: string;
        /** Millimetres, with what is folded under at the ends. */
        readonly length: number;
        readonly from: string;
        readonly to: string;
      }
    | {
        /** The next resistor of a walk, in the same holes, and what the lamp carries with it. */
        readonly action: 'change-part';
        readonly part: string;
        readonly ohms: number;
        readonly amps: number;
        readonly brightness: Brightness;
        /** The first value that nobody takes: the walk ends above it. */
        readonly beyond: boolean;
      }
    | { readonly action: 'test-on-cell'; readonly part: string }
    | { readonly action: 'fold-cell'; readonly part: string }
    | { readonly action: 'fit-extra'; readonly extra: string; readonly each: number; readonly use: string }
  );
