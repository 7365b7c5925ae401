import { isKind, type Circuit, type Part } from '../circuit/circuit';
import type { Volts } from '../quantities/units';
import type { Run } from '../solver/run/passage';

/** What a capacitor has still to gain, as a share of the supply's swing, that hardly any meter shows. */
const SETTLED_SHARE = 1e-3;

/**
 * A circuit that begins at a rise of its output, with its capacitors as they stand there once its rounds repeat: a large one behind a fast output takes hundreds
 * of rounds to get there, and its gains from one round to the next tell where that is.
 * Source: Aitken's Δ² (1926): of gains that shrink by the same share, v∞ = v + Δ·ρ / (1 − ρ).
 *
 * @param run of at least three whole rounds of its one output
 * @returns undefined where every capacitor does the same in each of its last rounds or gains ever more, or where several outputs go round
 */
export function asCoupled(circuit: Circuit, run: Run): Circuit | undefined {
  const marks = lastRises(run);
  if (!marks) return undefined;
  const swing = swingOf(run);
  let moved = false;
  const parts = circuit.parts.map((part): Part => {
    if (!isKind(part, 'capacitor')) return part;
    const [first, second, third] = marks.map((at) => voltsAt(run, part, at)) as [Volts, Volts, Volts];
    const [before, gain] = [second - first, third - second];
    const share = gain / before;
    const ahead = (gain * share) / (1 - share);
    const drifts = share > 0 && share < 1 && Math.abs(ahead) >= SETTLED_SHARE * swing;
    moved ||= drifts;
    return { ...part, params: { ...part.params, volts: drifts ? third + ahead : third } };
  });
  return moved ? { ...circuit, parts } : undefined;
}

/** Samples at the last three rises; of two outputs neither finds the other where it was a round before. */
function lastRises({ events, time }: Run): readonly number[] | undefined {
  const rises = events.filter(({ high }) => high);
  if (new Set(rises.map(({ output }) => output)).size !== 1 || rises.length < 3) return undefined;
  return rises.slice(-3).map((rise) => sampleAt(time, rise.time));
}

function sampleAt(time: ArrayLike<number>, at: number): number {
  let [low, high] = [0, time.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (time[middle]! < at) low = middle + 1;
    else high = middle;
  }
  return low;
}

function voltsAt({ nodes }: Run, { pins }: Part, sample: number): Volts {
  return (nodes[pins['a']!]?.[sample] ?? 0) - (nodes[pins['b']!]?.[sample] ?? 0);
}

function swingOf({ nodes }: Run): Volts {
  let [low, high] = [0, 0];
  for (const volts of Object.values(nodes)) {
    for (const value of volts) {
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
  }
  return high - low;
}
