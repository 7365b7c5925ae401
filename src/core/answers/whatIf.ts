import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { isKind, partOf, withPart, type Circuit, type Part } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Amps, Ohms } from '../quantities/units';
import { lampsSeen } from '../observe/looks';
import type { Observation } from '../observe/observation';
import { mayMove, observe, reportOf } from '../observe/observe';
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
  const overdriven = (ohms * Math.max(glowOf(now.value, lamp), 1e-6)) / (2 * maxAmps);
  const from = Math.max(1, Math.min(ohms / REACH, overdriven));
  const curve = curveOf(circuit, { resistor, lamp, from, to: ohms * REACH });
  if (!curve.ok) return curve;
  const { amps } = curve.value;
  const inRange = values.filter((value) => value >= from && value <= ohms * REACH);
  const stocked = inRange.map((value) => {
    const at = ampsAt(curve.value.ohms, amps, value);
    return {
      ohms: value,
      amps: at,
      brightness: brightnessAt(Math.max(0, at), maxAmps),
      zone: zoneOf(at, maxAmps),
    };
  });
  return accepted({ resistor, lamp, ohms: curve.value.ohms, amps, maxAmps, stocked });
}

interface Curve {
  readonly ohms: readonly Ohms[];
  readonly amps: readonly Amps[];
}

/** Runs along the curve of a build that moves, each followed by itself. */
const RUNS = 25;

/** What the lamp carries at every value: in a sweep at rest, or of a build that moves while the lamp is lit. */
function curveOf(
  circuit: Circuit,
  { resistor, lamp, from, to }: { resistor: string; lamp: string; from: Ohms; to: Ohms },
): Outcome<Curve> {
  if (!mayMove(circuit)) {
    const plan = { part: resistor, field: 'ohms', from, to, steps: STEPS, log: true };
    const swept = sweep(circuit, plan);
    return swept.ok ? accepted({ ohms: swept.value.values, amps: swept.value.parts[lamp]!.amps }) : swept;
  }
  const ohms = Array.from({ length: RUNS }, (_, i) => from * (to / from) ** (i / (RUNS - 1)));
  const amps: number[] = [];
  for (const value of ohms) {
    const seen = observe(withPart(circuit, resistor, (part) => withOhms(part, value)));
    if (!seen.ok) return seen;
    amps.push(glowOf(seen.value, lamp));
  }
  return accepted({ ohms, amps });
}

function withOhms(part: Part, ohms: Ohms): Part {
  return isKind(part, 'resistor') ? { ...part, params: { ...part.params, ohms } } : part;
}

/** What the brightness of a lamp goes by. */
function glowOf(seen: Observation, lamp: string): Amps {
  if (seen.kind === 'still') return reportOf(seen, lamp).amps;
  return lampsSeen(seen).find(({ part }) => part === lamp)?.glow ?? 0;
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
