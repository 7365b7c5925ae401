import {
  asItStands,
  asLoud,
  bandsOf,
  batteryLifeOf,
  counted,
  dayOf,
  diagramOf,
  drawSlice,
  dryRuns,
  faultContext,
  fromWav,
  listen,
  loudnessOf,
  mixed,
  makeSheet,
  resistorForCurrent,
  responseTo,
  roughly,
  run,
  solve,
  sweep,
  testSound,
  thresholds,
  tonesAlong,
  toWav,
  trimRange,
  whatIf,
  type BandOptions,
  type Beneath,
  type Day,
  type Diagram,
  type Heard,
  type Music,
  type Response,
  type TestSound,
  type Circuit,
  type Outcome,
  type Sheet,
  type SheetRequest,
  type Slice,
  type Sweep,
  type SweepPlan,
} from '@/core';
import { judges } from './judges';

/** How loud a sound is heard, of what it is. */
const HEARD_AT = 0.3;
/** Tones of a response curve: five to an octave and more. */
const RESPONSE_TONES = 49;

/** Values of what varies, and the current of some parts at each. */
export type CurrentsVaried = Pick<Sweep, 'values' | 'parts'>;

let lastSweep: { readonly asked: string; readonly swept: Outcome<Sweep> } | undefined;

/** The heavy work that screens ask for, off the main thread. */
export const coreApi = {
  sheet(request: SheetRequest): Outcome<Sheet> {
    return makeSheet(request);
  },
  asItStands,
  counted,
  ...judges,
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
  /** Of all that follows from a figure that varies, the currents that are drawn: thousands of others stay here. */
  currentsVaried(circuit: Circuit, plan: SweepPlan, ids: readonly string[]): Outcome<CurrentsVaried> {
    const asked = JSON.stringify([circuit, plan]);
    if (asked !== lastSweep?.asked) lastSweep = { asked, swept: sweep(circuit, plan) };
    const { swept } = lastSweep;
    if (!swept.ok) return swept;
    const { values, parts } = swept.value;
    const told = Object.entries(parts).filter(([id]) => ids.includes(id));
    return { ...swept, value: { values, parts: Object.fromEntries(told) } };
  },
  run(circuit: Circuit, seconds: number, settle: number, onProgress: (share: number) => void) {
    return run(circuit, { seconds, settle, samples: 1001 }, { onProgress });
  },
  music: fromWav,
  /** A sound as a file that a browser plays, quietly enough to startle nobody. */
  heardAs(sound: TestSound | Music) {
    const music = typeof sound === 'string' ? testSound(sound) : mixed(sound);
    return toWav(
      Float64Array.from(music.samples, (value) => value * HEARD_AT),
      music.rate,
    );
  },
  response(circuit: Circuit, loudness: number): Response {
    return responseTo(circuit, tonesAlong(RESPONSE_TONES), loudness);
  },
  hear(
    circuit: Circuit,
    sound: TestSound | Music,
    loudness: number,
    onRough: (heard: Heard, loud: Float32Array) => void,
    onFrames: (heard: Heard, from: number) => void,
  ): Outcome<Heard> {
    const loud = asLoud(circuit, loudness);
    const made = typeof sound === 'string' ? testSound(sound) : undefined;
    const music = typeof sound === 'string' ? { left: made!, right: made! } : sound;
    onRough(roughly(loud, music), loudnessOf(music));
    return listen(loud, music, (heard, from) => {
      onFrames(heard, from);
      return true;
    });
  },
  /** @param wiring a circuit as JSON: of a large one the page only passes it on */
  diagramOfWiring(wiring: string): Diagram | undefined {
    return diagramOf(JSON.parse(wiring) as Circuit);
  },
  resistorForCurrent,
  thresholds,
  trimRange,
  batteryLifeOf,
};

export type CoreApi = typeof coreApi;
