import { line } from './footprint';
import { at, exchanged, opened, shorted } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';

export const zener: PartTraits<'zener'> = {
  kind: 'zener',
  letter: 'Z',
  footprint: line(3, 4, 6),
  room: { along: 0, across: 0 },
  height: 1,
  alike: [],
  polarity: () => ({ polarised: true, pins: { cathode: 'band-end' } }),
  stock: ({ params }) => ({ kind: 'zener', volts: params.vz }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.zenerWatts),
  mistakes: (part, { circuit }) => [
    {
      code: 'zener-reversed',
      data: at(part),
      prior: 1,
      circuit: exchanged(circuit, part, 'anode', 'cathode'),
    },
    { code: 'part-missing', data: at(part), prior: 0.5, circuit: opened(circuit, part) },
    { code: 'part-shorted', data: at(part), prior: 0.5, circuit: shorted(circuit, part) },
  ],
};
