import { isKind, type Circuit, type PartOf } from './circuit';
import { conducting, Groups, type Motion } from './structure';

/**
 * The transistors that may hold one another: those on a way from what one drives, on through others, back to what
 * drives it. The rails join everything and pass nothing on.
 */
export function stagesInLoops(circuit: Circuit, motion: Motion): ReadonlySet<string> {
  const rails = new Set([circuit.ground]);
  for (const { kind, pins } of circuit.parts)
    if (kind === 'supply') for (const net of Object.values(pins)) rails.add(net);
  const groups = new Groups();
  for (const part of circuit.parts) {
    if (part.kind === 'transistor') continue;
    for (const [a, b] of conducting(part, motion)) if (!rails.has(a) && !rails.has(b)) groups.join(a, b);
  }
  const groupsOf = (stage: PartOf<'transistor'>, ...pins: readonly string[]) =>
    pins.map((pin) => stage.pins[pin]!).flatMap((net) => (rails.has(net) ? [] : [groups.find(net).root]));
  const stages = circuit.parts.filter((part) => isKind(part, 'transistor'));
  const drives = new Map(
    stages.map((one) => {
      const out = groupsOf(one, 'collector', 'emitter');
      const into = stages.filter(
        (other) => other !== one && groupsOf(other, 'base', 'emitter').some((net) => out.includes(net)),
      );
      return [one.id, into.map(({ id }) => id)] as const;
    }),
  );
  return new Set(stages.map(({ id }) => id).filter((id) => comesBack(id, drives)));
}

function comesBack(id: string, drives: ReadonlyMap<string, readonly string[]>): boolean {
  const reached = new Set<string>();
  const open = [...drives.get(id)!];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (next === id) return true;
    if (reached.has(next)) continue;
    reached.add(next);
    open.push(...drives.get(next)!);
  }
  return false;
}
