import { line, NO_ROOM } from './footprint';
import { at, exchanged, missingOrShorted, opened } from './mistake';
import { beyond, pinAmps, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

export const inductor: PartTraits<'inductor'> = {
  kind: 'inductor',
  letter: 'L',
  footprint: line(3, 4, 6),
  room: { along: 0, across: 0.5 },
  height: 2,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: ({ params }) => ({ kind: 'inductor', henries: params.henries }),
  overload: (_part, { amps }) => beyond('current', Math.abs(amps), STANDS.coilAmps),
  mistakes: (part, { circuit }) => missingOrShorted(circuit, part),
};

export const ldr: PartTraits<'ldr'> = {
  kind: 'ldr',
  letter: 'L',
  footprint: line(1, 2, 3),
  room: { along: 0.3, across: 1, round: true },
  height: 4,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: () => ({ kind: 'light-sensor' }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.sensorWatts),
  mistakes: (part, { circuit }) => missingOrShorted(circuit, part),
};

export const speaker: PartTraits<'speaker'> = {
  kind: 'speaker',
  letter: 'LS',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 8,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: ({ params }) => ({ kind: 'speaker', ohms: params.ohms }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.speakerWatts),
  mistakes: (part, { circuit }) => missingOrShorted(circuit, part),
};

/** A wire of the circuit itself, or a jumper: left out, its net falls apart. */
export const wire: PartTraits<'wire'> = {
  kind: 'wire',
  letter: 'W',
  footprint: line(1, 2, 10),
  room: NO_ROOM,
  height: 0,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: () => 'elsewhere',
  overload: () => undefined,
  mistakes: (part, { circuit }) => [
    { code: 'jumper-missing', data: at(part), prior: 0.8, circuit: opened(circuit, part) },
  ],
};

/** A pin belongs to its controller, a signal to what plays it: neither is placed by itself. */
export const pin: PartTraits<'pin'> = {
  kind: 'pin',
  letter: 'G',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 9,
  alike: [],
  polarity: () => UNPOLARISED,
  stock: () => 'elsewhere',
  overload: ({ params }, { amps }) => beyond('current', Math.abs(amps), pinAmps(params.volts)),
  mistakes: (part, { circuit }) => [
    { code: 'part-missing', data: at(part), prior: 0.6, circuit: opened(circuit, part) },
  ],
};

export const signal: PartTraits<'signal'> = {
  kind: 'signal',
  letter: 'V',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 9,
  alike: [],
  polarity: () => UNPOLARISED,
  stock: () => 'elsewhere',
  overload: () => undefined,
  mistakes: (part, { circuit }) => [
    {
      code: 'part-missing',
      data: at(part),
      prior: 0.6,
      circuit: opened(circuit, part),
    },
    {
      code: 'part-reversed',
      data: at(part),
      prior: 0.2,
      circuit: exchanged(circuit, part, 'plus', 'minus'),
    },
  ],
};
