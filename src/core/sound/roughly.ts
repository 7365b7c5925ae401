import type { Circuit } from '../circuit/circuit';
import type { Sound } from '../numerics/sound';
import type { Amps, Hertz } from '../quantities/units';
import { FRAME, framesOf, type Heard, type Music } from './listen';
import { responseTo } from './response';

/** Octaves that a piece is taken apart into, by their middles. */
const MIDDLES: readonly Hertz[] = [45, 90, 180, 360, 720, 1440, 2880, 5760, 11_520];
/** An octave is so many times as high as it is wide. */
const SHARP = Math.SQRT2;
/** Loudness at which each octave is tried, as shares of the level that is meant. */
const LOUD = [0.15, 0.3, 0.6, 1] as const;

/**
 * What a piece will look like, before it has been followed: the lamps' currents at single tones of a few strengths, and how
 * strong each octave of the piece is from frame to frame. Octaves that come
 * together add up by their power, each as far as it lights the lamp.
 */
export function roughly(circuit: Circuit, music: Music): Heard {
  const tables = LOUD.map((loudness) => responseTo(circuit, MIDDLES, loudness));
  const ids = Object.keys(tables[0]!.lamps);
  const frames = framesOf(music.left);
  const both = mixed(music);
  const strengths = MIDDLES.map((middle) => strengthsIn(both, middle, frames));
  const lamps = Object.fromEntries(
    ids.map((id) => {
      const curves = MIDDLES.map((_, octave) => tables.map((table) => table.lamps[id]![octave]!));
      const needed = curves.map(strengthFor);
      const best = needed.indexOf(Math.min(...needed));
      // An octave that must be twice as strong for the same light counts half.
      const counts = needed.map((strength) => (strength < Infinity ? needed[best]! / strength : 0));
      const amps = Float32Array.from({ length: frames }, (_, frame) => {
        const power = strengths.reduce((sum, own, octave) => sum + (own[frame]! * counts[octave]!) ** 2, 0);
        return alongCurve(curves[best]!, Math.sqrt(power));
      });
      return [id, amps];
    }),
  );
  return { frame: FRAME, lamps };
}

/** Strength at which a curve reaches a glow that is surely seen; without end where it never does. */
function strengthFor(curve: readonly Amps[]): number {
  const at = curve.findIndex((amps) => amps >= SURE_AMPS);
  if (at < 0) return Infinity;
  const [from, low] = at === 0 ? [0, 0] : [LOUD[at - 1]!, curve[at - 1]!];
  return from + ((LOUD[at]! - from) * (SURE_AMPS - low)) / (curve[at]! - low);
}

const SURE_AMPS: Amps = 2e-4;

/** How far a piece swings in each frame, of 1. */
export function loudnessOf(music: Music): Float32Array {
  const length = Math.round(FRAME * music.left.rate);
  const { samples } = mixed(music);
  const frames = framesOf(music.left);
  return Float32Array.from({ length: frames }, (_, frame) =>
    samples
      .subarray(frame * length, (frame + 1) * length)
      .reduce((most, value) => Math.max(most, Math.abs(value)), 0),
  );
}

/** Both sides as one. */
export function mixed({ left, right }: Music): Sound {
  return { rate: left.rate, samples: left.samples.map((value, i) => (value + (right.samples[i] ?? 0)) / 2) };
}

/** Current at a strength, in straight lines between those that were tried. */
function alongCurve(curve: readonly number[], strength: number): number {
  let [from, low] = [0, 0];
  for (let i = 0; i < LOUD.length; i++) {
    const [to, high] = [LOUD[i]!, curve[i]!];
    if (strength <= to) return low + ((high - low) * (strength - from)) / (to - from);
    [from, low] = [to, high];
  }
  return low;
}

/**
 * How strong one octave of a sound is in each frame, as the peak of the tone of the same power.
 * Source of the filter: second-order band-pass of constant peak gain by the bilinear transform.
 */
function strengthsIn({ rate, samples }: Sound, middle: Hertz, frames: number): Float64Array {
  const turn = (2 * Math.PI * middle) / rate;
  const alpha = Math.sin(turn) / (2 * SHARP);
  const [b, a1, a2] = [alpha / (1 + alpha), (-2 * Math.cos(turn)) / (1 + alpha), (1 - alpha) / (1 + alpha)];
  const length = Math.round(FRAME * rate);
  const found = new Float64Array(frames);
  let [x1, x2, y1, y2] = [0, 0, 0, 0];
  for (let frame = 0; frame < frames; frame++) {
    let power = 0;
    for (let i = frame * length; i < (frame + 1) * length; i++) {
      const x = samples[i] ?? 0;
      const y = b * (x - x2) - a1 * y1 - a2 * y2;
      [x2, x1, y2, y1] = [x1, x, y1, y];
      power += y * y;
    }
    found[frame] = Math.sqrt((2 * power) / length);
  }
  return found;
}
