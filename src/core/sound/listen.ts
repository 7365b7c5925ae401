import type { Circuit } from '../circuit/circuit';
import { isKind } from '../circuit/circuit';
import { sideOf, type SoundSide } from '../circuit/soundLead';
import { withoutWires } from '../circuit/wires';
import { accepted, type Outcome } from '../findings/finding';
import { lengthOf, stretchOf, type Sound } from '../numerics/sound';
import { charged, rested } from '../observe/moving';
import { tied } from '../observe/observe';
import { run } from '../solver/run/run';
import type { Amps, Seconds } from '../quantities/units';

/** What is played, on both sides. */
export type Music = Readonly<Record<SoundSide, Sound>>;

/** Mean current of every lamp over one frame after another. */
export interface Heard {
  readonly frame: Seconds;
  readonly lamps: Readonly<Record<string, Float32Array>>;
}

/** As short as an eye tells one light from the next. */
export const FRAME: Seconds = 0.025;
/** Whole frames of a sound; at least one. */
export function framesOf(sound: Sound): number {
  return Math.max(1, Math.floor(lengthOf(sound) / FRAME + 1e-6));
}

/** Frames that are followed before anybody is told. */
const AT_A_TIME = 20;

/**
 * Follows a build while a piece is played to it, from where it rests, some frames at a time: a capacitor's charge is all
 * that a circuit takes from one stretch to the next.
 *
 * @param onFrames told every stretch as it comes, with the frame at which it begins; ends it by answering false
 * @returns all of it, or why it cannot be followed
 */
export function listen(
  circuit: Circuit,
  piece: Music,
  onFrames: (heard: Heard, from: number) => boolean | undefined = () => true,
): Outcome<Heard> {
  const lamps = circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
  const frames = framesOf(piece.left);
  const all = Object.fromEntries(lamps.map((id) => [id, new Float32Array(frames)]));
  let now = rested(tied(withoutWires(circuit)));
  for (let from = 0; from < frames; from += AT_A_TIME) {
    const count = Math.min(AT_A_TIME, frames - from);
    const seconds = count * FRAME;
    const gone = run(withSound(now, piece, from * FRAME, seconds), { seconds, samples: 2, frame: FRAME });
    if (!gone.ok) return gone;
    const { nodes, frames: means = {} } = gone.value;
    const heard = Object.fromEntries(lamps.map((id) => [id, Float32Array.from(means[id]!, positive)]));
    for (const id of lamps) all[id]!.set(heard[id]!.subarray(0, count), from);
    if (onFrames({ frame: FRAME, lamps: heard }, from) === false) break;
    now = charged(now, (net) => nodes[net]?.[1] ?? 0);
  }
  return accepted({ frame: FRAME, lamps: all });
}

function positive(amps: Amps): Amps {
  return Math.max(0, amps);
}

/** The circuit with a stretch of the piece coming in, at the level of its lead. */
function withSound(circuit: Circuit, piece: Music, from: Seconds, seconds: Seconds): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => {
      const side = isKind(part, 'signal') ? sideOf(part.id)?.side : undefined;
      if (!isKind(part, 'signal') || !side) return part;
      const sound = stretchOf(piece[side], from, seconds);
      return { ...part, params: { ...part.params, amplitude: part.params.level ?? 0, sound } };
    }),
  };
}
