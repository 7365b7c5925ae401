import type { Look } from '@/core';
import type { Swept } from '@/server/practice';

interface Step {
  readonly volts: number;
  readonly looks: Readonly<Record<string, Look>>;
}

/** The volts from which a lamp is seen lit, here and in the right build. */
export interface Onset {
  readonly lamp: string;
  readonly here: number | undefined;
  readonly meant: number | undefined;
}

const LIT: ReadonlySet<Look> = new Set(['lit', 'too-bright', 'blinking']);

/** Where each lamp comes on while the supply is turned up, in the lamps' own order. */
export function onsetsOf({ bench, meant }: Pick<Swept, 'bench' | 'meant'>): Onset[] {
  const lamps = Object.keys(meant[0]?.looks ?? bench[0]?.looks ?? {});
  return lamps.map((lamp) => ({ lamp, here: litFrom(bench, lamp), meant: litFrom(meant, lamp) }));
}

function litFrom(steps: readonly Step[], lamp: string): number | undefined {
  return steps.find(({ looks }) => LIT.has(looks[lamp] ?? 'dark'))?.volts;
}

/** Stretches over which a lamp looks the same. */
export function stretchesOf(
  steps: readonly Step[],
  lamp: string,
): { readonly from: number; readonly to: number; readonly look: Look }[] {
  const all: { from: number; to: number; look: Look }[] = [];
  for (const { volts, looks } of steps) {
    const look = looks[lamp] ?? 'dark';
    const last = all[all.length - 1];
    if (last) last.to = volts;
    if (last?.look !== look) all.push({ from: volts, to: volts, look });
  }
  return all;
}
