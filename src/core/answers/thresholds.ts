import { isKind, partOf, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../findings/finding';
import type { Amps, Volts } from '../quantities/units';
import { seek } from './seek';

/** The supply at which a lamp reaches a current; undefined when it does not within the range. */
export interface Threshold {
  readonly lamp: string;
  readonly volts?: Volts;
}

/**
 * The supply volts at which each lamp of a gauge reaches a current.
 *
 * @param low where the supply is looked at from
 * @param high and to
 */
export function thresholds(
  circuit: Circuit,
  supplyId: string,
  amps: Amps,
  low: Volts,
  high: Volts,
): Outcome<Threshold[]> {
  const supply = partOf(circuit, supplyId);
  if (!supply || !isKind(supply, 'supply'))
    return refused(finding('not-of-kind', { part: supplyId, kind: 'supply' }));
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  const stops: Finding[] = [];
  const found = lamps.map(({ id }): Threshold => {
    const checks = [{ id, measure: 'amps', part: id }] as const;
    const wish = { part: supplyId, field: 'volts', from: low, to: high, check: id, target: amps };
    const volts = seek({ ...circuit, checks }, wish);
    if (volts.ok) return { lamp: id, volts: volts.value };
    stops.push(...volts.findings.filter(({ code }) => code !== 'out-of-reach'));
    return { lamp: id };
  });
  return stops.length > 0 ? refused(stops[0]!) : accepted(found);
}
