import { TIMERS } from '../catalogue/timers';
import { withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { at, opened } from './mistake';
import { beyond } from './overload';
import type { PartTraits } from './part';

/** Pins of the chip as they lie: 1 to 4 down the left from the notch, 8 to 5 down the right. */
const LEFT = ['ground', 'trigger', 'output', 'reset'] as const;
const RIGHT = ['supply', 'discharge', 'threshold', 'control'] as const;

/** The eight-pin timer astride the trench. */
export const timer: PartTraits<'timer'> = {
  kind: 'timer',
  letter: 'U',
  footprint: { form: 'dual', left: LEFT, right: RIGHT },
  room: { along: 0.5, across: 0 },
  height: 2,
  alike: [],
  polarity: () => ({ polarised: true, pins: { ground: 'notch-end' } }),
  stock: ({ params }) => ({ kind: 'timer', family: params.family }),
  overload({ params }, { amps }) {
    const { sourceMost, sinkMost } = TIMERS[params.family];
    return beyond('current', amps, sourceMost) ?? beyond('current', -amps, sinkMost);
  },
  mistakes: (part, { circuit }) => [
    { code: 'chip-turned', data: at(part), prior: 1.2, circuit: turned(circuit, part) },
    { code: 'chip-shifted', data: at(part), prior: 0.8, circuit: shifted(circuit, part) },
    {
      code: 'part-missing',
      data: at(part),
      prior: 0.4,
      // A probe at the empty place of its output still finds the row.
      circuit: opened(circuit, {
        ...part,
        pins: { output: part.pins['output']!, ground: part.pins['ground']! },
      }),
    },
  ],
};

/** One row further down, each pin sits where the next one of its side was meant to be; the last ones in rows of their own. */
function shifted(circuit: Circuit, part: PartOf<'timer'>): Circuit {
  const beside = (pin: string, side: readonly string[]) => side[side.indexOf(pin) + 1];
  const pins = Object.fromEntries(
    [LEFT, RIGHT].flatMap((side) =>
      side.map((pin): [string, string] => {
        const next = beside(pin, side);
        return [pin, (next && part.pins[next]) ?? `${part.id} ${pin} astray`];
      }),
    ),
  );
  return withPart(circuit, part.id, () => ({ ...part, pins }));
}

/** Turned half round, each pin sits where the one across the middle of the chip was meant to be. */
function turned(circuit: Circuit, part: PartOf<'timer'>): Circuit {
  const around = [...LEFT, ...[...RIGHT].reverse()];
  const pins = Object.fromEntries(
    around.map((pin, i) => {
      const across = around[(i + 4) % 8]!;
      return [pin, part.pins[across] ?? `${part.id} ${across} unused`];
    }),
  );
  return withPart(circuit, part.id, () => ({ ...part, pins }));
}
