import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { isKind, type Circuit } from '../circuit/circuit';
import type { Amps, Seconds } from '../quantities/units';
import type { Moving, Observation } from './observation';
import { burstsOf, mean } from '../solver/run/cycles';
import { hearsSound } from './held';
import { reportOf } from './observe';

/** What an eye says of a lamp. */
export type Look = 'dark' | 'dim' | 'lit' | 'too-bright' | 'blinking';

/** A lamp that flashes some times and pauses. */
export interface Bursts {
  /** Flashes of one burst, on the average. */
  readonly flashes: number;
  /** From one burst to the next. */
  readonly every: Seconds;
}

/** A lamp as it is seen: its current (the mean of one that moves), how bright that is, and how often it comes on. */
export interface LampSeen {
  readonly part: string;
  readonly amps: Amps;
  /** The most that it carries at any instant. */
  readonly peak: Amps;
  /** What its brightness goes by: the mean of what comes and goes too fast to be seen, else what it carries while it is lit. */
  readonly glow: Amps;
  readonly brightness: Brightness;
  readonly look: Look;
  /** Flashes a second; within a burst, of one that pauses. */
  readonly hertz?: number;
  readonly bursts?: Bursts;
  /** Seconds for which it is lit, each time that it comes on. */
  readonly litFor?: number;
}

/** From here on a lamp is seen to glow, and from here on it is lit in a lit room. */
export const GLOW_AMPS: Amps = 0.02e-3;
export const LIT_AMPS: Amps = 1e-3;
/** Faster than this the eye sees one steady light. */
const FUSED_HERTZ = 50;

/** Every lamp of a build as it is seen. */
export function lampsSeen(seen: Observation): LampSeen[] {
  return seen.circuit.parts
    .filter((part) => isKind(part, 'led'))
    .map(({ id, params }) => {
      const amps = Math.max(0, reportOf(seen, id).amps);
      const moved = seen.kind === 'moving' ? movement(seen, id) : undefined;
      const peak = moved?.peak ?? amps;
      const brightness = brightnessAt(amps, params.maxAmps);
      const fused = moved !== undefined && moved.hertz >= FUSED_HERTZ;
      const blinks = moved !== undefined && moved.hertz > 0 && moved.hertz < FUSED_HERTZ;
      return {
        part: id,
        amps,
        peak,
        glow: fused ? amps : peak,
        brightness,
        look: blinks
          ? 'blinking'
          : lookAt(moved?.litFor !== undefined && !fused ? peak : amps, params.maxAmps),
        ...(blinks ? oftenOf(moved) : {}),
        ...(moved?.litFor === undefined ? {} : { litFor: moved.litFor }),
      };
    });
}

function oftenOf({ hertz, bursts }: Movement): Pick<LampSeen, 'hertz' | 'bursts'> {
  return bursts ? { hertz, bursts } : { hertz };
}

export function lookAt(amps: Amps, maxAmps: Amps): Look {
  if (amps > maxAmps) return 'too-bright';
  if (amps < GLOW_AMPS) return 'dark';
  return amps < LIT_AMPS ? 'dim' : 'lit';
}

/** How often something comes on, from one rise to the next: within its bursts, or all along where it never pauses. */
function rateOf(rises: readonly number[]): number {
  if (rises.length < 2) return 0;
  const rounds = rises.slice(1).map((time, i) => ({ from: rises[i]!, period: time - rises[i]!, high: 0 }));
  return 1 / mean(burstsOf(rounds).within.map(({ period }) => period));
}

/** How its bursts follow one another, from the second one of a run on; undefined of what never pauses. */
function burstsIn(spells: readonly Spell[]): Bursts | undefined {
  const rounds = spells
    .slice(1)
    .map(({ from }, i) => ({ from: spells[i]!.from, period: from - spells[i]!.from, high: 0 }));
  const bursts = rounds.length > 2 ? burstsOf(rounds).bursts : undefined;
  return bursts && { flashes: bursts.pulses, every: bursts.every };
}

/** When a lamp comes on and goes out. */
export interface Spell {
  readonly from: number;
  readonly to: number;
}

/** The spells in which a lamp is lit in a run, those that have not ended by its end left out. */
export function spellsOf({ time, parts }: Moving['run'], id: string): Spell[] {
  const { amps } = parts[id]!;
  const spells: Spell[] = [];
  let from: number | undefined;
  for (let i = 0; i < time.length; i++) {
    const lit = amps[i]! >= LIT_AMPS / 5;
    if (lit && from === undefined) from = time[i]!;
    if (lit || from === undefined) continue;
    spells.push({ from, to: time[i]! });
    from = undefined;
  }
  return spells;
}

interface Movement {
  readonly hertz: number;
  readonly bursts?: Bursts;
  readonly litFor: number | undefined;
  readonly peak: Amps;
}

/** How often a lamp comes on in a run, for how long, and the most that it carries. */
function movement(seen: Moving, id: string): Movement {
  const { run, window } = seen;
  const [from] = window;
  const spells = spellsOf(run, id);
  const whole = spells.filter((spell) => spell.from >= from);
  const rises = whole.map((spell) => spell.from);
  const counted = whole.length > 0 ? whole : spells;
  const litFor = counted.length > 0 ? mean(counted.map((spell) => spell.to - spell.from)) : undefined;
  // What a tone does while it begins is not what is seen of it.
  const begun = seen.circuit.parts.some(hearsSound) ? from : 0;
  const peak = run.parts[id]!.amps.reduce(
    (most, amps, i) => (run.time[i]! >= begun ? Math.max(most, amps) : most),
    0,
  );
  // A window of one round of an output holds two rises of a lamp that follows it, and one of a lamp that it puts out.
  const goesRound = Object.values(run.cycles).some(({ period }) => period !== null);
  const counting = rises.length > 1 || !goesRound ? rises : spells.slice(1).map((spell) => spell.from);
  const bursts = burstsIn(spells);
  return { hertz: rateOf(counting), litFor, peak, ...(bursts ? { bursts } : {}) };
}

/** The lamps that are surely lit, and those that may be seen to glow or not. */
export function litIn(seen: Observation): { lit: string[]; may: string[] } {
  const lamps = lampsSeen(seen);
  const lit = lamps.filter(({ glow }) => glow >= LIT_AMPS);
  const may = lamps.filter(({ glow }) => glow < LIT_AMPS && glow >= GLOW_AMPS / 2);
  return { lit: lit.map(({ part }) => part), may: may.map(({ part }) => part) };
}

/** Ids of the lamps of a circuit. */
export function lampIds(circuit: Circuit): string[] {
  return circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
}
