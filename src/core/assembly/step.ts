import type { Bursts } from '../observe/looks';
import type { HoleName } from '../board/geometry';
import type { JumperColour } from '../board/plan';
import type { Brightness } from '../catalogue/brightness';
import type { ThingKind } from '../circuit/circuit';
import type { Held } from '../observe/checkpoint';
import type { Hertz, Ohms, Seconds, Volts } from '../quantities/units';
import type { PolarityCue } from '../parts/polarity';

/** Where one leg goes, and how to know the leg. */
export interface LegPlace {
  readonly pin: string;
  readonly hole: string;
  readonly cue: PolarityCue;
}

/** One piece with its legs, as a line of a longer step. */
export interface Piece {
  readonly part: string;
  readonly kind: ThingKind;
  readonly legs: readonly LegPlace[];
}

/** What should be read there with what is built so far: across a resistor, the current that a batch adds, a rate. */
export interface GateReading {
  readonly id: string;
  readonly part: string;
  readonly kind: ThingKind;
  readonly measure: 'volts' | 'meanVolts' | 'amps' | 'hertz';
  /** Lamps that are lit while it is read, of a program that lights them in turn. */
  readonly during?: readonly string[];
  /** The pins of the controller as they are then: for how much of the time each is high. */
  readonly pins?: Held;
  readonly typical: number;
  readonly low: number;
  readonly high: number;
  /** It flashes in bursts: its rate is the one within a burst. */
  readonly bursts?: Bursts;
}

/** The output of a chip that goes up and down by itself. */
export interface ChipSwing {
  readonly chip: string;
  readonly low: Volts;
  readonly high: Volts;
  /** What a meter shows of it; only where it goes too fast to be followed. */
  readonly mean?: Volts;
  /** The pitch of a speaker that sounds then. */
  readonly heard?: Hertz;
  readonly period: Seconds;
}

/** What power shows with the pieces that are on the board by then. */
export interface Gate {
  /** A chip without its capacitor: nothing that power shows then could be relied on, and the test is left out. */
  readonly erratic?: boolean;
  readonly power: boolean;
  /** Lamps that surely light; all others but `may` stay dark. */
  readonly lit: readonly string[];
  /** Lamps that glow so faintly that they may be seen or not. */
  readonly may: readonly string[];
  /** How bright each lamp that lights is then, with everything held as said. */
  readonly looks: Readonly<Record<string, Brightness>>;
  /** How often each lamp that blinks comes on a second. */
  readonly blinks: Readonly<Record<string, Hertz>>;
  /** Of those that pause, their bursts. */
  readonly bursts?: Readonly<Record<string, Bursts>>;
  /** Lamps that are lit in each row of what a controller runs by then. */
  readonly turns?: readonly (readonly string[])[];
  /** What the output of a newly built chip does, for a probe at it. */
  readonly swings: readonly ChipSwing[];
  /** Buttons that are held and knobs that are turned for it. */
  readonly held: Held;
  readonly readings: readonly GateReading[];
}

/** One half of a lesson of two chips by itself: the other end of its lamps is parked on either rail. */
export interface Isolation {
  /** The chip whose half is tested, and the one that is not there. */
  readonly chip: string;
  readonly without: string;
  /** Of the resistor that parks the other end; small beside a lamp's own, large enough that nothing is harmed. */
  readonly ohms: Ohms;
  /** Lamps that are on the board then. */
  readonly lamps: readonly string[];
  readonly parkings: readonly Parking[];
}

/** Where the parking resistor goes, and what is seen with it there. */
export interface Parking {
  readonly rail: 'plus' | 'minus';
  readonly legs: Readonly<Record<'a' | 'b', HoleName>>;
  readonly gate: Gate;
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
        readonly kind: ThingKind;
        readonly legs: readonly LegPlace[];
        readonly polarised: boolean;
        /** A resistor right beside a lamp. */
        readonly guards?: true;
        /** The hole that will be the more positive, and by how many volts, as computed. */
        readonly positive?: { readonly hole: string; readonly volts: number };
      }
    | {
        /** A lead of the supply, or of a pin of the controller that is one. */
        readonly action: 'connect-supply';
        readonly part: string;
        readonly pin: string;
        readonly legs: readonly LegPlace[];
      }
    /** A controller gets a program: the first before anything hangs on its pins, the lesson's own after the last test. */
    | {
        readonly action: 'send-program';
        readonly part: string;
        readonly program: 'measuring' | 'lesson';
      }
    /** A controller gets its power by its cable, when all of its leads are in. */
    | { readonly action: 'plug-in'; readonly part: string }
    | { readonly action: 'gate'; readonly at: 'before-power' | 'after-power'; readonly gate: Gate }
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
        readonly gate: Gate;
      }
    | { readonly action: 'isolate'; readonly isolation: Isolation }
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
        /** A tape that stands for a jumper of the plan, not for copper of the card. */
        readonly jumper?: boolean;
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

/** Whether the card stops there to test or to look. */
export function isStop(step: Step): boolean {
  return 'gate' in step || step.action === 'isolate';
}

/** The pieces, wires and supply that a step puts on the board: up to a step, they are what stands there. */
export function idsOf(step: Step): readonly string[] {
  switch (step.action) {
    case 'place-jumper':
    case 'place-part':
    case 'connect-supply':
    case 'fold-cell':
      return [step.part];
    case 'repeat':
    case 'solder-batch':
      return step.pieces.map(({ part }) => part);
    case 'lay-tape':
      return step.jumper ? [step.tape] : [];
    default:
      return [];
  }
}
