import {
  builtOf,
  diagramOf,
  drawnCircuit,
  faultContext,
  madeUpBuild,
  makeSheet,
  sessionExpectation,
  sessionSignatures,
  sheetAsFound,
  simulatedBench,
  sweptSupply,
  workOut,
  type BenchContext,
  type Cause,
  type Circuit,
  type Diagram,
  type FaultSignatures,
  type LampType,
  type LessonFile,
  type MadeUp,
  type Outcome,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
  type SimulatedBench,
} from '@/core';
import { sentences } from '@/messages/findings';
import { lessonLine } from '@/messages/families';

import { judgementOf, type BenchReadings, type Judgement } from '../judging/bench';
import { handedOver } from '../judging/handedOver';
import { copyDatabase, type Copied } from '../backup/copy';
import { patternSigns, type PatternSigns } from './patternSigns';

/** Told of the share of a task that is done, 0 to 1. */
export type Tell = (share: number) => void;

/** What a circuit is worked out from. */
export type Wish = Pick<SheetRequest, 'choice' | 'style' | 'shelf' | 'stock'>;

export interface ShareOfFaults {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly at: number;
  readonly of: number;
}

export interface JudgeTask {
  /** Name of what they are judged by; itself only where the thread did not know it by that. */
  readonly name: string;
  readonly expectation?: string;
  readonly benches: readonly BenchReadings[];
}

export interface MadeUpTask extends Pick<ShareOfFaults, 'sheet' | 'request'> {
  readonly expectation: Pick<SessionExpectation, 'dictionary' | 'meter'>;
  readonly who: MadeUp;
}

export interface AsFoundTask extends Pick<ShareOfFaults, 'sheet' | 'request'> {
  readonly context: BenchContext;
}

/** A made-up bench: what its meter shows everywhere, how it looks, and what only whoever made it up knows. */
export interface MadeUpBench extends SimulatedBench {
  readonly cause: Pick<Cause, 'code' | 'data'>;
  /** With every part at its own value. */
  readonly circuit: Circuit;
}

/** The heavy work of the server: each of these is done in a thread of its own, and says how far it is where it can. */
export const tasks = {
  /** What a lesson comes to, in one line; no draws are needed for that. */
  line(request: Wish): string {
    const worked = workOut(request, true);
    return worked.ok ? lessonLine({ sums: worked.value.sums }) : sentences(worked.findings);
  },
  sheet(request: SheetRequest): Outcome<Sheet> {
    return makeSheet(request);
  },
  /** One share of a lesson's mistakes. */
  faults({ sheet, request, at, of }: ShareOfFaults, tell: Tell): FaultSignatures {
    return sessionSignatures(sheet, request, { at, of }, tell);
  },
  expectation({
    sheet,
    request,
    shares,
  }: Pick<ShareOfFaults, 'sheet' | 'request'> & {
    readonly shares: readonly FaultSignatures[];
  }): SessionExpectation {
    return sessionExpectation(sheet, request, shares);
  },
  /** What a lesson is built of, and the lamps in it; nothing where it has no sum that works. */
  parts(
    request: Wish,
  ): Outcome<{ readonly built: LessonFile['built']; readonly lamps: readonly LampType[] }> {
    const worked = workOut(request);
    if (!worked.ok) return worked;
    const { circuit, sorts } = worked.value;
    return { ...worked, value: { built: builtOf(circuit), lamps: [...new Set(Object.values(sorts))] } };
  },
  /** A verified copy of a database in use. */
  backup({ from, to }: { readonly from: string; readonly to: string }): Promise<Copied> {
    return copyDatabase(from, to);
  },
  diagram(circuit: Circuit): Diagram | undefined {
    return diagramOf(circuit);
  },
  signs(_nothing: undefined): PatternSigns {
    return patternSigns();
  },
  madeUp({ sheet, request, expectation, who }: MadeUpTask): MadeUpBench {
    const context = faultContext(sheet, request);
    const { candidate, chance } = madeUpBuild(context, who);
    const { points } = expectation.dictionary;
    const { code, data } = candidate;
    return {
      ...simulatedBench(candidate, points, expectation.meter, context, chance),
      cause: { code, data },
      circuit: drawnCircuit(candidate.circuit, chance),
    };
  },
  /** A lesson with what is really there on one bench. */
  asFound({ sheet, request, context }: AsFoundTask) {
    return sheetAsFound(sheet, request, context);
  },
  /** A build while its supply is turned. */
  swept({ circuit, volts }: { readonly circuit: Circuit; readonly volts: readonly number[] }) {
    return sweptSupply(circuit, volts);
  },
  /** Undefined where what they are judged by has to be handed over. */
  judge({ name, expectation: text, benches }: JudgeTask): readonly Judgement[] | undefined {
    const expectation = handedOver(name, text);
    return expectation && benches.map((bench) => judgementOf(expectation, bench));
  },
};

export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
