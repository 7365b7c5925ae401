/** The one door into the core for everybody outside. Grouped as the folders are. */

// findings
export { accepted, finding, refused, type Finding, type Outcome, type Severity } from './findings/finding';
export type { FindingCode, FindingData } from './findings/codes';
// quantities
export * from './quantities/index';
// numerics
export { keyOf, uniform } from './numerics/random';
// catalogue
export {
  BAND_COLOURS,
  bandsFor,
  letterCode,
  readBands,
  type BandColour,
  type BandCount,
} from './catalogue/bands';
export { bandQuestion, judgeBands, type BandQuestion, type BandVerdict } from './catalogue/bandDrill';
export { BRIGHTNESS, brightnessAt, type Brightness } from './catalogue/brightness';
export { LAMPS, LAMP_TYPES, type LampFigures, type LampType } from './catalogue/lamps';
export {
  DEFAULT_METER,
  meterHalfWidth,
  rangeFor,
  readingAsNoted,
  type Measured,
  type MeterFigures,
  type MeterReading,
  meterSchema,
} from './catalogue/meter';
export { ORIGINS, type Origin } from './catalogue/origin';
export { neighbours, SERIES_NAMES, seriesValues, type SeriesName } from './catalogue/preferred';
export { ratingFor } from './catalogue/ratings';
export { seriesResistor } from './catalogue/seriesResistor';
export { BARE_SHELF, valuesOf, type Shelf, type ValueSource } from './catalogue/shelf';
export {
  AGES,
  SUPPLIES,
  SOURCE_KINDS,
  SUPPLY_KINDS,
  supplyFigures,
  type Age,
  type Pulses,
  type SourceChoice,
  type SourceKind,
  type SupplyChoice,
  type SupplyKind,
} from './catalogue/supplies';
export { RESET_VOLTS, TIMER_FAMILIES, type TimerFamily } from './catalogue/timers';
export { TIMING_FORMS, type TimingForm } from './catalogue/timing';
// devices
export { Junction, fitSeriesOhms } from './devices/junction';
// circuit
export {
  isKind,
  partOf,
  withPart,
  type Check,
  type Circuit,
  type Part,
  type ThingKind,
} from './circuit/circuit';
export { withField } from './circuit/withField';
export { isProblem, type FieldProblem } from './devices/device';
export { KINDS, type Kind } from './devices/index';
export { circuitSchema } from './circuit/schema';
export { circuitFile, circuitFrom, parseCircuit } from './formats/circuit/parse';
// solver
export { solve, type Solved } from './solver/solve';
export { newtonBench } from './solver/newtonBench';
export { sweep, type SweepPlan, type Sweep } from './solver/sweep';
export { run } from './solver/run/run';
export { RUN_DEFAULTS, type RunPlan } from './solver/run/plan';
export type { Run } from './solver/run/passage';
export type { Cycle } from './solver/run/cycles';
// tolerance
export {
  BAND_DEFAULTS,
  bands,
  bandsOf,
  drawSlice,
  type Band,
  type BandOptions,
  type Draws,
} from './tolerance/bands';
export { histogram, type Histogram } from './tolerance/histogram';
export type { Slice } from './tolerance/sample';
export { drawn } from './tolerance/draw';
// observe
export {
  isGapped,
  isProbed,
  UNITS,
  type Checkpoint,
  type Held,
  type Measure,
  type PinRef,
} from './observe/checkpoint';
export { burdensFor } from './observe/draws';
export { instantOf, type ChipNow, type Instant, type LampNow, type PinNow } from './observe/instant';
export { isScene, withHeld } from './observe/held';
export { GLOW_AMPS, lampsSeen, LIT_AMPS, spellsOf } from './observe/looks';
export type { Bursts, LampSeen, Look, Spell } from './observe/looks';
export { metered, type MeterUse } from './observe/meter';
export type { Moving, Observation, Still } from './observe/observation';
export { observe, reportOf, voltsAcross } from './observe/observe';
export { read, type Reading } from './observe/read';
// parts
export { overloadOf, PARTS } from './parts/index';
export { type FaultCode, type FaultData } from './parts/mistake';
export type { Overload } from './parts/overload';
export type { PolarityCue } from './parts/polarity';
export { isCommonCathode, polarityOf, roomOf, thingOf, thingsOf, type Thing } from './parts/thing';
// sound
export * from './sound/index';
// answers
export { batteryLifeOf, DIM_AMPS, type BatteryLife } from './answers/battery';
export { resistorForCurrent, type ResistorAnswer } from './answers/resistor';
export { seek, type Wish } from './answers/seek';
export { thresholds, type Threshold } from './answers/thresholds';
export {
  timingChoices,
  type TimingCaution,
  type TimingChoice,
  type TimingDrawer,
  type TimingWish,
} from './answers/timing';
export { trimRange, type TrimRange } from './answers/trim';
// board
export {
  BOARD_CHOICES,
  BOARDS,
  boardsFor,
  buildType,
  choiceOf,
  type BoardChoice,
  type BoardId,
  type BoardSpec,
  type Copper,
} from './board/boards';
export { boardOf, copperOf } from './board/copper';
export { boardHoles, holeOf, LANE_PITCH, TAPE_PITCH, type Hole, type HoleName } from './board/geometry';
export {
  isOnTheBack,
  JUMPER_COLOURS,
  placementOf,
  planSchema,
  takenHoles,
  type JumperColour,
  type Placement,
  type Plan,
  type StandIn,
} from './board/plan';
export {
  addJumper,
  addPart,
  moveLeg,
  recolour,
  shifted,
  shiftPart,
  standInFor,
  stepsBetween,
  swapParts,
  takeAway,
  turnPart,
} from './board/edits';
export { asBuilt, type AsBuilt } from './board/asBuilt';
export { isArchedWire } from './board/arches';
export { makesWanted } from './board/makesWanted';
export { extraPart, readBack } from './board/readBack';
export { nets } from './board/sameCircuit';
export { layOut, type LaidOut } from './board/layout/layOut';
export { RAIL_HABITS, type LayoutRequest } from './board/layout/request';
export { boundsOf, type Bounds } from './board/layout/bounds';
export { qualityOf, type Quality } from './board/layout/score';
export { blockLists, wiringOf } from './board/layout/wiring';
export { diagramOf } from './diagram/diagram';
export type { ChipBox, Diagram } from './diagram/shapes';
export { currentPaths } from './diagram/paths';
// patterns
export { PATTERN_IDS, patternOf, PATTERNS, type PatternId } from './patterns/index';
export type { Goal } from './patterns/goal';
export {
  helpersIn,
  lightIn,
  sumsIn,
  timingIn,
  type Family,
  type FamilySums,
  type SumsOf,
} from './patterns/family';
export type { Life, LessonSums, StringSum } from './patterns/steady/figures';
export type { AgeRow, LampFigure } from './patterns/steady/ages';
export type {
  ChipTimes,
  Helper,
  LampTurn,
  TimingOption,
  TimingReason,
  TimingValues,
} from './patterns/timed/figures';
export { PARKED, parkedPlan } from './assembly/isolate';
export { isStop, type Isolation } from './assembly/step';
export { isSource, sourceOf } from './circuit/source';
export { BEAM, HOOD_SHARE, ROOMS, SCENE_LUX, SCENES, type Scene } from './catalogue/light';
export type { LightSums } from './answers/lampInLight';
export type { BeamRow, BeamState, BeamSums } from './answers/beam';
export { BEAM_LAMPS } from './patterns/beamAlarm/beamAlarm';
export {
  CONTROLLER_IDS,
  CONTROLLERS,
  controllerPin,
  RAIL_PLACE,
  type Controller,
  type ControllerId,
  type ControllerPin,
} from './catalogue/controllers';
export { nearestPin, pinId, pinNumber } from './program/pins';
export { MIX_COLOUR_NAMES, type MixColour } from './catalogue/colours';
export type { MixLamp, MixSums } from './patterns/rgb/mix';
export { PULSES_AT_FIRST } from './patterns/rgb/params';
export type { ProgramLamp, ProgramState, ProgramSums } from './program/sums';
export {
  COLUMNS_MOST,
  ROUNDS_MOST,
  ROW_SECONDS,
  ROWS_MOST,
  wantedSpells,
  wholeSeconds,
  type ProgramRow,
  type ProgramTable,
} from './program/table';
export { programCsv, readProgramCsv, stepIn } from './program/csv';
export * from './patterns/sequence/index';
export { limitsAt } from './patterns/limits';
export { ruleCpp, ruleMicroPython } from './program/ruleText';
export type { RuleSums } from './answers/duskRule';
export { cppOf } from './program/cpp';
export { microPythonOf } from './program/microPython';
export type { ProgramWords } from './program/script';
export { measuredIn } from './patterns/sensed';
export { BOOSTED } from './patterns/pulsed/pulsed';
export type { PulseSums } from './patterns/pulsed/pulses';
export * from './patterns/soundLights/index';
export { pitchWith } from './patterns/timed/pitch';
export { FLASHES_QUIET } from './patterns/timed/flashes';
export type { LampSorts } from './patterns/steady/parts';
export type { Way } from './patterns/steady/way';
export type { WayChoice } from './patterns/strings/strings';
export type { SingleParams } from './patterns/single/params';
export { readLampAmps, readSupplyVolts, SUPPLY_LIMIT_VOLTS } from './patterns/wishes';
export type { LoopSums, School } from './patterns/single/working';
export {
  DEFAULT_STYLE,
  ROUNDINGS,
  styleIn,
  styleSchema,
  type HouseStyle,
  type Rounding,
} from './patterns/style';
// assembly
export type { LessonTime } from './assembly/lessonTime';
export { AGE_GROUPS, type AgeGroup } from './assembly/pace';
export { idsOf, type Gate, type GateReading, type LegPlace, type Piece, type Step } from './assembly/step';
export { blocksOf, type Block } from './assembly/blocks';
export { cardSections } from './assembly/sections';
export { tapesOf, type Tape } from './assembly/taped';
// pictures of boards
export { homography, mapped, rectified, type Corners, type Pixels, type Spot } from './board/perspective';
// checking
export * from './checking/index';
export { identifyLamp, type LampGuess } from './answers/identifyLamp';
export { areFalling, fitLamp, fitMiss, type MeasuredPoint } from './answers/fitLamp';
export { measuredBattery, type MeasuredBattery } from './answers/measuredBattery';
export { spentAt } from './catalogue/discharge';
export { whatIf, type WhatIf, type Zone } from './answers/whatIf';
// kits
export type { Kit, KitLine } from './kits/kit';
export type { Substitute } from './kits/substitutes';
export { EXTRAS_MOST, type Extra } from './kits/extras';
export { comesBack, stockKey, stockSpecSchema, type StockItem, type StockSpec } from './kits/stock';
// sheet
export { cautionsAt, type Caution, type CautionCode } from './sheet/cautions';
export { benchContextSchema, isEmptyContext, sheetAsFound, type BenchContext } from './sheet/asFound';
export { faultContext, sessionExpectation, sessionSignatures } from './sheet/expectation';
export { speaksOfMains } from './sheet/mains';
export {
  buildSchema,
  choiceSchema,
  DEFAULT_BUILD,
  type Build,
  type ParamsOf,
  type PatternChoice,
} from './sheet/choice';
export { asItStands, type Standing, type StandingReading } from './sheet/asItStands';
export type { SheetRequest } from './sheet/request';
export { cheatSheet, type CheatCell, type CheatSheet } from './sheet/cheatSheet';
export { BENEATHS, beneathsFor, dayOf, type Beneath, type Day } from './sheet/day';
export { counted, makeSheet, workOut, type Sheet, type Uncounted } from './sheet/sheet';
// formats
export * from './formats/wav/index';
export {
  lampDiffers,
  LESSON_FORMAT,
  lessonFileSchema,
  lessonWords,
  parseLesson,
  serialiseLesson,
  type LessonFile,
  LEVELS,
  type LessonWords,
  type Level,
} from './formats/lesson/lesson';
export { builtDiffers, builtOf, VALUED, type Built, type BuiltDifference } from './formats/lesson/built';
export * from './formats/csv/index';
