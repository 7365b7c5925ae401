import { shifted } from '../board/edits';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import { takenHoles, type Plan } from '../board/plan';
import { readBack } from '../board/readBack';
import { nets } from '../board/sameCircuit';
import { LAMP_TYPES, type LampFigures, type LampType } from '../catalogue/lamps';
import { supplyFigures, type SupplyChoice } from '../catalogue/supplies';
import { isKind, partOf, withPart, type Circuit, type Part, type PartOf } from '../circuit/circuit';

export type FaultCode =
  | 'right'
  | 'lamp-reversed'
  | 'lamp-open'
  | 'lamp-shorted'
  | 'resistor-shorted'
  | 'wrong-resistor'
  | 'other-lamp'
  | 'supply-tired'
  | 'supply-reversed'
  | 'supply-dead'
  | 'bad-contact'
  | 'leg-astray'
  | 'probes-swapped'
  | 'volts-through-current-jack'
  | 'fuse-blown'
  | 'meter-across-lamp'
  | 'something-else';

/** How the meter was used, when that is what is wrong. */
export type MeterUse = 'right' | 'swapped' | 'current-jack' | 'fuse-blown' | 'across-lamp';

export interface FaultData {
  readonly part?: string;
  readonly ohms?: number;
  readonly wantedOhms?: number;
  readonly lamp?: LampType;
  readonly pin?: string;
  readonly hole?: string;
  /** The only checkpoint at which the meter was misused; left out, all of them. */
  readonly point?: string;
}

/** One way in which a build may differ from the plan, as the circuit it then is. Priors are starting weights. */
export interface Candidate {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly prior: number;
  readonly circuit: Circuit;
  readonly use: MeterUse;
}

export interface FaultContext {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly supply: SupplyChoice;
  readonly drawer: readonly number[];
  /** The sort of each LED. */
  readonly sorts: Readonly<Record<string, LampType>>;
  /** Ids of the checkpoints, for slips that touch one reading only. */
  readonly points: readonly string[];
  readonly lamps: Readonly<Record<LampType, LampFigures>>;
}

/** Every fault that applies to a circuit of supply, resistors and lamps, each computed on the circuit itself. */
export function faultsOf(context: FaultContext): Candidate[] {
  const { circuit } = context;
  const found: Candidate[] = [candidate('right', {}, 8, circuit)];
  for (const part of looked(context)) {
    if (isKind(part, 'led')) found.push(...lampFaults(context, part));
    if (isKind(part, 'resistor')) found.push(...resistorFaults(context, part));
    if (isKind(part, 'supply')) found.push(...supplyFaults(context, part));
  }
  return [...found, ...strayLegs(context), ...meterFaults(circuit, context.points)];
}

/** Above this many parts, only those whose readings are taken are looked at one by one, and the supply. */
const LOOKED_MOST = 16;

function looked({ circuit, points }: FaultContext): readonly Part[] {
  if (circuit.parts.length <= LOOKED_MOST) return circuit.parts;
  const near = new Set(
    circuit.parts.flatMap((part) => (points.includes(part.id) ? Object.values(part.pins) : [])),
  );
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  for (const net of Object.values(supply?.pins ?? {})) near.delete(net);
  return circuit.parts.filter(
    (part) => part === supply || Object.values(part.pins).some((net) => near.has(net)),
  );
}

function candidate(
  code: FaultCode,
  data: FaultData,
  prior: number,
  circuit: Circuit,
  use: MeterUse = 'right',
): Candidate {
  return { code, data, prior, circuit, use };
}

/** Ohms of a break: no current worth showing, and every node stays defined. */
const OPEN_OHMS = 1e11;
/** Ohms of a short inside a part or through a strip. */
const SHORT_OHMS = 0.01;

function inPlaceOf(circuit: Circuit, part: Part, ohms: number): Circuit {
  return withPart(circuit, part.id, () => {
    const params = { ohms, tolerance: 0, watts: 1000 };
    return { id: part.id, kind: 'resistor', pins: endToEnd(part.pins), params };
  });
}

/** The pins of a two-legged part under a resistor's names, in the same order. */
function endToEnd(pins: Part['pins']): Part['pins'] {
  const [a, b] = Object.values(pins) as [string, string];
  return { a, b };
}

function lampFaults(context: FaultContext, part: PartOf<'led'>): Candidate[] {
  const { circuit, lamps } = context;
  const lampType = context.sorts[part.id] ?? 'red';
  const here = { part: part.id };
  const turned = withPart(circuit, part.id, (p) => ({
    ...p,
    pins: { anode: part.pins['cathode']!, cathode: part.pins['anode']! },
  }));
  // Probes stay on the same legs: the long leg is still called the anode.
  const others = LAMP_TYPES.filter((type) => lamps[type].vf !== lamps[lampType].vf).map((type) => {
    const { vf, at, n, rs, vfLow, vfHigh } = lamps[type];
    const params = { ...part.params, vf, at, n, rs, vfLow, vfHigh };
    const fitted = withPart(circuit, part.id, () => ({ ...part, params }));
    return candidate('other-lamp', { ...here, lamp: type }, 0.04, fitted);
  });
  return [
    candidate('lamp-reversed', here, 3, probesStay(turned, part)),
    candidate('lamp-open', here, 0.6, inPlaceOf(circuit, part, OPEN_OHMS)),
    candidate('lamp-shorted', here, 1, inPlaceOf(circuit, part, SHORT_OHMS)),
    ...others,
  ];
}

