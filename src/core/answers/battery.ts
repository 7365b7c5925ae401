import { spentAt, supplySpent } from '../catalogue/discharge';
import type { SupplyChoice, SupplyFigures } from '../catalogue/supplies';
import { isKind, partOf, withPart, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Amps, Hours, Ohms, Volts } from '../quantities/units';
import { lampsSeen } from '../observe/looks';
import { observe, reportOf } from '../observe/observe';

/** A lamp below this is dim: it is time for new cells. */
export const DIM_AMPS: Amps = 1e-3;

/** Points along the discharge at which the drain is solved. */
const POINTS = 25;

export interface BatteryLife {
  /** Until the lamp falls below the dim current; undefined when it never shone, Infinity when it still does at the end. */
  readonly toDim?: Hours | undefined;
  /** Until the battery stands at its empty volts; Infinity when next to nothing is drawn. */
  readonly toEmpty: Hours;
  readonly points: readonly {
    readonly spent: number;
    readonly volts: Volts;
    readonly drain: Amps;
    readonly lamp: Amps;
    readonly hours: Hours;
  }[];
}

export interface Draw {
  /** Mean current out of the battery. */
  readonly drain: Amps;
  /** Current of the lamp that is watched, when lit. */
  readonly lamp: Amps;
}

interface LifeOptions {
  readonly dimAmps?: Amps;
  readonly onProgress?: ((share: number) => void) | undefined;
}

/**
 * Hours along the discharge: the charge between two points over the drain there, which falls as the volts do.
 *
 * @param drawAt what is drawn from the battery in a state, or undefined where that cannot be solved
 * @returns undefined for a supply that does not run down
 */
export function batteryLife(
  choice: SupplyChoice,
  drawAt: (supply: SupplyFigures) => Draw | undefined,
  { dimAmps = DIM_AMPS, onProgress }: LifeOptions = {},
): BatteryLife | undefined {
  const points: BatteryLife['points'][number][] = [];
  let hours = 0;
  const { from, ohmsMore } = standing(choice);
  let toDim: number | undefined;
  for (let i = 0; i < POINTS; i++) {
    const spent = from + ((1 - from) * i) / (POINTS - 1);
    const supply = supplySpent(choice, spent);
    const draw = supply && drawAt({ ...supply, ohms: Math.max(0, supply.ohms + ohmsMore) });
    if (!draw) return undefined;
    const before = points[i - 1];
    if (before) hours += (supply.capacity! * (spent - before.spent)) / mean(before.drain, draw.drain);
    if (before && before.lamp >= dimAmps && draw.lamp < dimAmps) {
      const share = (before.lamp - dimAmps) / (before.lamp - draw.lamp);
      toDim ??= before.hours + share * (hours - before.hours);
    }
    onProgress?.((i + 1) / POINTS);
    points.push({ spent, volts: supply.volts, ...draw, hours });
  }
  const shone = points[0]!.lamp >= dimAmps;
  return { toDim: shone ? (toDim ?? Infinity) : undefined, toEmpty: hours, points };
}

/** Where a discharge begins, and the ohms beyond the table's: one that was measured goes on from where it stands. */
function standing(choice: SupplyChoice): { readonly from: number; readonly ohmsMore: Ohms } {
  const { measured } = choice;
  if (!measured) return { from: 0, ohmsMore: 0 };
  const from = spentAt(choice, measured.volts) ?? 0;
  return { from, ohmsMore: measured.ohms - (supplySpent(choice, from)?.ohms ?? measured.ohms) };
}

/** Logarithmic mean: drains fall nearly exponentially near the end. */
function mean(a: Amps, b: Amps): Amps {
  if (!(a > 1e-9) || !(b > 1e-9)) return Math.max((a + b) / 2, 1e-12);
  return Math.abs(a - b) < 1e-6 * a ? a : (a - b) / Math.log(a / b);
}

/**
 * How long a battery carries a circuit, steady or moving.
 *
 * @param supplyId the supply that stands for the battery
 * @param lampId the lamp that must not get dim
 */
export function batteryLifeOf(
  circuit: Circuit,
  supplyId: string,
  lampId: string,
  choice: SupplyChoice,
  dimAmps: Amps = DIM_AMPS,
  onProgress?: (share: number) => void,
): Outcome<BatteryLife> {
  const supply = partOf(circuit, supplyId);
  const lamp = partOf(circuit, lampId);
  if (!supply || !isKind(supply, 'supply'))
    return refused(finding('not-of-kind', { part: supplyId, kind: 'supply' }));
  if (!lamp || !isKind(lamp, 'led')) return refused(finding('not-of-kind', { part: lampId, kind: 'lamp' }));
  if (!supplySpent(choice, 0)) return refused(finding('no-battery', { part: choice.kind }));
  let refusal: Outcome<Draw> | undefined;
  const life = batteryLife(
    choice,
    ({ volts, ohms }) => {
      const params = { ...supply.params, volts, ohms };
      const draw = drawOf(
        withPart(circuit, supplyId, () => ({ ...supply, params })),
        supplyId,
        lampId,
      );
      if (!draw.ok) refusal = draw;
      return draw.ok ? draw.value : undefined;
    },
    { dimAmps, onProgress },
  );
  if (life) return accepted(life);
  return refused(...(refusal?.findings ?? []));
}

/** What is drawn from a battery, and what its lamp carries when lit: at rest, or on average and at its peak. */
function drawOf(circuit: Circuit, supplyId: string, lampId: string): Outcome<Draw> {
  const seen = observe(circuit);
  if (!seen.ok) return seen;
  const lamp = lampsSeen(seen.value).find(({ part }) => part === lampId);
  return accepted({ drain: -reportOf(seen.value, supplyId).amps, lamp: lamp?.peak ?? 0 });
}
