import { canBeSwept, type AtVolts, type Cause, type JudgedPoint, type Look } from '@/core';
import { Refusal } from './failures';
import { readMeter, type MeterSays } from './instruments/meter';
import { sweepBench, type SweptStep } from './instruments/supply';
import { lessonBehind, madeUpBench, type BenchName } from './standins/benches';
import { standIns } from './standins/start';
import { inThread } from './work/pool';

/** What an eye sees at a made-up bench. */
export interface Looked {
  readonly looks: Readonly<Record<string, Look>>;
  /** A lamp of another colour than the plan's. */
  readonly otherColour?: string | undefined;
  readonly hot: boolean;
}

/** Reads the stand-in meter at a checkpoint of a made-up bench. */
export async function readStandIn(bench: BenchName, point: string): Promise<MeterSays> {
  // Made up first: what stands in the way of that is said in a sentence of its own.
  const { points } = await madeUpBench(bench);
  const at = points.find(({ id }) => id === point);
  if (!at) throw new Refusal('This session has no such checkpoint. Load the page again.');
  return readMeter(await standIns.meter(), at, bench);
}

export async function benchLooks(bench: BenchName): Promise<Looked> {
  const { sight } = await madeUpBench(bench);
  return { looks: sight.looks, otherColour: sight.colour?.lamp, hot: sight.hot === true };
}

export async function benchWas(
  bench: BenchName,
): Promise<{ readonly cause: Pick<Cause, 'code' | 'data'>; readonly points: readonly JudgedPoint[] }> {
  const { cause, points } = await madeUpBench({ ...bench, mended: false });
  return { cause, points };
}

/** A supply that is turned up: the made-up bench by the stand-in, beside the lesson as it is meant. */
export interface Swept {
  readonly bench: readonly SweptStep[];
  readonly meant: readonly AtVolts[];
  /** What the lesson’s own supply gives. */
  readonly usual: number;
}

const STEPS = 96;

/** @param most volts up to which the supply is turned */
export async function sweepStandIn(bench: BenchName, most: number): Promise<Swept> {
  const { circuit, usual } = await sweptLesson(bench.sessionId);
  await madeUpBench(bench);
  const settings = Array.from({ length: STEPS + 1 }, (_, i) => (most * i) / STEPS);
  const [steps, meant] = await Promise.all([
    standIns.supply().then((address) => sweepBench(address, bench, settings)),
    inThread('swept', { circuit, volts: settings }),
  ]);
  return { bench: steps, meant: meant.filter((one) => one !== undefined), usual };
}

async function sweptLesson(sessionId: number) {
  const { sheet } = await lessonBehind(sessionId);
  if (!canBeSwept(sheet))
    throw new Refusal(
      'This lesson moves, or has no supply of its own to be turned: there is nothing to sweep.',
    );
  return { circuit: sheet.circuit, usual: sheet.sums.supplyFigures.volts };
}

/** Whether a session's lesson can be swept, and by what its supply gives; nothing where its benches cannot be made up. */
export async function practiceOf(
  sessionId: number,
): Promise<{ readonly usual: number | undefined } | { readonly refused: string }> {
  try {
    const { sheet } = await lessonBehind(sessionId);
    return { usual: canBeSwept(sheet) ? sheet.sums.supplyFigures.volts : undefined };
  } catch (error) {
    if (error instanceof Refusal) return { refused: error.message };
    throw error;
  }
}
