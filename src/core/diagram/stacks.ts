import { isKind, type Circuit, type Part, type PartOf } from '../circuit/circuit';
import { sourceOf, type Source } from '../circuit/source';

/** A leg beside the two that stand in a column: a transistor's base, and the net that it is on. */
export interface Tap {
  readonly part: string;
  readonly net: string;
}

/** Parts one under another in a column, with the nets between them from top to foot, or the other way. */
export interface Stack {
  readonly parts: readonly Part[];
  /** One more than parts. */
  readonly nets: readonly string[];
}

/** A circuit with chips, as what stands in columns. */
export interface Columns {
  readonly supply: Source;
  readonly plus: string;
  readonly minus: string;
  readonly chips: readonly PartOf<'timer'>[];
  readonly stacks: readonly Stack[];
  readonly taps: readonly Tap[];
}

/**
 * Takes a circuit apart into chips and stacks: parts that follow one another between the rails or between two nets, as
 * long as no third part hangs on the net between them; a chip's pin may, and so may a transistor's base.
 *
 * @returns undefined where there is neither chip nor transistor, or another part with more than two ends
 */
export function columnsOf(circuit: Circuit): Columns | undefined {
  const supply = sourceOf(circuit);
  const chips = circuit.parts.filter((part) => isKind(part, 'timer'));
  const taps = circuit.parts.flatMap((part) =>
    isKind(part, 'transistor') ? [{ part: part.id, net: part.pins['base']! }] : [],
  );
  if (!supply || chips.length + taps.length === 0) return undefined;
  const [plus, minus] = [supply.pins['plus']!, supply.pins['minus']!];
  const others = circuit.parts.filter(
    (part) => part !== supply && !isKind(part, 'timer') && part.kind !== 'wire',
  );
  let stacks: Stack[] = others.map((part) => ({ parts: [part], nets: standing(part) }));
  if (stacks.some(({ nets }) => new Set(nets).size !== 2)) return undefined;
  for (;;) {
    const next = joined(stacks, new Set([plus, minus]), new Set(taps.map(({ net }) => net)));
    if (!next) return { supply, plus, minus, chips, stacks, taps };
    stacks = next;
  }
}

/** The nets that a part stands between: a transistor between its collector and its emitter. */
function standing(part: Part): string[] {
  return isKind(part, 'transistor')
    ? [part.pins['collector']!, part.pins['emitter']!]
    : [...new Set(Object.values(part.pins))];
}

/**
 * The stacks with two of them joined at a net that holds no third. At a base only what then reaches from rail to rail is
 * joined, a divider: the base may lie above or below what else leads to it.
 */
function joined(
  stacks: readonly Stack[],
  rails: ReadonlySet<string>,
  tapped: ReadonlySet<string>,
): Stack[] | undefined {
  for (const net of new Set(stacks.flatMap(({ nets }) => nets))) {
    if (rails.has(net)) continue;
    const here = stacks.filter(({ nets }) => nets[0] === net || nets[nets.length - 1] === net);
    const [one, other] = here;
    if (here.length !== 2 || !one || !other) continue;
    const first = one.nets[one.nets.length - 1] === net ? one : turned(one);
    const second = other.nets[0] === net ? other : turned(other);
    // A loop that would end where it began stays apart.
    const ends = [first.nets[0]!, second.nets[second.nets.length - 1]!];
    if (ends[0] === ends[1] || (tapped.has(net) && !ends.every((end) => rails.has(end)))) continue;
    const whole = {
      parts: [...first.parts, ...second.parts],
      nets: [...first.nets, ...second.nets.slice(1)],
    };
    const rest = stacks.filter((stack) => stack !== one && stack !== other);
    const at = stacks.indexOf(one);
    return [...rest.slice(0, at), whole, ...rest.slice(at)];
  }
  return undefined;
}

function turned({ parts, nets }: Stack): Stack {
  return { parts: [...parts].reverse(), nets: [...nets].reverse() };
}
