import { withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { line } from './footprint';
import { at, missingOrShorted, type Mistake } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

/** Ohms that a reversed electrolytic leaks through: it conducts more and more, and warms up. */
const REVERSED_OHMS = 2000;

/** An electrolytic has a polarity, a ceramic has none. */
export const capacitor: PartTraits<'capacitor'> = {
  kind: 'capacitor',
  letter: 'C',
  footprint: line(1, 2, 3),
  room: { along: 0.3, across: 0.8 },
  height: 3,
  alike: [],
  polarity: ({ params }) =>
    params.polarised ? { polarised: true, pins: { a: 'long-leg', b: 'stripe-minus' } } : UNPOLARISED,
  stock: ({ params }) => ({ kind: 'capacitor', farads: params.farads, polarised: params.polarised }),
  overload: ({ params }, { volts }) =>
    params.polarised ? beyond('reverse', -volts, STANDS.electrolyticReverse) : undefined,
  mistakes(part, { circuit }) {
    return [
      valued(circuit, part, part.params.farads * 10),
      valued(circuit, part, part.params.farads / 10),
      ...(part.params.polarised
        ? [{ code: 'part-reversed' as const, data: at(part), prior: 1.5, circuit: leaking(circuit, part) }]
        : []),
      ...missingOrShorted(circuit, part),
    ];
  },
};

function valued(circuit: Circuit, part: PartOf<'capacitor'>, farads: number): Mistake {
  const params = { ...part.params, farads };
  return {
    code: 'wrong-capacitor',
    data: at(part, { farads, wantedFarads: part.params.farads }),
    prior: 0.8,
    circuit: withPart(circuit, part.id, () => ({ ...part, params })),
  };
}

function leaking(circuit: Circuit, part: PartOf<'capacitor'>): Circuit {
  const params = { ohms: REVERSED_OHMS, tolerance: 0.5, watts: 1000 };
  const leak = { id: `${part.id} leaking`, kind: 'resistor' as const, pins: part.pins, params };
  return { ...circuit, parts: [...circuit.parts, leak] };
}
