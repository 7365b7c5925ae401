import { partOf, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../findings/finding';
import { locateCrossing } from '../numerics/crossing';
import { Stepper } from '../solver/sweep';
import { probesOf } from '../tolerance/probe';

export interface Wish {
  /** The part and field that may be turned, and on which way; `from` may be the larger end. */
  readonly part: string;
  readonly field: string;
  readonly from: number;
  readonly to: number;
  /** The check of the circuit that is to read `target`. */
  readonly check: string;
  readonly target: number;
}

/** Places looked at before the crossing is closed in on. */
const PLACES = 49;
const MET = { share: 1e-11, margin: 0 } as const;

/**
 * The value of a field at which a check reads a target: the first one on the way, when there are several.
 *
 * @returns the value in the field's unit, or why there is none: the range over which the check goes instead, or what
 *   kept it from being read
 */
export function seek(circuit: Circuit, wish: Wish): Outcome<number> {
  const part = partOf(circuit, wish.part);
  if (!part)
    return refused(
      finding('bad-field', { place: 'circuit', field: wish.part, problem: 'is not in the circuit' }),
    );
  const check = circuit.checks.find(({ id }) => id === wish.check);
  if (!check) return refused(finding('check-refers', { check: wish.check, name: wish.check }));
  const reading = readings({ ...circuit, checks: [check] }, part, wish.field);
  const at = spacing(wish);
  const seen: { place: number; figure: number }[] = [];
  let refusal: Finding | undefined;
  for (let i = 0; i < PLACES; i++) {
    const place = i / (PLACES - 1);
    const figure = reading(at(place));
    if (typeof figure !== 'number') {
      refusal ??= figure;
      continue;
    }
    const before = seen[seen.length - 1];
    seen.push({ place, figure });
    if (figure === wish.target) return accepted(at(place));
    if (before && (before.figure - wish.target) * (figure - wish.target) < 0) {
      return accepted(closeIn(before, { place, figure }, (p) => reading(at(p)), wish.target, at));
    }
  }
  // Somewhere on the way the circuit had no figure: that it is out of reach could not be said.
  if (refusal) return refused(refusal);
  const figures = seen.map(({ figure }) => figure);
  const unit = check.measure === 'amps' ? 'A' : 'V';
  const range = { low: Math.min(...figures), high: Math.max(...figures), unit };
  return refused(finding('out-of-reach', { check: check.id, target: wish.target, ...range }));
}

/** Reads the one check of a circuit with a field at a value, or says why it cannot be read. */
function readings(circuit: Circuit, part: Circuit['parts'][number], field: string) {
  const stepper = new Stepper(circuit, part, field);
  return (value: number): number | Finding => {
    const bench = stepper.at(value);
    return bench.ok ? probesOf(bench.value.compiled)[0]!() : bench.findings[0]!;
  };
}

/** Even by ratio where both ends are on one side of zero and far apart, else even by difference. */
function spacing({ from, to }: Wish): (place: number) => number {
  const apart = Math.max(from / to, to / from);
  if (from > 0 && to > 0 && apart > 20) return (place) => from * (to / from) ** place;
  return (place) => from + (to - from) * place;
}

interface Seen {
  readonly place: number;
  readonly figure: number;
}

function closeIn(
  before: Seen,
  after: Seen,
  reading: (place: number) => number | Finding,
  target: number,
  at: (place: number) => number,
): number {
  const sense = Math.sign(after.figure - target);
  const marginAt = (step: number) => {
    const figure = reading(before.place + step);
    return typeof figure === 'number' ? sense * (figure - target) : NaN;
  };
  const step = locateCrossing(sense * (before.figure - target), after.place - before.place, marginAt, MET);
  return at(step === undefined ? after.place : before.place + step);
}
