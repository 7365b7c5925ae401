import {
  asItStands,
  bandsOf,
  batteryLifeOf,
  dayOf,
  diagramOf,
  drawSlice,
  dryRuns,
  faultContext,
  judgeBench,
  makeSheet,
  resistorForCurrent,
  run,
  solve,
  sweep,
  thresholds,
  trimRange,
  whatIf,
  type BandOptions,
  type Beneath,
  type Day,
  type Circuit,
  type JudgedBench,
  type Noted,
  type Outcome,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
  type Slice,
} from '@/core';

/** The heavy work that screens ask for, off the main thread. */
export const coreApi = {
  sheet(request: SheetRequest): Outcome<Sheet> {
    return makeSheet(request);
  },
  asItStands,
  judge(session: SessionExpectation, benches: readonly (readonly Noted[])[]): JudgedBench[] {
    return benches.map((noted) => judgeBench(session, noted));
  },
  slice(circuit: Circuit, seed: number, from: number, to: number, all: number) {
    return drawSlice(circuit, seed, from, to, all);
  },
  gather(circuit: Circuit, slices: readonly Slice[], options: BandOptions) {
    return bandsOf(circuit, slices, options);
  },
  dryRuns(sheet: Sheet, request: SheetRequest) {
    return dryRuns(faultContext(sheet, request), request.meter);
  },
  whatIf,
  day(request: SheetRequest, beneath: Beneath): Outcome<Day> {
    return dayOf(request, beneath);
  },
  solve,
  sweep,
  run(circuit: Circuit, seconds: number, settle: number, onProgress: (share: number) => void) {
    return run(circuit, { seconds, settle, samples: 1001 }, { onProgress });
  },
  diagram: diagramOf,
  resistorForCurrent,
  thresholds,
  trimRange,
  batteryLifeOf,
};

export type CoreApi = typeof coreApi;
