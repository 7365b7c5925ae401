import { SUPPLIES, supplyFigures } from '../catalogue/supplies';
import { withPart, type Part, type PartOf } from '../circuit/circuit';
import { observe } from '../observe/observe';
import { NO_ROOM } from './footprint';
import { at, type Mistake } from './mistake';
import type { PartTraits, Surroundings } from './part';

/** Share of the wanted current at which a bench supply was left to hold. */
const LEFT_AT = 0.4;
/** Steps of a part-used pack between fresh and tired. */
const USED = [0.25, 0.5, 0.75];

/** Share of its own volts at which a supply counts as shorted, and the least current that does it. */
const SHORTED = 0.2;
const SHORTED_AMPS = 0.05;

type Change = (params: Partial<PartOf<'supply'>['params']>) => Surroundings['circuit'];

/** A supply part-used, tired, turned round, dead, badly connected, or held in its current limit. */
export const supply: PartTraits<'supply'> = {
  kind: 'supply',
  letter: 'B',
  footprint: { form: 'leads' },
  room: NO_ROOM,
  height: 9,
  alike: [],
  polarity: () => ({ polarised: true, pins: { plus: 'red-wire', minus: 'black-wire' } }),
  stock: () => 'elsewhere',
  overload({ params }, { volts, amps }) {
    const down = Math.abs(volts) < SHORTED * Math.abs(params.volts) && Math.abs(amps) > SHORTED_AMPS;
    if (!down || params.limitAmps !== undefined) return undefined;
    return { how: 'shorted', figure: Math.abs(amps), limit: 0 };
  },
  mistakes(part, around) {
    const changed: Change = (params) =>
      withPart(around.circuit, part.id, () => ({ ...part, params: { ...part.params, ...params } }));
    const { ohms } = part.params;
    return [
      ...ageing(part, around, changed),
      ...reversed(part, around, changed),
      {
        code: 'supply-dead',
        data: at(part),
        prior: 0.6,
        circuit: changed({ volts: 0, ohms: Math.max(1, ohms) }),
      },
      { code: 'bad-contact', data: at(part), prior: 0.4, circuit: changed({ ohms: ohms + 100 }) },
      ...turnedCell(part, around, changed),
      ...leadsOff(part, around),
      ...(around.supply.kind === 'bench' ? limited(part, around, changed) : []),
    ];
  },
};

/** Of a board that is a supply with pins, the leads of ground and rail exchanged, where both are led out. */
function reversed(part: PartOf<'supply'>, { circuit }: Surroundings, changed: Change): Mistake[] {
  const { body } = part;
  if (!body) {
    const turned = changed({ volts: -part.params.volts });
    return [{ code: 'supply-reversed', data: at(part), prior: 0.7, circuit: turned }];
  }
  if (!('plus' in body.legs)) return [];
  const own = circuit.parts.filter((one) => one.body?.id === body.id);
  const ends: Readonly<Record<string, string>> = { plus: 'minus', minus: 'plus' };
  const swapped = (one: Part): Part => ({
    ...one,
    pins: Object.fromEntries(
      Object.entries(one.pins).map(([pin, net]) => {
        const other = ends[one.body!.legs[pin] ?? ''];
        return [pin, other === undefined ? net : part.pins[other]!];
      }),
    ),
  });
  const turned = own.reduce((built, one) => withPart(built, one.id, swapped), circuit);
  return [{ code: 'supply-reversed', data: at(part), prior: 0.7, circuit: turned }];
}

/** On the way from fresh to tired a pack is an ordinary one; tired, it is a fault. */
function ageing(part: PartOf<'supply'>, { supply: choice }: Surroundings, changed: Change): Mistake[] {
  const tired = supplyFigures(choice, 'tired');
  const { volts, ohms } = part.params;
  if (tired.volts >= volts * 0.99) return [];
  const step = (volts - tired.volts) / volts / (USED.length + 1);
  const used = USED.map((share): Mistake => {
    const now = volts + share * (tired.volts - volts);
    const circuit = changed({ volts: now, ohms: ohms + share * (tired.ohms - ohms), tolerance: step });
    return { code: 'supply-used', data: at(part, { volts: now }), prior: 0.8, circuit };
  });
  const circuit = changed({ volts: tired.volts, ohms: tired.ohms, tolerance: 0.06 });
  return [...used, { code: 'supply-tired', data: at(part), prior: 3, circuit }];
}

/** One of its leads in no row that leads anywhere: it gives its volts, and nothing flows. */
function leadsOff(part: PartOf<'supply'>, { circuit }: Surroundings): Mistake[] {
  if (part.body) return [];
  return (['plus', 'minus'] as const).map((pin): Mistake => ({
    code: 'lead-off',
    data: at(part, { pin }),
    prior: 0.2,
    circuit: withPart(circuit, part.id, () => ({
      ...part,
      pins: { ...part.pins, [pin]: `${part.id} ${pin} off` },
    })),
  }));
}

/** Of several cells in a holder one lies the wrong way round, and takes away what another gives. */
function turnedCell(part: PartOf<'supply'>, { supply: choice }: Surroundings, changed: Change): Mistake[] {
  const { kind, cells } = choice;
  if (cells < 2 || SUPPLIES[kind].cellsMost < 2) return [];
  const volts = (part.params.volts * (cells - 2)) / cells;
  return [{ code: 'cell-reversed', data: at(part, { volts }), prior: 0.3, circuit: changed({ volts }) }];
}

function limited(part: PartOf<'supply'>, { circuit }: Surroundings, changed: Change): Mistake[] {
  const seen = observe(circuit);
  const amps = seen.ok ? LEFT_AT * Math.abs(seen.value.parts[part.id]?.amps ?? 0) : 0;
  if (amps < 1e-4) return [];
  return [
    { code: 'supply-limited', data: at(part, { amps }), prior: 0.6, circuit: changed({ limitAmps: amps }) },
  ];
}
