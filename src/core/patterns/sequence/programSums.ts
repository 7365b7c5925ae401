import { brightnessAt } from '../../catalogue/brightness';
import { controllerPin } from '../../catalogue/controllers';
import { isKind, partOf, type Circuit } from '../../circuit/circuit';
import { shareAt } from '../../devices/pinTable';
import { accepted, type Outcome } from '../../findings/finding';
import type { Held } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { GLOW_AMPS } from '../../observe/looks';
import type { Observation } from '../../observe/observation';
import { observe, reportOf } from '../../observe/observe';
import { pinId } from '../../program/pins';
import type { ProgramLamp, ProgramState, ProgramSums } from '../../program/sums';
import { millisOf, pinTableOf, roundMillis, wholeSeconds } from '../../program/table';
import { tableOf, type SequenceParams } from './params';

/** The pins of the circuit as a row of the table leaves them. */
export function heldAt(params: SequenceParams, row: number): Held {
  const table = tableOf(params);
  const until = params.rows.slice(0, row + 1).reduce((sum, one) => sum + millisOf(one), 0) / 1000;
  return Object.fromEntries(
    wired(params).map(({ pin, column }) => [
      pinId(pin),
      shareAt({ ...pinTableOf(table, column), rounds: 1 }, until, 'until'),
    ]),
  );
}

/** Lamps whose pin the table names, with its column. */
export function wired({ lamps, columns }: SequenceParams): { part: string; pin: number; column: number }[] {
  return lamps.flatMap(({ pin }, i) => {
    const column = columns.indexOf(pin);
    return column < 0 ? [] : [{ part: `D${i + 1}`, pin, column }];
  });
}

/** Each row of the table observed, and what the whole comes to. */
export function programSums(
  params: SequenceParams,
  circuit: Circuit,
  seen: Observation,
  resistors: readonly string[],
): Outcome<ProgramSums> {
  const table = tableOf(params);
  const rows: ProgramState[] = [];
  let at = 0;
  for (const [i, row] of params.rows.entries()) {
    const held = heldAt(params, i);
    const high = observe(withHeld(circuit, fullyOn(held, table.lowLights)));
    if (!high.ok) return high;
    rows.push({
      at,
      seconds: millisOf(row) / 1000,
      fade: row.fade,
      lamps: params.lamps.map(({ pin }, k) => {
        const part = `D${k + 1}`;
        const amps = ampsAt(seen, part, at + millisOf(row) / 1000);
        const column = params.columns.indexOf(pin);
        // As the columns stand it is the k-th that is meant for this lamp, whichever pin it names.
        const step = row.steps[column < 0 ? k : column] ?? 0;
        return { part, step, amps, brightness: brightnessAt(amps, maxAmpsOf(circuit, part)) };
      }),
      peak: pinAmpsIn(high.value),
    });
    at += millisOf(row) / 1000;
  }
  const lamps = params.lamps.map(({ lamp, pin }, i): ProgramLamp => {
    const part = `D${i + 1}`;
    const column = params.columns.indexOf(pin);
    const spec = controllerPin(params.board, pin)!;
    return {
      part,
      type: lamp,
      resistor: resistors[i]!,
      pin,
      place: spec.place,
      dims: spec.dims,
      column: column < 0 ? undefined : column,
      peak: column < 0 ? 0 : peakOf(circuit, params, part, pin),
      mean: Math.max(0, reportOf(seen, part).amps),
      on: column < 0 ? 0 : onSeconds(params, column),
    };
  });
  const astray = lamps.filter(({ part }) =>
    rows.some(({ lamps: states }) => {
      const { step, amps } = states.find((state) => state.part === part)!;
      return step > 0 !== amps >= GLOW_AMPS;
    }),
  );
  return accepted({
    table,
    lamps,
    rows,
    roundSeconds: roundMillis(table) / 1000,
    wholeSeconds: wholeSeconds(table),
    astray: astray.map(({ part }) => part),
  });
}

/** What a lamp carries just before an instant of the program, of pulses the mean. */
function ampsAt(seen: Observation, part: string, until: number): number {
  if (seen.kind === 'still') return Math.max(0, reportOf(seen, part).amps);
  const { time, parts } = seen.run;
  // Where it jumps two samples stand at one instant: the first is what was.
  const place = time.findIndex((sample) => sample >= until - 1e-9 * Math.max(1, until));
  return Math.max(0, parts[part]!.amps[place < 0 ? time.length - 1 : place]!);
}

/** Every pin that does anything at the level that lights. */
function fullyOn(held: Held, lowLights: boolean): Held {
  return Object.fromEntries(
    Object.entries(held).map(([pin, share]) => {
      const on = lowLights ? share !== 1 : share !== 0;
      return [pin, on !== lowLights ? 1 : 0];
    }),
  );
}

function pinAmpsIn(seen: Observation): number {
  const pins = seen.circuit.parts.filter((part) => isKind(part, 'pin'));
  return pins.reduce((sum, { id }) => sum + Math.abs(reportOf(seen, id).amps), 0);
}

/** What one pin carries while its lamp alone is fully on. */
function peakOf(circuit: Circuit, params: SequenceParams, part: string, pin: number): number {
  const lowLights = params.common === 'plus';
  const others = wired(params).map((one) => [pinId(one.pin), lowLights ? 1 : 0] as const);
  const alone = observe(
    withHeld(circuit, { ...Object.fromEntries(others), [pinId(pin)]: lowLights ? 0 : 1 }),
  );
  return alone.ok ? Math.max(0, reportOf(alone.value, part).amps) : 0;
}

function onSeconds({ rows, ...params }: SequenceParams, column: number): number {
  const table = pinTableOf(tableOf({ ...params, rows }), column);
  const lit = (share: number) => (params.common === 'plus' ? 1 - share : share);
  return table.spells.reduce((sum, { seconds, from, to }) => sum + (seconds * (lit(from) + lit(to))) / 2, 0);
}

function maxAmpsOf(circuit: Circuit, id: string): number {
  const lamp = partOf(circuit, id);
  return lamp && isKind(lamp, 'led') ? lamp.params.maxAmps : 0.02;
}
