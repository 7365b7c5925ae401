import { at, exchanged } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';

/** Three legs in a row, told by the flat face; the order of the legs is the type's own. */
export const transistor: PartTraits<'transistor'> = {
  kind: 'transistor',
  letter: 'Q',
  footprint: { form: 'comb', pitch: 1 },
  room: { along: 0.5, across: 0.8 },
  height: 3,
  alike: [],
  polarity: () => ({ polarised: true, pins: { base: 'flat-face' } }),
  stock: ({ params }) => ({ kind: 'transistor', polarity: params.polarity }),
  overload: (_part, { amps, watts }) =>
    beyond('current', Math.abs(amps), STANDS.transistorAmps) ?? beyond('heat', watts, STANDS.transistorWatts),
  mistakes: (part, { circuit }) => [
    {
      code: 'part-reversed',
      data: at(part),
      prior: 1.5,
      circuit: exchanged(circuit, part, 'collector', 'emitter'),
    },
    {
      code: 'pins-exchanged',
      data: at(part, { pin: 'base', other: 'collector' }),
      prior: 0.6,
      circuit: exchanged(circuit, part, 'base', 'collector'),
    },
    {
      code: 'pins-exchanged',
      data: at(part, { pin: 'base', other: 'emitter' }),
      prior: 0.4,
      circuit: exchanged(circuit, part, 'base', 'emitter'),
    },
  ],
};
