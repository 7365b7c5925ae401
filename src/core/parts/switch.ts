import { withPart } from '../circuit/circuit';
import { at, shorted } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

/** A push button, or a switch that stays: not closed is no fault; wired across its joined legs, it is always closed. */
export const switchTraits: PartTraits<'switch'> = {
  kind: 'switch',
  letter: 'S',
  footprint: { form: 'line', low: 2, usual: 2, high: 3, stiff: true },
  room: { along: 0.5, across: 1.2 },
  height: 3,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: ({ params }) => ({ kind: params.stays ? 'slide-switch' : 'button' }),
  overload: (_part, { amps }) => beyond('current', Math.abs(amps), STANDS.buttonAmps),
  mistakes: (part, { circuit }) => [
    ...(part.params.closed
      ? [
          {
            code: part.params.stays ? ('switch-off' as const) : ('button-open' as const),
            data: at(part),
            prior: 1.5,
            circuit: withPart(circuit, part.id, () => ({
              ...part,
              params: { ...part.params, closed: false },
            })),
          },
        ]
      : [{ code: 'part-shorted' as const, data: at(part), prior: 0.6, circuit: shorted(circuit, part) }]),
  ],
};