/** A turned lamp is measured where it was meant to be: plus probe on the row of the wanted anode. */
function probesStay(turned: Circuit, part: PartOf<'led'>): Circuit {
  return {
    ...turned,
    parts: [
      ...turned.parts.map((p) => (p.id === part.id ? { ...p, id: `${part.id} turned` } : p)),
      {
        id: part.id,
        kind: 'resistor',
        pins: endToEnd(part.pins),
        params: { ohms: OPEN_OHMS, tolerance: 0, watts: 1000 },
      },
    ],
  };
}

function resistorFaults({ circuit, drawer }: FaultContext, part: PartOf<'resistor'>): Candidate[] {
  const { ohms } = part.params;
  const wrong = (value: number, prior: number) =>
    candidate(
      'wrong-resistor',
      { part: part.id, ohms: value, wantedOhms: ohms },
      prior,
      withPart(circuit, part.id, () => ({ ...part, params: { ...part.params, ohms: value } })),
    );
  const below = drawer.filter((value) => value < ohms * 0.99).slice(-2);
  const above = drawer.filter((value) => value > ohms * 1.01).slice(0, 2);
  return [
    candidate('resistor-shorted', { part: part.id }, 1, inPlaceOf(circuit, part, SHORT_OHMS)),
    wrong(ohms * 10, 0.8),
    wrong(ohms / 10, 0.8),
    wrong(ohms * 1000, 0.2),
    ...[...below, ...above].map((value) => wrong(value, 0.4)),
  ];
}

function supplyFaults(context: FaultContext, part: PartOf<'supply'>): Candidate[] {
  const { circuit, supply } = context;
  const here = { part: part.id };
  const changed = (params: Partial<PartOf<'supply'>['params']>) =>
    withPart(circuit, part.id, () => ({ ...part, params: { ...part.params, ...params } }));
  const tired = supplyFigures(supply, 'tired');
  const weaker = tired.volts < part.params.volts * 0.99;
  return [
    ...(weaker
      ? [
          candidate(
            'supply-tired',
            here,
            1.5,
            changed({ volts: tired.volts, ohms: tired.ohms, tolerance: 0.06 }),
          ),
        ]
      : []),
    candidate('supply-reversed', here, 0.7, changed({ volts: -part.params.volts })),
    candidate('supply-dead', here, 0.6, changed({ volts: 0, ohms: Math.max(1, part.params.ohms) })),
    candidate('bad-contact', here, 0.4, changed({ ohms: part.params.ohms + 100 })),
  ];
}

/** Each leg one row up or down, read back off the board; only those that make another circuit count. */
function strayLegs({ plan, circuit, points, ...rest }: FaultContext): Candidate[] {
  const board = boardOf(plan);
  const taken = takenHoles(plan);
  const wanted = JSON.stringify(nets(circuit));
  const seen = new Set<string>();
  const watched = new Set(looked({ plan, circuit, points, ...rest }).map(({ id }) => id));
  const many = circuit.parts.length > LOOKED_MOST;
  return plan.placements.flatMap((placement) =>
    (many && !watched.has(placement.part)) || partOf(circuit, placement.part)?.kind === 'supply'
      ? []
      : Object.entries(placement.legs).flatMap(([pin, hole]) =>
          [-1, 1].flatMap((rows): Candidate[] => {
            const to = shifted(plan, hole, rows, 0);
            if (!holeOf(board, to) || taken.has(to) || holeOf(board, to)?.rail) return [];
            const astray = {
              ...plan,
              placements: plan.placements.map((p) =>
                p === placement ? { ...p, legs: { ...p.legs, [pin]: to } } : p,
              ),
            };
            const built = closedUp(readBack(astray, circuit));
            const key = JSON.stringify(nets(built));
            if (key === wanted || seen.has(key)) return [];
            seen.add(key);
            return [candidate('leg-astray', { part: placement.part, pin, hole: to }, 0.4, built)];
          }),
        ),
  );
}

/** The circuit with a very large resistor from every node to ground, so that a leg in an empty row is defined. */
function closedUp(circuit: Circuit): Circuit {
  const nodes = new Set(circuit.parts.flatMap((part) => Object.values(part.pins)));
  nodes.delete(circuit.ground);
  const leaks = [...nodes].map((node): Part => ({
    id: `leak ${node}`,
    kind: 'resistor',
    pins: { a: node, b: circuit.ground },
    params: { ohms: OPEN_OHMS, tolerance: 0, watts: 1 },
  }));
  return { ...circuit, parts: [...circuit.parts, ...leaks] };
}

function meterFaults(circuit: Circuit, points: readonly string[]): Candidate[] {
  return [
    ...points.map((point) => candidate('probes-swapped', { point }, 0.2, circuit, 'swapped')),
    candidate('probes-swapped', {}, 0.5, circuit, 'swapped'),
    candidate('volts-through-current-jack', {}, 0.3, circuit, 'current-jack'),
    candidate('fuse-blown', {}, 0.4, circuit, 'fuse-blown'),
    candidate('meter-across-lamp', {}, 0.5, circuit, 'across-lamp'),
  ];
}
