import type { Circuit } from '../circuit/circuit';
import type { Outcome } from '../findings/finding';
import { observeHeld } from './benches';
import type { Shows } from './checkpoint';
import { lampsSeen, type Look } from './looks';
import type { Observation } from './observation';
import { observe } from './observe';

/**
 * How each lamp of a build looks, each in what it is looked at in; one that is not there is left out.
 *
 * @param shows what is held for each lamp, where that is not the same for all
 * @param seen the build as it is by itself, where it has been observed
 */
export function looksIn(
  circuit: Circuit,
  shows: Shows | undefined,
  seen?: Outcome<Observation>,
): Record<string, Look> {
  const lamps = (now: Outcome<Observation>) =>
    now.ok ? lampsSeen(now.value).map(({ part, look }) => [part, look] as const) : [];
  if (!shows) return Object.fromEntries(lamps(seen ?? observe(circuit)));
  return Object.fromEntries(
    Object.entries(shows).flatMap(([lamp, held]) =>
      lamps(observeHeld(circuit, held)).filter(([part]) => part === lamp),
    ),
  );
}
