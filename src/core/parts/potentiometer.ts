import { withPart } from '../circuit/circuit';
import { at, exchanged, type Mistake } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

/** Tenths of its travel in which a knob may stand. */
const TENTHS = Array.from({ length: 11 }, (_, i) => i / 10);

/** A knob stands anywhere; its ends may be exchanged, or a leg of it be in no row. */
export const potentiometer: PartTraits<'potentiometer'> = {
  kind: 'potentiometer',
  letter: 'P',
  footprint: { form: 'comb', pitch: 2 },
  room: { along: 1, across: 1.5 },
  height: 3,
  alike: [],
  polarity: () => UNPOLARISED,
  stock: ({ params }) => ({ kind: 'potentiometer', ohms: params.ohms }),
  overload: (_part, { watts }) => beyond('heat', watts, STANDS.potentiometerWatts),
  mistakes(part, { circuit }) {
    const apart = TENTHS.filter((position) => Math.abs(position - part.params.position) > 0.051);
    const turned = apart.map((position): Mistake => {
      const params = { ...part.params, position, turn: 0.05 };
      const now = withPart(circuit, part.id, () => ({ ...part, params }));
      return { code: 'knob-elsewhere', data: at(part, { position }), prior: 2 / apart.length, circuit: now };
    });
    const open = (pin: string) =>
      withPart(circuit, part.id, () => ({
        ...part,
        pins: { ...part.pins, [pin]: `${part.id} ${pin} open` },
      }));
    return [
      ...turned,
      {
        code: 'pins-exchanged',
        data: at(part, { pin: 'wiper', other: 'a' }),
        prior: 0.4,
        circuit: exchanged(circuit, part, 'a', 'wiper'),
      },
      { code: 'part-missing', data: at(part), prior: 0.5, circuit: open('a') },
    ];
  },
};
