import { line } from './footprint';
import { at, exchanged, missingOrShorted } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';

export const diode: PartTraits<'diode'> = {
  kind: 'diode',
  letter: 'X',
  footprint: line(3, 4, 6),
  room: { along: 0, across: 0 },
  height: 1,
  alike: [],
  polarity: () => ({ polarised: true, pins: { cathode: 'band-end' } }),
  stock: () => ({ kind: 'diode' }),
  overload: (_part, { amps }) => beyond('current', amps, STANDS.diodeAmps),
  mistakes: (part, { circuit }) => [
    {
      code: 'part-reversed',
      data: at(part),
      prior: 1.5,
      circuit: exchanged(circuit, part, 'anode', 'cathode'),
    },
    ...missingOrShorted(circuit, part),
  ],
};
