import { isKind, partOf, type Circuit, type PartOf } from '../circuit/circuit';
import { solve } from '../solver/solve';

/** More often than there are pins nothing settles: a lamp that lights its own sensor is left as it was last. */
const TRIES = 4;

/**
 * The circuit with every pin that follows a reading at the level that its program gives it: high below, or above, a
 * share of the rail at the input that it reads. Between two thresholds a program keeps what was; here the one that is
 * written decides.
 *
 * @param circuit with nothing hanging in the air
 */
export function decided(circuit: Circuit): Circuit {
  const ruled = circuit.parts.filter(
    (part): part is PartOf<'pin'> => isKind(part, 'pin') && part.params.drive === 'rule',
  );
  if (ruled.length === 0) return circuit;
  let levels = new Map(ruled.map(({ id }) => [id, false]));
  for (let round = 0; round < TRIES; round++) {
    const now = withLevels(circuit, levels);
    const solved = solve(now);
    if (!solved.ok) return now;
    const next = new Map(ruled.map((pin) => [pin.id, isHigh(pin, circuit, solved.value.nodes)]));
    if (ruled.every(({ id }) => next.get(id) === levels.get(id))) return now;
    levels = next;
  }
  return withLevels(circuit, levels);
}

function withLevels(circuit: Circuit, levels: ReadonlyMap<string, boolean>): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => {
      const high = levels.get(part.id);
      if (high === undefined || !isKind(part, 'pin')) return part;
      return { ...part, params: { ...part.params, drive: high ? ('high' as const) : ('low' as const) } };
    }),
  };
}

function isHigh(
  { params, pins }: PartOf<'pin'>,
  circuit: Circuit,
  nodes: Readonly<Record<string, number>>,
): boolean {
  const input = partOf(circuit, params.reads ?? '');
  const ground = nodes[pins['ground']!] ?? 0;
  const rail = pins['rail'] === undefined ? params.volts : (nodes[pins['rail']] ?? 0) - ground;
  const share = ((nodes[input?.pins['pin'] ?? ''] ?? 0) - ground) / (Math.abs(rail) > 1e-6 ? rail : 1);
  if (params.below !== undefined && share < params.below) return true;
  return params.above !== undefined && share > params.above;
}
