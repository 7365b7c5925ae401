import { seriesValues } from '../catalogue/preferred';
import { isKind, withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { line } from './footprint';
import { at, opened, shorted, type Mistake } from './mistake';
import { beyond } from './overload';
import type { PartTraits, Surroundings } from './part';
import { UNPOLARISED } from './polarity';

/** Ohms of a leg that only touches, or of a joint that never flowed. */
const LOOSE_OHMS = 1000;

export const resistor: PartTraits<'resistor'> = {
  kind: 'resistor',
  letter: 'R',
  footprint: line(4, 5, 7),
  room: { along: 0, across: 0 },
  height: 1,
  alike: [['a', 'b']],
  polarity: () => UNPOLARISED,
  stock: ({ params }) => ({ kind: 'resistor', ohms: params.ohms }),
  overload: ({ params }, { watts }) => beyond('heat', watts, params.watts),
  mistakes(part, { circuit, drawer }) {
    const { ohms } = part.params;
    const near = [
      ...drawer.filter((value) => value < ohms * 0.99).slice(-2),
      ...drawer.filter((value) => value > ohms * 1.01).slice(0, 2),
    ];
    return [
      { code: 'resistor-missing', data: at(part), prior: 0.6, circuit: opened(circuit, part) },
      { code: 'resistor-shorted', data: at(part), prior: 1, circuit: shorted(circuit, part) },
      wrongResistor(circuit, part, ohms * 10, 0.8),
      wrongResistor(circuit, part, ohms / 10, 0.8),
      wrongResistor(circuit, part, ohms * 1000, 0.2),
      ...near.map((value) => wrongResistor(circuit, part, value, 0.4)),
      {
        code: 'loose-joint',
        data: at(part, { ohms: LOOSE_OHMS }),
        prior: 0.2,
        circuit: valued(circuit, part, ohms + LOOSE_OHMS),
      },
    ];
  },
};

/** A resistor of another value in a resistor's place. */
export function wrongResistor(
  circuit: Circuit,
  part: PartOf<'resistor'>,
  ohms: number,
  prior: number,
): Mistake {
  const data = at(part, { ohms, wantedOhms: part.params.ohms });
  return { code: 'wrong-resistor', data, prior, circuit: valued(circuit, part, ohms) };
}

/** Decades to either side of a resistor that a misread band may lead to. */
const DECADES = 3;

/** Every other preferred value that could have been taken: what the bands of a stray resistor may say. */
export function anyResistor(
  part: PartOf<'resistor'>,
  { circuit, drawer }: Surroundings,
  few: boolean,
): Mistake[] {
  const { ohms } = part.params;
  const reach = few ? 10 : 10 ** DECADES;
  const series = seriesValues(few ? 'E6' : 'E12');
  const values = new Set([...series, ...(few ? [] : drawer)]);
  const known = new Set(
    resistor.mistakes(part, { circuit, drawer } as Surroundings).map(({ data }) => data.ohms),
  );
  return [...values]
    .filter((value) => value >= ohms / reach && value <= ohms * reach && Math.abs(value / ohms - 1) > 0.01)
    .filter((value) => ![...known].some((other) => other !== undefined && Math.abs(other / value - 1) < 0.01))
    .map((value) => wrongResistor(circuit, part, value, 0.05));
}

export function valued(circuit: Circuit, { id }: PartOf<'resistor'>, ohms: number): Circuit {
  return withPart(circuit, id, (part) =>
    isKind(part, 'resistor') ? { ...part, params: { ...part.params, ohms } } : part,
  );
}
