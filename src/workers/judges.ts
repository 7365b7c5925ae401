import { judgeBench, type BenchRead, type JudgedBench, type SessionExpectation } from '@/core';

/** What a grid judges by, as it was handed over last: what was prepared for it is found again with every reading. */
let handedOver: { readonly name: string; readonly expectations: readonly SessionExpectation[] } | undefined;

/** A bench, and by which of the expectations it is judged. */
export interface BenchBy extends BenchRead {
  readonly by: number;
}

export const judges = {
  /** What benches are judged by from now on. */
  judgeBy(name: string, expectations: readonly SessionExpectation[]): void {
    handedOver = { name, expectations };
  },
  /** @returns undefined where something else was handed over since, or nothing */
  judge(name: string, benches: readonly BenchBy[]): JudgedBench[] | undefined {
    if (handedOver?.name !== name) return undefined;
    const { expectations } = handedOver;
    return benches.map(({ by, noted, looks }) => judgeBench(expectations[by]!, noted, looks));
  },
};
