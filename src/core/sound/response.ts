import { isKind, type Circuit } from '../circuit/circuit';
import { sideOf } from '../circuit/soundLead';
import type { Held } from '../observe/checkpoint';
import { hearsSound, withHeld } from '../observe/held';
import { observe, reportOf } from '../observe/observe';
import { withoutWires } from '../circuit/wires';
import type { Amps, Hertz } from '../quantities/units';

/** Mean current of every lamp at one tone after another. */
export interface Response {
  readonly hertz: readonly Hertz[];
  readonly lamps: Readonly<Record<string, readonly Amps[]>>;
}

/** Tones from 20 Hz to 16 kHz, by equal ratios. */
export function tonesAlong(count: number): Hertz[] {
  return Array.from({ length: count }, (_, i) => 20 * 800 ** (i / (count - 1)));
}

/**
 * What every lamp gets at pure tones, each followed until it goes on as it began.
 *
 * @param loudness share of the level that is meant
 * @param onTone told after each; ends it by answering false
 */
export function responseTo(
  circuit: Circuit,
  hertz: readonly Hertz[],
  loudness = 1,
  onTone: (done: number) => boolean | undefined = () => true,
): Response {
  const lamps = circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
  const plain = withoutWires(asLoud(circuit, loudness));
  const found: Record<string, Amps[]> = Object.fromEntries(lamps.map((id) => [id, []]));
  for (const [i, tone] of hertz.entries()) {
    const seen = observe(withHeld(plain, onEverySide(plain, tone)));
    for (const id of lamps) found[id]!.push(seen.ok ? Math.max(0, reportOf(seen.value, id).amps) : 0);
    if (onTone(i + 1) === false) break;
  }
  return { hertz, lamps: found };
}

/** A tone on both sides of whatever sound comes in by. */
function onEverySide({ parts }: Circuit, tone: Hertz): Held {
  return Object.fromEntries(parts.filter(({ id }) => sideOf(id)).map(({ id }) => [id, tone]));
}

/** The circuit with its sound so many times as loud as is meant. */
export function asLoud(circuit: Circuit, loudness: number): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) =>
      hearsSound(part)
        ? { ...part, params: { ...part.params, level: (part.params.level ?? 0) * loudness } }
        : part,
    ),
  };
}
