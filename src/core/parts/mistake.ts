import type { LampType } from '../catalogue/lamps';
import { withPart, type Circuit, type Part, type ThingKind } from '../circuit/circuit';

/** What may be wrong with a build, or with the way it is measured; and the ordinary states of a right one. */
export type FaultCode =
  | 'right'
  // states of a right build
  | 'knob-elsewhere'
  | 'button-open'
  | 'switch-off'
  | 'supply-used'
  // parts
  | 'lamp-reversed'
  | 'lamp-open'
  | 'lamp-shorted'
  | 'other-lamp'
  | 'other-common'
  | 'resistor-missing'
  | 'resistor-shorted'
  | 'wrong-resistor'
  | 'resistors-exchanged'
  | 'loose-joint'
  | 'zener-reversed'
  | 'zeners-exchanged'
  | 'part-missing'
  | 'part-shorted'
  | 'part-reversed'
  | 'wrong-capacitor'
  | 'pins-exchanged'
  | 'chip-turned'
  | 'chip-shifted'
  | 'arms-exchanged'
  | 'pin-lead-astray'
  | 'pin-leads-exchanged'
  | 'pin-leads-shifted'
  | 'pin-no-output'
  | 'program-other-pin'
  // supplies
  | 'supply-tired'
  | 'supply-reversed'
  | 'supply-dead'
  | 'cell-reversed'
  | 'lead-off'
  | 'supply-limited'
  | 'bad-contact'
  // between the parts
  | 'jumper-missing'
  | 'rail-gap'
  | 'leg-astray'
  | 'cut-missing'
  | 'bridge'
  | 'legs-touching'
  | 'tape-torn'
  // the meter
  | 'probes-swapped'
  | 'volts-through-current-jack'
  | 'fuse-blown'
  | 'meter-across-lamp'
  | 'something-else';

export interface FaultData {
  readonly part?: string;
  readonly kind?: ThingKind;
  /** The other of two parts, or of two holes. */
  readonly other?: string;
  readonly ohms?: number;
  readonly wantedOhms?: number;
  readonly farads?: number;
  readonly wantedFarads?: number;
  readonly volts?: number;
  readonly amps?: number;
  /** Where a knob stands, 0 to 1. */
  readonly position?: number;
  readonly lamp?: LampType;
  readonly pin?: string;
  readonly hole?: string;
  /** The only checkpoint at which the meter was misused; left out, all of them. */
  readonly point?: string;
  /** A turned lamp measured along its rows, not by its legs. */
  readonly byRows?: boolean;
}

/** One way in which a build may differ from the plan, as the circuit it then is. Priors are starting weights. */
export interface Mistake {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly prior: number;
  readonly circuit: Circuit;
  /** Other mistakes that make the same circuit; `prior` is that of all of them together. */
  readonly alike?: readonly Alike[];
}

/** A mistake by its name, and its own weight. */
export interface Alike {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly prior: number;
}

/** The data of a mistake that is made with one part. */
export function at({ id, kind }: Pick<Part, 'id' | 'kind'>, more: Omit<FaultData, 'part' | 'kind'> = {}) {
  return { part: id, kind, ...more };
}

/** Ohms of a break: no current that any meter shows, and every node stays defined. */
export const OPEN_OHMS = 1e12;

/** The circuit with a part that conducts no more between any of its pins: missing, or dead. */
export function opened(circuit: Circuit, part: Part): Circuit {
  return withPart(circuit, part.id, () => {
    const params = { ohms: OPEN_OHMS, tolerance: 0, watts: 1000 };
    return { id: part.id, kind: 'resistor', pins: endToEnd(part.pins), params };
  });
}

/**
 * The circuit with both ends of a part on one piece of metal. The part stays where it is, with nothing across it, so that
 * whoever probes its legs reads that.
 */
export function shorted(circuit: Circuit, part: Part): Circuit {
  const { a, b } = endToEnd(part.pins);
  const [gone, left] = b === circuit.ground ? [a!, b!] : [b!, a!];
  const joined = (net: string) => (net === gone ? left : net);
  return {
    ...circuit,
    parts: circuit.parts.map((one) => ({
      ...one,
      pins: Object.fromEntries(Object.entries(one.pins).map(([pin, net]) => [pin, joined(net)])),
    })),
    checks: circuit.checks.map((check) =>
      check.measure === 'amps' ? check : { ...check, from: joined(check.from), to: joined(check.to) },
    ),
  };
}

/** The circuit with two pins of a part exchanged. */
export function exchanged(circuit: Circuit, part: Part, one: string, other: string): Circuit {
  const pins = { ...part.pins, [one]: part.pins[other]!, [other]: part.pins[one]! };
  return withPart(circuit, part.id, (now) => ({ ...now, pins }));
}

/** The pins of a two-legged part under a resistor's names, in the same order. */
export function endToEnd(pins: Part['pins']): Part['pins'] {
  const ends = Object.values(pins);
  return { a: ends[0]!, b: ends[ends.length - 1]! };
}

/** Missing altogether, and with both ends in one row: what may happen to any part with two legs. */
export function missingOrShorted(circuit: Circuit, part: Part): Mistake[] {
  return [
    { code: 'part-missing', data: at(part), prior: 0.6, circuit: opened(circuit, part) },
    { code: 'part-shorted', data: at(part), prior: 0.5, circuit: shorted(circuit, part) },
  ];
}
