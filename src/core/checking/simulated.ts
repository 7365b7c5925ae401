import {
  ampRangesFor,
  isWatched,
  lastDigitOf,
  meterHalfWidth,
  rangeFor,
  type MeterFigures,
} from '../catalogue/meter';
import type { Circuit, Part } from '../circuit/circuit';
import { deviceOf } from '../circuit/deviceOf';
import { withoutWires } from '../circuit/wires';
import type { Spread } from '../devices/device';
import { keyOf, uniform } from '../numerics/random';
import { isGapped, type Gapped } from '../observe/checkpoint';
import { currentsAlone, typicalReadings } from '../observe/draws';
import { burdenAt, type MeterUse } from '../observe/meter';
import { observe } from '../observe/observe';
import { rangeShares } from '../observe/ranges';
import { drawn } from '../tolerance/draw';
import { freed, measuredAt, type JudgedPoint } from './dictionary';
import { meterUseAt, type Candidate, type FaultContext } from './faults/fault';
import type { Sight } from './seen';
import { sightOf } from './sight';

/** How one bench's parts and meter happen to be. */
export interface Chance {
  /** One for each bench. */
  readonly seed: number;
  /** Times by which the parts spread wider than is assumed of them. */
  readonly wider?: number;
  /** How far off the meter's reading is, in shares of its limit: −1 to 1. */
  readonly gain?: number;
  /** Currents are read on the range beside the usual one, where that is an ordinary choice. */
  readonly beside?: boolean;
}

/** A reading as somebody notes it: every digit that the meter shows. */
export interface Shown {
  readonly point: string;
  readonly value: number;
  /** The last digit shown, in SI; 0 for what was counted. */
  readonly step: number;
}

/** What one may measure and see of a build that stands on a bench, or is simulated to. */
export interface SimulatedBench {
  /** By the order of the checkpoints; undefined where the build cannot be read there. */
  readonly shown: readonly (Shown | undefined)[];
  readonly sight: Sight;
}

/** The circuit with every part at one drawn value. */
export function drawnCircuit(circuit: Circuit, { seed, wider = 1 }: Chance): Circuit {
  return { ...circuit, parts: circuit.parts.map((part) => drawnPart(part, seed, wider)) };
}

function drawnPart(part: Part, seed: number, wider: number): Part {
  const figures = deviceOf(part)
    .spreads(part.params)
    .map((spread) => [
      spread.field,
      drawn(widened(spread, wider), uniform(seed, 0, keyOf(`${part.id}.${spread.field}`))),
    ]);
  return { ...part, params: { ...part.params, ...Object.fromEntries(figures) } } as Part;
}

function widened(spread: Spread, wider: number): Spread {
  if (wider === 1) return spread;
  const { low, mode, high, shape } = spread;
  if (shape === 'log-uniform')
    return { ...spread, low: mode * (low / mode) ** wider, high: mode * (high / mode) ** wider };
  return { ...spread, low: mode - (mode - low) * wider, high: mode + (high - mode) * wider };
}

/**
 * One build as it would be met at a bench: its parts drawn, its readings as the meter shows them, its lamps as they look.
 *
 * @param candidate the right build or a wrong one, and how the meter is used on it
 */
export function simulatedBench(
  candidate: Candidate,
  points: readonly JudgedPoint[],
  meter: MeterFigures,
  around: Pick<FaultContext, 'shows' | 'sorts'>,
  chance: Chance,
): SimulatedBench {
  const circuit = drawnCircuit(candidate.circuit, chance);
  const asHeld = freed(points, candidate);
  const useAt = meterUseAt(candidate);
  const truths = typicalReadings(circuit, asHeld, useAt, meter);
  const currents = currentsAlone(circuit, asHeld);
  return {
    shown: points.map((point, i) => {
      const truth = truths[i];
      if (truth === undefined) return undefined;
      const [held, alone] = [asHeld[i]!, currents[i]];
      const ranged =
        isGapped(held) && alone !== undefined
          ? onRange(circuit, held, useAt(held), { alone, truth, meter, beside: chance.beside })
          : { value: truth };
      return { point: point.id, ...shownAt(point, ranged, meter, chance, i) };
    }),
    sight: sightOf(candidate, withoutWires(circuit), around, observe(withoutWires(circuit))),
  };
}

/** A true figure, of a current on the range that was taken. */
interface OnRange {
  readonly value: number;
  readonly range?: number;
}

interface Current {
  readonly alone: number;
  readonly truth: number;
  readonly meter: MeterFigures;
  readonly beside: boolean | undefined;
}

/** A current as it flows through the range that is taken: the usual one where the other is not wished, or overflows. */
function onRange(
  circuit: Circuit,
  point: Gapped,
  use: MeterUse,
  { alone, truth, meter, beside }: Current,
): OnRange {
  const [usual, other] = ampRangesFor(meter, Math.max(Math.abs(alone), Math.abs(truth)));
  if (beside && other !== undefined) {
    const way = { ranges: [other], alone: truth, own: burdenAt(meter, alone) };
    const value = truth * rangeShares(circuit, point, use, way)[0]!;
    if (Math.abs(value) < other) return { value, range: other };
  }
  return { value: truth, range: usual! };
}

/** What the meter, the watch or the ear makes of a true figure. */
function shownAt(
  point: JudgedPoint,
  { value: truth, range: taken }: OnRange,
  meter: MeterFigures,
  { seed, gain = 0 }: Chance,
  i: number,
): { readonly value: number; readonly step: number } {
  const measured = measuredAt(point);
  const noise = 2 * uniform(seed, i, keyOf('shown')) - 1;
  if (isWatched(measured)) {
    const half = meterHalfWidth(meter, measured, { value: truth, range: 0, step: 0 });
    return { value: truth === 0 ? 0 : Math.max(0, truth + noise * half), step: 0 };
  }
  const range = taken ?? rangeFor(meter, measured, Math.max(Math.abs(truth), Math.abs(point.usual)));
  const step = lastDigitOf(meter, range);
  const { share, counts } = meter[measured];
  const off = truth * (1 + gain * share) + noise * counts * step;
  return { value: Math.round(off / step) * step, step };
}
