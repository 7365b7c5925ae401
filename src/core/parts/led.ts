import { LAMP_TYPES } from '../catalogue/lamps';
import { withPart } from '../circuit/circuit';
import { line } from './footprint';
import { at, exchanged, opened, shorted, type Mistake } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';

/** A lamp turned round, dead either way, or of another sort. One of three in a house can only be dead. */
export const led: PartTraits<'led'> = {
  kind: 'led',
  letter: 'D',
  footprint: line(1, 1, 2),
  room: { along: 0.5, across: 1, round: true },
  height: 4,
  alike: [],
  polarity: () => ({ polarised: true, pins: { anode: 'long-leg', cathode: 'flat-edge' } }),
  stock: ({ id, params: { inside } }, sorts) => ({
    kind: 'led',
    lamp: sorts[id]!,
    ...(inside === undefined ? {} : { inside }),
  }),
  overload: ({ params }, { amps, volts }) =>
    beyond('reverse', -volts, STANDS.reverseVolts) ?? beyond('current', amps, params.maxAmps),
  mistakes(part, { circuit, lamps, sorts }) {
    const type = sorts[part.id] ?? 'red';
    const dead: Mistake[] = [
      { code: 'lamp-open', data: at(part), prior: 0.6, circuit: opened(circuit, part) },
      { code: 'lamp-shorted', data: at(part), prior: 1, circuit: shorted(circuit, part) },
    ];
    if (part.body) return dead;
    const turned = exchanged(circuit, part, 'anode', 'cathode');
    const others = LAMP_TYPES.filter((other) => lamps[other].vf !== lamps[type].vf).map((other): Mistake => {
      const { vf, at: atAmps, n, rs, vfLow, vfHigh } = lamps[other];
      const params = { ...part.params, vf, at: atAmps, n, rs, vfLow, vfHigh };
      const fitted = withPart(circuit, part.id, () => ({ ...part, params }));
      return { code: 'other-lamp', data: at(part, { lamp: other }), prior: 0.12, circuit: fitted };
    });
    return [{ code: 'lamp-reversed', data: at(part), prior: 3, circuit: turned }, ...dead, ...others];
  },
};
