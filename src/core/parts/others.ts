import type { Circuit, Part, PartOf } from '../circuit/circuit';
import { isSource } from '../circuit/source';
import { line, NO_ROOM } from './footprint';
import { at, exchanged, missingOrShorted, opened, type Mistake } from './mistake';
import { beyond, STANDS } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED, type PolarityMarks } from './polarity';

/** Two legs without any difference. */
const TWO_ALIKE = {
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
} as const;

const TWO_FIT = {
  ...TWO_ALIKE,
  mistakes: (part: Part, { circuit }: { readonly circuit: Circuit }) => missingOrShorted(circuit, part),
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

const SOUND_WIRES: PolarityMarks['pins'] = { left: 'white-wire', right: 'red-wire', shield: 'bare-wire' };
const PULSE_WIRES: PolarityMarks['pins'] = { plus: 'red-wire', minus: 'black-wire' };

/** What gives pulses stands beside the board; what sound comes in by is a lead of its own, of two sides and a shield. */
export const signal: PartTraits<'signal'> = {
  kind: 'signal',
  letter: 'V',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 9,
  alike: [],
  polarity: ({ body }) => ({
    polarised: true,
    pins: body ? SOUND_WIRES : PULSE_WIRES,
  }),
  stock: ({ params }) => (params.level === undefined ? 'elsewhere' : { kind: 'sound-lead' }),
  overload: () => undefined,
  mistakes: (part, { circuit }) => [
    isSource(circuit, part.id) ? { ...missing(circuit, part), code: 'supply-dead' } : missing(circuit, part),
    part.body
      ? {
          code: 'pins-exchanged',
          data: at(part, { pin: part.body.legs['plus']!, other: 'shield' }),
          prior: 0.4,
          circuit: withShieldAt(circuit, part),
        }
      : {
          code: isSource(circuit, part.id) ? 'supply-reversed' : 'part-reversed',
          data: at(part),
          prior: 0.2,
          circuit: exchanged(circuit, part, 'plus', 'minus'),
        },
  ],
};

/** One side of a sound lead and its shield in each other's place: the shield of the other side goes with it. */
function withShieldAt(circuit: Circuit, part: PartOf<'signal'>): Circuit {
  const { plus, minus } = part.pins;
  const turned = (net: string) => (net === minus ? plus! : net === plus ? minus! : net);
  return {
    ...circuit,
    parts: circuit.parts.map((one) =>
      one.body && one.body.id === part.body?.id
        ? {
            ...one,
            pins: Object.fromEntries(Object.entries(one.pins).map(([pin, net]) => [pin, turned(net)])),
          }
        : one,
    ),
  };
}
