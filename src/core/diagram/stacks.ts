import { isKind, type Circuit, type Part, type PartOf } from '../circuit/circuit';
import { sourceOf, type Source } from '../circuit/source';

/** Two-legged parts one under another in a column, with the nets between them from top to foot, or the other way. */
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
}

/**
 * Takes a circuit apart into chips and stacks: parts that follow one another between the rails or between two nets, as
 * long as no third part hangs on the net between them; a chip's pin may.
 *
 * @returns undefined where there is no chip, or a part with more than two ends besides
 */
export function columnsOf(circuit: Circuit): Columns | undefined {
  const supply = sourceOf(circuit);
  const chips = circuit.parts.filter((part) => isKind(part, 'timer'));
  if (!supply || chips.length === 0) return undefined;
  const [plus, minus] = [supply.pins['plus']!, supply.pins['minus']!];
  const others = circuit.parts.filter(
    (part) => part !== supply && !isKind(part, 'timer') && part.kind !== 'wire',
  );
  if (others.some(({ pins }) => new Set(Object.values(pins)).size !== 2)) return undefined;
  let stacks: Stack[] = others.map((part) => ({ parts: [part], nets: Object.values(part.pins) }));
  for (;;) {
    const next = joined(stacks, new Set([plus, minus]));
    if (!next) return { supply, plus, minus, chips, stacks };
    stacks = next;
  }
}

/** The stacks with two of them joined at a net that holds no third. */
function joined(stacks: readonly Stack[], rails: ReadonlySet<string>): Stack[] | undefined {
  for (const net of new Set(stacks.flatMap(({ nets }) => nets))) {
    if (rails.has(net)) continue;
    const here = stacks.filter(({ nets }) => nets[0] === net || nets[nets.length - 1] === net);
    const [one, other] = here;
    if (here.length !== 2 || !one || !other) continue;
    const first = one.nets[one.nets.length - 1] === net ? one : turned(one);
    const second = other.nets[0] === net ? other : turned(other);
    // A loop that would end where it began stays apart.
    if (first.nets[0] === second.nets[second.nets.length - 1]) continue;
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
