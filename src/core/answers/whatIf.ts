import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { isKind, partOf, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Amps, Ohms } from '../quantities/units';
import { observe, reportOf } from '../observe/observe';
import { sweep } from '../solver/sweep';

/** Comfortable to 80 % of the continuous maximum, at the limit to 100 %, ruin above. */
export type Zone = 'comfortable' | 'limit' | 'ruin';

export interface WhatIf {
  readonly resistor: string;
  readonly lamp: string;
  readonly ohms: readonly Ohms[];
  readonly amps: readonly Amps[];
  readonly maxAmps: Amps;
  /** The stocked values in the range, with what each would do. */
  readonly stocked: readonly {
    readonly ohms: Ohms;
    readonly amps: Amps;
    readonly brightness: Brightness;
    readonly zone: Zone;
  }[];
}

/** From a tenth of the resistor, or from where the lamp is plainly overdriven, to ten times of it. */
const REACH = 10;
const STEPS = 81;

/**
 * What the lamp behind a resistor would carry if the resistor were another.
 *
 * @param values stocked ohms, to be marked along the curve
 */
export function whatIf(
  circuit: Circuit,
  resistor: string,
  lamp: string,
  values: readonly Ohms[],
): Outcome<WhatIf> {
  const [own, led] = [partOf(circuit, resistor), partOf(circuit, lamp)];
  if (!own || !isKind(own, 'resistor')) {
    return refused(finding('not-of-kind', { part: resistor, kind: 'resistor' }));
  }
  if (!led || !isKind(led, 'led')) return refused(finding('not-of-kind', { part: lamp, kind: 'lamp' }));
  const { ohms } = own.params;
  const { maxAmps } = led.params;
  const now = observe(circuit);
  if (!now.ok) return now;
  // Ohms and amps go nearly inversely: here the lamp carries about twice its maximum.
  const overdriven = (ohms * Math.max(reportOf(now.value, lamp).amps, 1e-6)) / (2 * maxAmps);
  const from = Math.max(1, Math.min(ohms / REACH, overdriven));
  const plan = { part: resistor, field: 'ohms', from, to: ohms * REACH, steps: STEPS, log: true };
  const curve = sweep(circuit, plan);
  if (!curve.ok) return curve;
  const amps = curve.value.parts[lamp]!.amps;
  const inRange = values.filter((value) => value >= from && value <= ohms * REACH);
  const stocked = inRange.map((value) => {
    const at = ampsAt(curve.value.values, amps, value);
    return {
      ohms: value,
      amps: at,
      brightness: brightnessAt(Math.max(0, at), maxAmps),
      zone: zoneOf(at, maxAmps),
    };
  });
  return accepted({ resistor, lamp, ohms: curve.value.values, amps, maxAmps, stocked });
}

export function zoneOf(amps: Amps, maxAmps: Amps): Zone {
  const share = amps / maxAmps;
  return share > 1 ? 'ruin' : share >= 0.8 ? 'limit' : 'comfortable';
}

/** On the curve between two solved points, both axes by ratio: there it is nearly straight. */
function ampsAt(ohms: readonly number[], amps: readonly number[], wanted: number): number {
  const i = Math.max(
    1,
    ohms.findIndex((value) => value >= wanted * (1 - 1e-12)),
  );
  const share = Math.log(wanted / ohms[i - 1]!) / Math.log(ohms[i]! / ohms[i - 1]!);
  const [a, b] = [Math.max(amps[i - 1]!, 1e-12), Math.max(amps[i]!, 1e-12)];
  return a * (b / a) ** share;
}
