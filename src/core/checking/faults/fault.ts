import type { Plan } from '../../board/plan';
import type { LampFigures, LampType } from '../../catalogue/lamps';
import type { SupplyChoice } from '../../catalogue/supplies';
import { withPart, type Circuit, type Part } from '../../circuit/circuit';

export type FaultCode =
  | 'right'
  | 'lamp-reversed'
  | 'lamp-open'
  | 'lamp-shorted'
  | 'other-lamp'
  | 'other-common'
  | 'resistor-shorted'
  | 'wrong-resistor'
  | 'resistors-exchanged'
  | 'loose-joint'
  | 'zener-reversed'
  | 'zeners-exchanged'
  | 'supply-tired'
  | 'supply-reversed'
  | 'supply-dead'
  | 'supply-limited'
  | 'bad-contact'
  | 'jumper-missing'
  | 'rail-gap'
  | 'leg-astray'
  | 'cut-missing'
  | 'bridge'
  | 'tape-torn'
  | 'probes-swapped'
  | 'volts-through-current-jack'
  | 'fuse-blown'
  | 'meter-across-lamp'
  | 'something-else';

/** How the meter was used, when that is what is wrong. */
export type MeterUse = 'right' | 'swapped' | 'current-jack' | 'fuse-blown' | 'across-lamp';

export interface FaultData {
  readonly part?: string;
  /** The other of two parts, or of two holes. */
  readonly other?: string;
  readonly ohms?: number;
  readonly wantedOhms?: number;
  readonly amps?: number;
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

export function candidate(
  code: FaultCode,
  data: FaultData,
  prior: number,
  circuit: Circuit,
  use: MeterUse = 'right',
): Candidate {
  return { code, data, prior, circuit, use };
}

/** Ohms of a break: no current worth showing, and every node stays defined. */
export const OPEN_OHMS = 1e11;
/** The circuit with a part that conducts no more. */
export function opened(circuit: Circuit, part: Part): Circuit {
  return withPart(circuit, part.id, () => {
    const params = { ohms: OPEN_OHMS, tolerance: 0, watts: 1000 };
    return { id: part.id, kind: 'resistor', pins: endToEnd(part.pins), params };
  });
}

/** The circuit with a wire in a part's place: both its legs on one piece of metal. */
export function shorted(circuit: Circuit, part: Part): Circuit {
  return withPart(circuit, part.id, () => ({
    id: part.id,
    kind: 'wire',
    pins: endToEnd(part.pins),
    params: {},
  }));
}

/** The pins of a two-legged part under a resistor's names, in the same order. */
export function endToEnd(pins: Part['pins']): Part['pins'] {
  const [a, b] = Object.values(pins) as [string, string];
  return { a, b };
}
