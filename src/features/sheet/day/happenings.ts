import { spellsOf, type Moving } from '@/core';
import { happened, type Happening } from '@/messages/instant';

/** Instants nearer to one another than this share of the run are one. */
const SAME = 1e-6;
/** More than these are a rhythm, not a story: the list ends there and says so. */
export const LISTED_MOST = 60;

/** What happens in a run, in order: outputs that turn, lamps that come on and go out. */
export function happeningsOf({ circuit, run }: Moving): Happening[] {
  const chips = new Map(
    circuit.parts.flatMap((part) =>
      part.kind === 'timer' ? [[part.pins['output']!, part.id] as const] : [],
    ),
  );
  const found: { time: number; words: string }[] = [
    ...run.events.map(({ time, output, high }) => ({
      time,
      words: `${chips.get(output) ?? output} goes ${high ? 'up' : 'down'}`,
    })),
    ...circuit.parts.flatMap((part) =>
      part.kind === 'led'
        ? spellsOf(run, part.id).flatMap(({ from, to }) => [
            { time: from, words: `${part.id} comes on` },
            { time: to, words: `${part.id} goes out` },
          ])
        : [],
    ),
  ].sort((a, b) => a.time - b.time);
  const whole: { time: number; words: string[] }[] = [];
  for (const { time, words } of found) {
    const last = whole[whole.length - 1];
    if (last && time - last.time <= SAME * run.ended) last.words.push(words);
    else whole.push({ time, words: [words] });
  }
  return whole.map(({ time, words }) => ({ time, words: happened(words) }));
}
