import { isKind, partOf, withPart, type Check, type Circuit } from '../circuit/circuit';
import { deviceOf } from '../circuit/deviceOf';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Ohms } from '../quantities/units';
import { seek } from './seek';

export interface TrimRange {
  /** The trim for the sensor as it is named, and for one at either end of its spread. */
  readonly typical: Ohms;
  readonly low: Ohms;
  readonly high: Ohms;
  /** Smallest stocked potentiometer that covers the range, and the turn it needs; none when all are too small. */
  readonly potentiometer?: { readonly ohms: Ohms; readonly from: number; readonly to: number };
}

const LOW_OHMS = 10;
const HIGH_OHMS = 1e7;

/**
 * The range a trim resistor needs so that a circuit switches at the same light with any sensor of the sort.
 *
 * @param sensorId a light-dependent resistor, in the light at which the circuit is to switch
 * @param trimId the resistor that is trimmed
 * @param check what is read, and `target` what it reads where the circuit switches
 * @param potentiometers stocked values to choose from
 */
export function trimRange(
  circuit: Circuit,
  sensorId: string,
  trimId: string,
  check: Check,
  target: number,
  potentiometers: readonly Ohms[],
): Outcome<TrimRange> {
  const sensor = partOf(circuit, sensorId);
  if (!sensor || !isKind(sensor, 'ldr'))
    return refused(finding('not-of-kind', { part: sensorId, kind: 'light sensor' }));
  const trim = partOf(circuit, trimId);
  if (!trim || !isKind(trim, 'resistor'))
    return refused(finding('not-of-kind', { part: trimId, kind: 'resistor' }));
  const { low, high } = deviceOf(sensor).spreads(sensor.params)[0]!;
  const found: number[] = [];
  for (const r10 of [sensor.params.r10, low, high]) {
    const fitted = withPart(circuit, sensorId, () => ({ ...sensor, params: { ...sensor.params, r10 } }));
    const wish = { part: trimId, field: 'ohms', from: HIGH_OHMS, to: LOW_OHMS, check: check.id, target };
    const ohms = seek({ ...fitted, checks: [check] }, wish);
    if (!ohms.ok) return ohms;
    found.push(ohms.value);
  }
  const [most, least] = [Math.max(...found), Math.min(...found)];
  const ohms = [...potentiometers].sort((a, b) => a - b).find((value) => value >= most);
  return accepted({
    typical: found[0]!,
    low: least,
    high: most,
    ...(ohms === undefined ? {} : { potentiometer: { ohms, from: least / ohms, to: most / ohms } }),
  });
}
