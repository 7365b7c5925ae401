import type { Compiled } from '../circuit/compile';
import type { Writing } from '../devices/device';
import { apply, at, Code, either, less, num, size, sum, times } from '../numerics/code';
import type { Ordering } from '../numerics/pivots';
import { writeElimination } from '../numerics/straightLine';

/** Where everything stands in the memory; from `end` on, the parts' own cells. */
export type Layout = Readonly<
  Record<
    | 'base'
    | 'baseResidual'
    | 'bent'
    | 'bentResidual'
    | 'x'
    | 'factors'
    | 'inverse'
    | 'left'
    | 'falls'
    | 'end',
    number
  >
>;

/** A number that a part keeps: where it begins, or what it is read from. */
export type Cell = number | (() => number);

export function layoutOf({ size, coordinates }: Compiled, order: Ordering): Layout {
  const entries = coordinates.rows.length;
  let used = 0;
  const room = (places: number) => {
    used += places;
    return used - places;
  };
  const layout = {
    base: room(entries),
    baseResidual: room(size + 1),
    bent: room(entries),
    bentResidual: room(size + 1),
    x: room(size + 1),
    factors: room(order.places),
    inverse: room(size),
    left: room(1),
    falls: room(1),
  };
  return { ...layout, end: used };
}

/**
 * The whole step: what bends is stamped above what the straight parts have left, both are eliminated, x is moved, and
 * the stamps are cleared for the next step. It answers with the largest move of a node in volts: infinite where a curve
 * was read elsewhere than at x, no number where the order of pivots does not suit any more. Where no tangent serves, there
 * stands at `left` the largest current that was left over at any node before the move.
 *
 * @param cells takes the parts' own
 */
export function codeOf(
  compiled: Compiled,
  order: Ordering,
  layout: Layout,
  tangent: number,
  cells: Cell[],
): Code {
  const { size: unknowns, nodeCount, stamped, coordinates } = compiled;
  const { rows, columns } = coordinates;
  const code = new Code();
  const elsewhere = code.keep(num(0));
  const writing: Writing = {
    code,
    x: (index) => (index < unknowns ? at(layout.x + index) : num(0)),
    flow: (row, amps) => void (row < unknowns && code.add(layout.bentResidual + row, amps)),
    slope: (place, siemens) => void (place > 0 && code.add(layout.bent + place, siemens)),
    remember: (first) => layout.end + cells.push(first) - 1,
    figure: (read) => at(layout.end + cells.push(read) - 1),
    tangent,
    mayFall: apply('more', at(layout.falls), num(0)),
    readElsewhere: () => void code.set(elsewhere, num(Infinity)),
  };
  for (const { instance } of stamped) if (!instance.straight) instance.write?.(writing);

  const booked = (straight: boolean) =>
    new Set(stamped.flatMap(({ instance, places }) => (!!instance.straight === straight ? places : [])));
  const [straight, bent] = [booked(true), booked(false)];
  const rowOf = Array.from({ length: unknowns }, (): number[] => []);
  for (const place of straight) if (place > 0) rowOf[rows[place]!]!.push(place);
  const exact = tangent < 0;
  if (exact) code.store(layout.left, num(0));
  const solution = writeElimination(code, order, {
    factors: layout.factors,
    inverse: layout.inverse,
    entry(place) {
      const parts = [
        ...(straight.has(place) ? [at(layout.base + place)] : []),
        ...(bent.has(place) ? [at(layout.bent + place)] : []),
      ];
      return parts.length > 0 ? sum(parts[0]!, ...parts.slice(1)) : undefined;
    },
    rhs(row) {
      const products = rowOf[row]!.map((place) =>
        times(at(layout.base + place), at(layout.x + columns[place]!)),
      );
      const none = num(0);
      const value = less(none, at(layout.baseResidual + row), at(layout.bentResidual + row), ...products);
      if (row >= nodeCount || !exact) return value;
      const kept = code.keep(value).value;
      code.store(layout.left, apply('max', at(layout.left), size(kept)));
      return kept;
    },
  });

  const moved = code.keep(elsewhere.value);
  order.columns.forEach((column, step) => {
    const by = solution.unknowns[step]!.value;
    code.add(layout.x + column, by);
    if (column < nodeCount) code.set(moved, apply('max', moved.value, size(by)));
  });
  for (const place of bent) if (place > 0) code.store(layout.bent + place, num(0));
  for (let row = 0; row < unknowns; row++) code.store(layout.bentResidual + row, num(0));
  return code.put(either(apply('atMost', solution.worst, num(1)), moved.value, num(NaN)));
}
