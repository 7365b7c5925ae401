export {
  candidatesIn,
  judgeBench,
  judgeReading,
  lampsIn,
  mistakesIn,
  partsIn,
  SETTLED,
  type BenchRead,
  type JudgedBench,
  type Noted,
} from './bench';
export { countedAs } from './countedAs';
export { columnSummary, type ColumnSummary } from './column';
export type { Diagnosis } from './diagnosis';
export {
  drawReadings,
  asCounted,
  judgedPoint,
  measuredAt,
  type FaultDictionary,
  type FaultSignatures,
  type JudgedPoint,
  type Signature,
} from './dictionary';
export type { LampChange, LampOutcome, SoundChange } from './changes';
export { dryRuns, type DryRun, type Lasting, type Ruin } from './dryRun';
export type { Expectation, Expected } from './expected';
export { STARTING_COUNT, withExperience, type FaultCounts } from './experience';
export { ASKED_STATES, RIGHT_STATES, type Candidate, type FaultContext } from './faults/fault';
export { everyFault, faultsOf } from './faults/index';
export type { Cause, CauseGroup } from './grouped';
export { heldForLooks } from './looksHeld';
export type { Next } from './next';
export { noteReading, typedReading } from './noted';
export type { NextOutcome } from './outcomes';
export { implausible } from './plausible';
export { canBeSwept, madeUpBuild, sweptSupply, type AtVolts, type MadeUp } from './practice';
export { isPlacedWord, PLACED_WORDS, type PlacedWord } from './placed';
export { risksOf, type PointRisk, type Proposal } from './risks';
export { GLANCE, SEEN_WORDS, WHOLE_BENCH, type SeenLook, type SeenWord, type Sight } from './seen';
export { JUDGING_RULE, type SessionExpectation } from './session';
export { sharedCauses, type SharedCause } from './shared';
export { sightOf } from './sight';
export { drawnCircuit, simulatedBench, type Chance, type Shown, type SimulatedBench } from './simulated';
export { countingReadings, PREDICTED, READING_KINDS, standingReadings, type ReadingKind } from './standing';
export { expandedUncertainty, glanceVerdict, judge, type Verdict, type VerdictName } from './verdict';
export type { Candidates } from './weigh';
