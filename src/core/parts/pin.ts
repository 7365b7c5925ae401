import { isKind, withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { NO_ROOM } from './footprint';
import { at, type Mistake } from './mistake';
import { beyond, pinAmps } from './overload';
import type { PartTraits } from './part';
import { UNPOLARISED } from './polarity';

/** Ohms that hold an input up inside the chip: what a pin has that the program did not make an output. */
const PULL_UP_OHMS = 3.5e4;

/** How often leads side by side are exchanged, and leads further apart. */
const NEIGHBOURS = 1.2;
const FURTHER = 0.3;

/** A pin belongs to its controller, which is placed as a whole: what goes wrong is where its lead goes, and its program. */
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
  mistakes(part, { circuit }) {
    const pins = pinsBeside(circuit, part);
    const place = pins.findIndex(({ id }) => id === part.id);
    const set = (change: Partial<PartOf<'pin'>['params']>) =>
      withPart(circuit, part.id, () => ({ ...part, params: { ...part.params, ...change } }));
    const found: Mistake[] = [
      {
        code: 'pin-lead-astray',
        data: at(part),
        prior: 1.6,
        circuit: led(circuit, new Map([[part.id, astray(part)]])),
        alike: [{ code: 'program-other-pin', data: at(part), prior: 0.6 }],
      },
    ];
    if (part.params.drive !== 'input')
      found.push({
        code: 'pin-no-output',
        data: at(part),
        prior: 0.6,
        circuit: set({ ohms: PULL_UP_OHMS }),
      });
    for (const [k, other] of pins.slice(place + 1).entries()) {
      const crossed = new Map([
        [part.id, netOf(other)],
        [other.id, netOf(part)],
      ]);
      found.push({
        code: 'pin-leads-exchanged',
        data: at(part, { other: other.id }),
        prior: k === 0 ? NEIGHBOURS : FURTHER,
        circuit: led(circuit, crossed),
      });
    }
    if (place === 0 && pins.length > 2) {
      const shifted = pins.map((one, i) => [one.id, i === 0 ? astray(one) : netOf(pins[i - 1]!)] as const);
      found.push({
        code: 'pin-leads-shifted',
        data: at(part),
        prior: 0.4,
        circuit: led(circuit, new Map(shifted)),
      });
    }
    return found;
  },
};

/** Where nothing of the board is. */
const astray = ({ id }: PartOf<'pin'>): string => `${id} astray`;

const netOf = ({ pins }: PartOf<'pin'>): string => pins['pin']!;

/** The pins of one board, in the order of its circuit. */
function pinsBeside({ parts }: Circuit, { body }: PartOf<'pin'>): PartOf<'pin'>[] {
  return parts.flatMap((part) => (isKind(part, 'pin') && part.body?.id === body?.id ? [part] : []));
}

/** The circuit with the leads of some pins in other places. */
function led(circuit: Circuit, nets: ReadonlyMap<string, string>): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => {
      const net = nets.get(part.id);
      return net === undefined ? part : { ...part, pins: { ...part.pins, pin: net } };
    }),
  };
}
