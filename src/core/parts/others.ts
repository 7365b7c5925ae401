import type { Circuit, Part } from '../circuit/circuit';
import { isSource } from '../circuit/source';
import { line, NO_ROOM } from './footprint';
import { at, exchanged, missingOrShorted, opened, type Mistake } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

/** Two legs without any difference. */
const TWO_ALIKE = {
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
} as const;

const TWO_FIT = {
  ...TWO_ALIKE,
  mistakes: (part: Part, { circuit }: { readonly circuit: Circuit }) => missingOrShorted(circuit, part),
} as const;

/** A signal belongs to what plays it: it is not placed by itself. */
const ELSEWHERE = {
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 9,
  alike: [],
  polarity: () => UNPOLARISED,
  stock: (): 'elsewhere' => 'elsewhere',
} as const;

const missing = (circuit: Circuit, part: Part): Mistake => ({
  code: 'part-missing',
  data: at(part),
  prior: 0.6,
  circuit: opened(circuit, part),
});

export const inductor: PartTraits<'inductor'> = {
  ...TWO_FIT,
  kind: 'inductor',
  letter: 'L',
  footprint: line(3, 4, 6),
  room: { along: 0, across: 0.5 },
  height: 2,
  stock: ({ params }) => ({ kind: 'inductor', henries: params.henries }),
  overload: (_part, { amps }) => beyond('current', Math.abs(amps), STANDS.coilAmps),
};

export const ldr: PartTraits<'ldr'> = {
  ...TWO_FIT,
  kind: 'ldr',
  letter: 'L',
  footprint: line(1, 2, 3),
  room: { along: 0.3, across: 1, round: true },
  height: 4,
  stock: () => ({ kind: 'light-sensor' }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.sensorWatts),
};

export const speaker: PartTraits<'speaker'> = {
  ...TWO_FIT,
  kind: 'speaker',
  letter: 'LS',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 8,
  stock: ({ params }) => ({ kind: 'speaker', ohms: params.ohms }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.speakerWatts),
};

/** A wire of the circuit itself, or a jumper: left out, its net falls apart. */
export const wire: PartTraits<'wire'> = {
  ...TWO_ALIKE,
  kind: 'wire',
  letter: 'W',
  footprint: line(1, 2, 10),
  room: NO_ROOM,
  height: 0,
  stock: () => 'elsewhere',
  overload: () => undefined,
  mistakes: (part, { circuit }) => [
    { code: 'jumper-missing', data: at(part), prior: 0.8, circuit: opened(circuit, part) },
  ],
};

export const signal: PartTraits<'signal'> = {
  ...ELSEWHERE,
  kind: 'signal',
  letter: 'V',
  polarity: () => ({ polarised: true, pins: { plus: 'red-wire', minus: 'black-wire' } }),
  overload: () => undefined,
  mistakes: (part, { circuit }) => [
    isSource(circuit, part.id) ? { ...missing(circuit, part), code: 'supply-dead' } : missing(circuit, part),
    {
      code: isSource(circuit, part.id) ? 'supply-reversed' : 'part-reversed',
      data: at(part),
      prior: 0.2,
      circuit: exchanged(circuit, part, 'plus', 'minus'),
    },
  ],
};
