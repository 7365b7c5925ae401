import { burdenFor, type MeterFigures } from '../catalogue/meter';
import { isKind, partOf, withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { isGapped, isProbed, type Checkpoint, type Gapped, type PinRef } from './checkpoint';

/** How the meter was used, when that is what is wrong. */
export type MeterUse = 'right' | 'swapped' | 'current-jack' | 'fuse-blown' | 'across-lamp';

/** What a meter puts between its probes on its volts ranges. */
export const VOLTMETER_OHMS = 1e7;
/** What its current jack puts there instead: a fuse and a shunt. */
export const JACK_OHMS = 1;
/** A blown fuse. */
const BLOWN_OHMS = 1e12;

/** The meter's own name among the parts of a circuit that it is put into. */
export const METER = 'meter';

/** A build with the meter in it, and how its display is to be read. */
export interface Metered {
  readonly circuit: Circuit;
  readonly shows: 'volts' | 'amps' | 'nothing';
  readonly sign: 1 | -1;
}

/** A meter is a part like any other: it takes current, and it adds ohms. */
function meterPart(from: string, to: string, ohms: number): PartOf<'resistor'> {
  return {
    id: METER,
    kind: 'resistor',
    pins: { a: from, b: to },
    params: { ohms, tolerance: 0, watts: 1e3 },
  };
}

/** The node at a leg; undefined where the part is not on the board. What stands in for a part has ends of its own. */
export function nodeAt(circuit: Circuit, { part, pin }: PinRef): string | undefined {
  const found = partOf(circuit, part);
  if (!found) return undefined;
  const ends = Object.values(found.pins);
  return found.pins[pin] ?? (SECOND.has(pin) ? ends[ends.length - 1] : ends[0]);
}

const SECOND: ReadonlySet<string> = new Set(['cathode', 'b', 'minus', 'emitter', 'ground']);

/**
 * The build with a meter used at a checkpoint: 10 MΩ across what it measures, its burden in series with a current, and
 * what a slip makes of it.
 *
 * @param burden ohms of the meter in series, on the range that is used there
 * @returns undefined where a leg that it needs is not on the board, or where nothing is measured
 */
export function metered(
  circuit: Circuit,
  point: Checkpoint,
  use: MeterUse,
  burden: number,
): Metered | undefined {
  if (isProbed(point))
    return acrossVolts(circuit, nodeAt(circuit, point.from), nodeAt(circuit, point.to), use);
  if (!isGapped(point)) return undefined;
  if (use === 'across-lamp') return acrossLamp(circuit, point, burden);
  const opened = inGap(circuit, point, use === 'fuse-blown' ? BLOWN_OHMS : burden);
  return opened && { circuit: opened, shows: 'amps', sign: use === 'swapped' ? -1 : 1 };
}

function acrossVolts(
  circuit: Circuit,
  from: string | undefined,
  to: string | undefined,
  use: MeterUse,
): Metered | undefined {
  if (from === undefined || to === undefined) return undefined;
  const jack = use === 'current-jack';
  const meter = meterPart(from, to, jack ? JACK_OHMS : VOLTMETER_OHMS);
  return {
    circuit: { ...circuit, parts: [...circuit.parts, meter] },
    shows: jack ? 'nothing' : 'volts',
    sign: use === 'swapped' ? -1 : 1,
  };
}

/** The circuit with a leg lifted and ohms between it and its hole. */
function inGap(circuit: Circuit, { gap }: Gapped, ohms: number): Circuit | undefined {
  const part = partOf(circuit, gap.part);
  const node = nodeAt(circuit, gap);
  if (!part || node === undefined) return undefined;
  const pin = part.pins[gap.pin] === undefined ? Object.keys(part.pins)[0]! : gap.pin;
  const lifted = `${gap.part} lifted`;
  const open = withPart(circuit, part.id, (p) => ({ ...p, pins: { ...p.pins, [pin]: lifted } }));
  return { ...open, parts: [...open.parts, meterPart(lifted, node, ohms)] };
}

/** Set for a current and put across a lamp, it takes the lamp's current. */
function acrossLamp(circuit: Circuit, point: Gapped, burden: number): Metered | undefined {
  const lamp = circuit.parts.find((part) => isKind(part, 'led')) ?? partOf(circuit, point.part);
  if (!lamp) return undefined;
  const ends = Object.values(lamp.pins);
  const meter = meterPart(ends[0]!, ends[ends.length - 1]!, burden);
  return { circuit: { ...circuit, parts: [...circuit.parts, meter] }, shows: 'amps', sign: 1 };
}

/** Ohms of the meter in series on the range that a current wants. */
export function burdenAt(meter: MeterFigures, amps: number): number {
  return burdenFor(meter, Math.abs(amps));
}
