import type { MeterFigures } from '../catalogue/meter';
import { isKind, type Circuit } from '../circuit/circuit';
import type { Checkpoint } from '../patterns/pattern';
import { solve } from '../solver/solve';
import { drawSlice } from '../tolerance/bands';
import type { Candidate, FaultContext, FaultCode, FaultData } from './faults/fault';
import { faultsOf } from './faults/index';
import { meterOhms, withMeter, withMeterAt, withVoltChecks } from './probes';

/** What each checkpoint reads under one candidate: mean and covariance over the spread of its parts. */
export interface Signature {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly prior: number;
  readonly means: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

/** All candidates of a lesson, computed once and kept with the session. */
export interface FaultDictionary {
  readonly points: readonly {
    readonly id: string;
    readonly measure: 'volts' | 'amps';
    /** The largest figure a right build shows there: it decides the meter's usual range. */
    readonly usual: number;
  }[];
  readonly signatures: readonly Signature[];
  /** Candidates whose circuits did not settle, and are not weighed. */
  readonly unsettled: number;
}

/**
 * Computes every fault of a circuit: the readings its checkpoints would give, drawn over the parts' spreads.
 * Source of the approach: Hochwald & Bastian, IEEE Trans. CAS 26(7), 1979 (fault dictionaries).
 *
 * @param expected the largest right figure at each checkpoint, in their order
 * @param samples draws for each candidate; a few hundred are enough for mean and covariance
 */
export function faultDictionary(
  context: FaultContext,
  checkpoints: readonly Checkpoint[],
  expected: readonly { readonly worstHigh: number }[],
  meter: MeterFigures,
  { samples, seed }: { samples: number; seed: number },
): FaultDictionary {
  const typicalAmps = currentOf(context.circuit);
  const signatures: Signature[] = [];
  let unsettled = 0;
  for (const candidate of faultsOf(context)) {
    const burden = meterOhms(meter, typicalAmps);
    const figures = drawReadings(candidate, checkpoints, burden, samples, seed);
    if (!figures) unsettled++;
    else signatures.push(signature(candidate, figures));
  }
  const points = checkpoints.map(({ id, measure }, i) => ({ id, measure, usual: expected[i]!.worstHigh }));
  return { points, signatures, unsettled };
}

function currentOf(circuit: Circuit): number {
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  const solved = solve(circuit);
  return supply && solved.ok ? Math.abs(solved.value.parts[supply.id]!.amps) : 0;
}

/**
 * What the checkpoints of a candidate would show, drawn over the spread of its parts.
 *
 * @param burden ohms of the meter in series
 * @returns one list of draws for each checkpoint, in their order; undefined when the circuit does not settle
 */
export function drawReadings(
  candidate: Candidate,
  checkpoints: readonly Checkpoint[],
  burden: number,
  samples: number,
  seed: number,
): Float64Array[] | undefined {
  const volts = draws(withVoltChecks(candidate.circuit, checkpoints), samples, seed);
  if (!volts) return undefined;
  let next = 0;
  const figures = checkpoints.map((point) => {
    const only = candidate.data.point;
    const use = only === undefined || only === point.id ? candidate.use : 'right';
    if (point.measure === 'volts') return asShown(volts[next++]!, use);
    if (use === 'fuse-blown') return new Float64Array(samples);
    const circuit =
      use === 'across-lamp'
        ? acrossLamp(candidate.circuit, point, burden)
        : withMeterAt(candidate.circuit, point, burden);
    const amps = draws(circuit, samples, seed)?.[0];
    return amps && use === 'swapped' ? amps.map((a) => -a) : amps;
  });
  return figures.every((f): f is Float64Array => f !== undefined) ? figures : undefined;
}

function asShown(volts: Float64Array, use: Candidate['use']): Float64Array {
  if (use === 'swapped') return volts.map((v) => -v);
  return use === 'current-jack' ? volts.map(() => 0) : volts;
}

function acrossLamp(
  circuit: Circuit,
  point: Extract<Checkpoint, { measure: 'amps' }>,
  burden: number,
): Circuit {
  const lamp =
    circuit.parts.find((part) => isKind(part, 'led')) ??
    circuit.parts.find((part) => part.id === point.part)!;
  return withMeter(circuit, Object.values(lamp.pins)[0]!, Object.values(lamp.pins)[1]!, point.id, burden);
}

function draws(circuit: Circuit, samples: number, seed: number): readonly Float64Array[] | undefined {
  const slice = drawSlice(circuit, seed, 0, samples);
  return slice.ok && slice.value.unsettled === 0 ? slice.value.values : undefined;
}

function signature(candidate: Candidate, figures: readonly Float64Array[]): Signature {
  const means = figures.map((values) => values.reduce((sum, v) => sum + v, 0) / values.length);
  const covariance = figures.map((a, i) =>
    figures.map((b, j) => {
      let sum = 0;
      for (let k = 0; k < a.length; k++) sum += (a[k]! - means[i]!) * (b[k]! - means[j]!);
      return sum / Math.max(1, a.length - 1);
    }),
  );
  const { code, data, prior } = candidate;
  return { code, data, prior, means, covariance };
}
