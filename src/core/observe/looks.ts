import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { isKind, type Circuit } from '../circuit/circuit';
import type { Amps } from '../quantities/units';
import type { Moving, Observation } from './observation';
import { burstsOf, mean } from '../solver/run/cycles';
import { reportOf } from './observe';

/** What an eye says of a lamp. */
export type Look = 'dark' | 'dim' | 'lit' | 'too-bright' | 'blinking';

/** A lamp as it is seen: its current (the mean of one that moves), how bright that is, and how often it comes on. */
export interface LampSeen {
  readonly part: string;
  readonly amps: Amps;
  /** The most that it carries at any instant. */
  readonly peak: Amps;
  readonly brightness: Brightness;
  readonly look: Look;
  readonly hertz?: number;
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
      const blinks = moved !== undefined && moved.hertz > 0 && moved.hertz < FUSED_HERTZ;
      return {
        part: id,
        amps,
        peak,
        brightness,
        look: blinks ? 'blinking' : lookAt(amps, params.maxAmps),
        ...(blinks ? { hertz: moved.hertz } : {}),
      };
    });
}

export function lookAt(amps: Amps, maxAmps: Amps): Look {
  if (amps > maxAmps) return 'too-bright';
  if (amps < GLOW_AMPS) return 'dark';
  return amps < LIT_AMPS ? 'dim' : 'lit';
}

/** Of what comes on three times or more: how often within its bursts, or all along where it never pauses. */
function rateOf(rises: readonly number[]): number | undefined {
  if (rises.length < 3) return undefined;
  const rounds = rises.slice(1).map((time, i) => ({ from: rises[i]!, period: time - rises[i]!, high: 0 }));
  return 1 / mean(burstsOf(rounds).within.map(({ period }) => period));
}

/** How often a lamp comes on in a run, and the most that it carries. */
function movement({ run, window: [from, to] }: Moving, id: string): { hertz: number; peak: Amps } {
  const { amps } = run.parts[id]!;
  const rises: number[] = [];
  let peak = 0;
  let lit = false;
  run.time.forEach((time, i) => {
    const now = amps[i]!;
    peak = Math.max(peak, now);
    if (time >= from && now >= LIT_AMPS / 5 && !lit) rises.push(time);
    lit = now >= LIT_AMPS / 5;
  });
  return { hertz: rateOf(rises) ?? rises.length / (to - from), peak };
}

/** The lamps that are surely lit, and those that may be seen to glow or not. */
export function litIn(seen: Observation): { lit: string[]; may: string[] } {
  const lamps = lampsSeen(seen);
  const lit = lamps.filter(({ peak }) => peak >= LIT_AMPS);
  const may = lamps.filter(({ peak }) => peak < LIT_AMPS && peak >= GLOW_AMPS / 2);
  return { lit: lit.map(({ part }) => part), may: may.map(({ part }) => part) };
}

/** Ids of the lamps of a circuit. */
export function lampIds(circuit: Circuit): string[] {
  return circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
}
