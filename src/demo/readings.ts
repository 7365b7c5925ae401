import {
  drawReadings,
  faultContext,
  faultsOf,
  measuredAt,
  meterHalfWidth,
  readingAsNoted,
  uniform,
  type Candidate,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
} from '@/core';

/** One figure as a helper would note it. */
export interface DemoReading {
  readonly point: string;
  readonly value: number;
  readonly step: number;
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
  expectation: SessionExpectation,
  seed: number,
): DemoReading[] {
  const { points } = expectation.dictionary;
  const burdens = expectation.expected.points.map(({ burden = 0 }) => burden);
  const drawn = drawReadings(candidate, sheet.checkpoints, burdens, 1, seed);
  if (!drawn) return [];
  return points.map((point, i) => {
    const { id, usual } = point;
    const measure = measuredAt(point);
    const truth = drawn[i]![0]!;
    const reading = readingAsNoted(expectation.meter, measure, truth, Infinity, usual);
    const half = meterHalfWidth(expectation.meter, measure, { ...reading, step: 0 });
    const shown = truth + (uniform(seed, i, 77) - 0.5) * half;
    const step = reading.range / (expectation.meter.counts + 1);
    const scale = measure === 'amps' ? 1e-3 : 1;
    const decimals = Math.max(0, Math.round(-Math.log10(step / scale)));
    const typed = (shown / scale).toFixed(decimals).replace(/^-(0\.0*)$/u, '$1');
    return { point: id, typed, value: Number(typed) * scale, step };
  });
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
