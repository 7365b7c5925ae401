import {
  asBuilt,
  judgeBench,
  makeSheet,
  type AsBuilt,
  type Circuit,
  type JudgedBench,
  type Noted,
  type Outcome,
  type Plan,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
} from '@/core';

/** The heavy work that screens ask for, off the main thread. */
export const coreApi = {
  sheet(request: SheetRequest): Outcome<Sheet> {
    return makeSheet(request);
  },
  asBuilt(plan: Plan, wanted: Circuit): AsBuilt {
    return asBuilt(plan, wanted);
  },
  judge(session: SessionExpectation, benches: readonly (readonly Noted[])[]): JudgedBench[] {
    return benches.map((noted) => judgeBench(session, noted));
  },
};

export type CoreApi = typeof coreApi;
