import type { LampFigures, LampType } from '../catalogue/lamps';
import { isKind, withPart, type Circuit } from '../circuit/circuit';
import type { Amps } from '../quantities/units';
import { observe, reportOf } from '../observe/observe';
import type { Kit, KitLine } from './kit';
import type { StockItem, StockSpec } from './stock';

/** What the store has enough of, in the place of a part that it is short of. */
export interface Substitute {
  readonly key: string;
  readonly instead: StockSpec;
  readonly have: number;
  /** The lamp whose current changes most, and by how much. */
  readonly lamp: string;
  readonly before: Amps;
  readonly after: Amps;
}

/** A lamp that was lit may lose so much of its current. */
const LEAST_SHARE = 0.5;
/** Values looked at on each side of a resistor. */
const NEIGHBOURS = 2;

/**
 * For every resistor and lamp that a kit is short of, the part in store that changes the lamps least, with the whole
 * circuit solved anew: no lamp above its maximum, none below half of its current.
 *
 * @param circuit as it is wanted
 * @param lamps figures of every sort
 * @param serves whether a circuit with those sorts of lamps still does what the lesson is for
 */
export function substitutesFor(
  kit: Kit,
  circuit: Circuit,
  stock: readonly StockItem[],
  lamps: Readonly<Record<LampType, LampFigures>>,
  serves: (fitted: Circuit, sorts: Readonly<Record<string, LampType>>) => boolean,
): Substitute[] {
  const short = kit.lines.filter((line) => line.short > 0);
  if (short.length === 0) return [];
  const before = lampAmps(circuit);
  return short.flatMap((line) => {
    const found = candidates(line, stock).flatMap((item) => {
      const now = fitted(circuit, line.parts, item.spec, lamps);
      if (!serves(now, sortsWith(line.parts, item.spec))) return [];
      const after = lampAmps(now);
      const told = before && after && worst(before, after);
      return told ? [{ key: line.key, instead: item.spec, have: item.have, ...told }] : [];
    });
    const change = ({ before: was, after }: Substitute) => Math.abs(Math.log(after / was));
    const [best] = found.sort((a, b) => change(a) - change(b));
    return best ? [best] : [];
  });
}

/** Lights that pass for one another: another chip of the same colour, or its neighbour. */
const ALIKE: readonly (readonly LampType[])[] = [
  ['yellow-green', 'green'],
  ['red', 'orange'],
  ['orange', 'yellow'],
  ['blue', 'violet'],
];

function alike(one: LampType, other: LampType): boolean {
  return one !== other && ALIKE.some((lights) => lights.includes(one) && lights.includes(other));
}

/** The sorts that a fitted lamp changes. */
function sortsWith(parts: readonly string[], spec: StockSpec): Record<string, LampType> {
  return spec.kind === 'led' ? Object.fromEntries(parts.map((part) => [part, spec.lamp])) : {};
}

/** What the store has enough of for the whole group: neighbours of a resistor, a lamp of a like colour. */
function candidates({ spec, need }: KitLine, stock: readonly StockItem[]): StockItem[] {
  const enough = stock.filter((item) => item.have >= need && item.spec.kind === spec.kind);
  if (spec.kind === 'led')
    return enough.filter((item) => item.spec.kind === 'led' && alike(item.spec.lamp, spec.lamp));
  if (spec.kind !== 'resistor') return [];
  const ohms = (item: StockItem) => (item.spec.kind === 'resistor' ? item.spec.ohms : 0);
  const sorted = [...enough].sort((a, b) => ohms(a) - ohms(b));
  return [
    ...sorted.filter((item) => ohms(item) < spec.ohms).slice(-NEIGHBOURS),
    ...sorted.filter((item) => ohms(item) > spec.ohms).slice(0, NEIGHBOURS),
  ];
}

function fitted(
  circuit: Circuit,
  parts: readonly string[],
  spec: StockSpec,
  lamps: Readonly<Record<LampType, LampFigures>>,
): Circuit {
  return parts.reduce(
    (built, id) =>
      withPart(built, id, (part) => {
        if (spec.kind === 'resistor' && isKind(part, 'resistor'))
          return { ...part, params: { ...part.params, ohms: spec.ohms } };
        if (spec.kind === 'led' && isKind(part, 'led')) {
          const { vf, at, n, rs, vfLow, vfHigh, maxAmps } = lamps[spec.lamp];
          return { ...part, params: { ...part.params, vf, at, n, rs, vfLow, vfHigh, maxAmps } };
        }
        return part;
      }),
    circuit,
  );
}

interface LampAmps {
  readonly part: string;
  readonly amps: Amps;
  readonly maxAmps: Amps;
}

function lampAmps(circuit: Circuit): LampAmps[] | undefined {
  const seen = observe(circuit);
  if (!seen.ok) return undefined;
  return circuit.parts
    .filter((part) => isKind(part, 'led'))
    .map(({ id, params }) => ({
      part: id,
      amps: Math.max(0, reportOf(seen.value, id).amps),
      maxAmps: params.maxAmps,
    }));
}

/** The lamp that changes most; undefined where one would be driven too hard or lose too much. */
function worst(
  before: readonly LampAmps[],
  after: readonly LampAmps[],
): Pick<Substitute, 'lamp' | 'before' | 'after'> | undefined {
  const lit = before.flatMap((was, i) => (was.amps > 1e-5 ? [{ was, now: after[i]! }] : []));
  const spoiled = lit.some(({ was, now }) => now.amps > now.maxAmps || now.amps < LEAST_SHARE * was.amps);
  if (spoiled || lit.length === 0) return undefined;
  const change = ({ was, now }: (typeof lit)[number]) => Math.abs(Math.log(now.amps / was.amps));
  const most = lit.reduce((a, b) => (change(b) > change(a) ? b : a));
  return { lamp: most.was.part, before: most.was.amps, after: most.now.amps };
}
