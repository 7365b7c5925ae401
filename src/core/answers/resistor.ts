import { neighbours, type Neighbours } from '../catalogue/preferred';
import { isKind, partOf, withPart, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Amps, Ohms } from '../quantities/units';
import { observe, reportOf } from '../observe/observe';
import { seek } from './seek';

export interface ResistorAnswer {
  /** At which the part carries exactly the wanted current. */
  readonly ohms: Ohms;
  readonly around: Neighbours;
  /** Stocked values from close to far, with the current each gives. */
  readonly choices: readonly { readonly ohms: Ohms; readonly amps: Amps; readonly share: number }[];
}

const LOW_OHMS = 1;
const HIGH_OHMS = 1e7;
const SHOWN = 4;

/**
 * The resistor with which a part of any circuit carries a wanted current: the solver's answer, not a constant drop.
 *
 * @param resistorId the resistor that may be chosen
 * @param partId the part whose current counts
 * @param values stocked ohms to choose from
 */
export function resistorForCurrent(
  circuit: Circuit,
  resistorId: string,
  partId: string,
  amps: Amps,
  values: readonly Ohms[],
): Outcome<ResistorAnswer> {
  const resistor = partOf(circuit, resistorId);
  if (!resistor || !isKind(resistor, 'resistor')) {
    return refused(finding('not-of-kind', { part: resistorId, kind: 'resistor' }));
  }
  if (!partOf(circuit, partId)) return refused(finding('check-refers', { check: 'part', name: partId }));
  const check = { id: `current of ${partId}`, measure: 'amps', part: partId } as const;
  // From the largest down: where two values would do, the one that draws less is meant.
  const wish = {
    part: resistorId,
    field: 'ohms',
    from: HIGH_OHMS,
    to: LOW_OHMS,
    check: check.id,
    target: amps,
  };
  const exact = seek({ ...circuit, checks: [check] }, wish);
  if (!exact.ok) return exact;
  const byRatio = [...values].sort((a, b) => apart(a, exact.value) - apart(b, exact.value));
  const choices = byRatio.slice(0, SHOWN).flatMap((ohms) => {
    const params = { ...resistor.params, ohms };
    const seen = observe(withPart(circuit, resistorId, () => ({ ...resistor, params })));
    if (!seen.ok) return [];
    const got = reportOf(seen.value, partId).amps;
    return [{ ohms, amps: got, share: got / amps }];
  });
  return accepted({ ohms: exact.value, around: neighbours(values, exact.value), choices });
}

function apart(a: number, b: number): number {
  return Math.abs(Math.log(a / b));
}
