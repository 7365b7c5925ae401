import {
  faultContext,
  faultsOf,
  measuredAt,
  simulatedBench,
  typedReading,
  uniform,
  type Candidate,
  type SessionExpectation,
  type Shown,
  type Sheet,
  type SheetRequest,
} from '@/core';

/** One figure as a helper would note it. */
export interface DemoReading extends Shown {
  readonly typed: string;
}

/**
 * What a meter shows on one bench: parts drawn anew for the bench, the meter's own error, digits as its range has them.
 *
 * @param seed one for each bench
 */
export function benchReadings(
  candidate: Candidate,
  sheet: Sheet,
  { dictionary: { points }, meter }: SessionExpectation,
  seed: number,
): DemoReading[] {
  const gain = 2 * uniform(seed, 0, 77) - 1;
  const { shown } = simulatedBench(candidate, points, meter, sheet, { seed, gain });
  return shown.flatMap((one, i) =>
    one ? [{ ...one, typed: typedReading(one, measuredAt(points[i]!)) }] : [],
  );
}

/** The candidate of a lesson for a fault, or the right build. */
export function candidateFor(
  sheet: Sheet,
  request: SheetRequest,
  wrong: { readonly fault: string; readonly ohms?: number } | undefined,
): Candidate {
  const all = faultsOf(faultContext(sheet, request));
  const found =
    wrong &&
    all.find(
      ({ code, data }) => code === wrong.fault && (wrong.ohms === undefined || data.ohms === wrong.ohms),
    );
  return found ?? all[0]!;
}
