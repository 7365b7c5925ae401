import { isProbed, type Checkpoint, type Held, type Shows } from '../observe/checkpoint';
import type { FaultCode, FaultData } from '../parts/mistake';

/**
 * What is held while the lamps of a bench are looked at: the same as while its volts are read, so that nobody lets go of
 * a button in between. Nothing where nothing is held for these, or not the same for all.
 */
export function heldForLooks(points: readonly Checkpoint[]): Held | undefined {
  const helds = points.filter(isProbed).map(({ held = {} }) => held);
  const [first] = helds;
  if (!first || Object.keys(first).length === 0) return undefined;
  return helds.every((held) => JSON.stringify(held) === JSON.stringify(first)) ? first : undefined;
}

/** Mistakes of a hand: what it should have put somewhere is not put there, for no reading and no look. */
const NOT_SET: ReadonlySet<FaultCode> = new Set(['knob-elsewhere', 'button-open', 'switch-off']);

/** What is held of a build whose mistake may be that something is not. */
export function heldWith(
  held: Held | undefined,
  { code, data }: { readonly code: FaultCode | 'right'; readonly data: FaultData },
): Held | undefined {
  if (!held || !NOT_SET.has(code as FaultCode)) return held;
  return Object.fromEntries(Object.entries(held).filter(([part]) => part !== data.part));
}

/** The same for each lamp that is looked at in something of its own. */
export function showsWith(
  shows: Shows | undefined,
  mistake: Parameters<typeof heldWith>[1],
): Shows | undefined {
  return (
    shows &&
    Object.fromEntries(Object.entries(shows).map(([lamp, held]) => [lamp, heldWith(held, mistake) ?? {}]))
  );
}
