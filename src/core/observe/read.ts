import { rangeFor, type MeterFigures } from '../catalogue/meter';
import { partOf } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { meterAmps, shownOf, turnsAt } from './byTurns';
import { isGapped, UNITS, type Checkpoint, type Gapped } from './checkpoint';
import { withHeld } from './held';
import { lampsSeen, type Look } from './looks';
import { burdenAt, metered, VOLTMETER_OHMS, type MeterUse } from './meter';
import type { Observation } from './observation';
import { observe, reportOf } from './observe';
import { pitchOf } from './sound';

/** What is noted at a checkpoint: a figure with its range, or what is seen. */
export type Reading =
  | {
      readonly kind: 'figure';
      readonly value: number;
      readonly unit: 'V' | 'A' | 'Hz' | 's';
      /** Full scale of the range that it is read on; 0 where no meter is used. */
      readonly range: number;
      /** More than the largest range shows. */
      readonly overload: boolean;
      /** The build while the meter is in it. */
      readonly during: Observation;
    }
  | { readonly kind: 'look'; readonly look: Look };

/**
 * What one notes at a checkpoint of a build. The meter is part of the circuit while it is read, so that what it takes,
 * adds or shorts is counted.
 *
 * @param seen the build as it is without the meter
 * @returns the reading, or why there is none: a leg that is not on the board, a build that does not settle
 */
export function read(
  seen: Observation,
  point: Checkpoint,
  use: MeterUse,
  meter: MeterFigures,
): Outcome<Reading> {
  const circuit = withHeld(seen.circuit, point.held);
  if (point.measure === 'look' || point.measure === 'hertz' || point.measure === 'seconds') {
    const now = circuit === seen.circuit ? accepted(seen) : observe(circuit);
    return now.ok ? watched(now.value, point) : now;
  }
  const alone = isGapped(point) ? gapAmps(seen, point) : 0;
  const burden = isGapped(point) ? burdenAt(meter, alone) : 0;
  const put = metered(circuit, point, use, burden);
  if (!put) return refused(finding('not-on-board', { part: point.part, kind: point.kind }));
  const during = observe(put.circuit);
  if (!during.ok) return during;
  const amps = meterAmps(during.value, 'by' in point ? point.by : undefined);
  const shown = put.shows === 'volts' ? amps * VOLTMETER_OHMS : amps;
  const value = put.shows === 'nothing' ? 0 : put.sign * shown;
  // What flows before the meter goes in decides its range.
  const range =
    put.shows === 'amps'
      ? rangeFor(meter, 'amps', Math.max(Math.abs(alone), Math.abs(value)))
      : rangeFor(meter, 'volts', value);
  return accepted({
    kind: 'figure',
    value: settled(value),
    unit: isGapped(point) ? 'A' : 'V',
    range,
    overload: Math.abs(value) > range,
    during: during.value,
  });
}

/** Below the last digit of the finest range of any meter a figure is nothing. */
function settled(value: number): number {
  return Math.abs(value) < 5e-7 ? 0 : value;
}

/** The current at a gap without the meter, which decides its range. */
export function gapAmps(seen: Observation, point: Gapped): number {
  const turns = point.by && seen.kind === 'moving' ? turnsAt(seen, point) : undefined;
  // The range must hold the higher of what it shows by turns.
  if (turns) return shownOf(turns, 'high');
  const report = reportOf(seen, point.gap.part);
  return report.pins[point.gap.pin] ?? report.amps;
}

/** What is seen or timed: without a meter. */
export function watched(seen: Observation, point: Checkpoint): Outcome<Reading> {
  const lamp = lampsSeen(seen).find(({ part }) => part === point.part);
  if (point.measure === 'look') return accepted({ kind: 'look', look: lamp?.look ?? 'dark' });
  if (point.kind === 'speaker') {
    // One hears what the loudspeaker gets, whatever the chip behind it does.
    const value = pitchOf(point.part, seen) ?? 0;
    return accepted({ kind: 'figure', value, unit: 'Hz', range: 0, overload: false, during: seen });
  }
  // Of a lamp one counts the flashes and times the light; of a chip, what its output does.
  const cycle = seen.kind === 'moving' && !lamp ? cycleOf(seen, point) : undefined;
  const [hertz, lit] = lamp ? [lamp.hertz, lamp.litFor] : [cycle?.hertz, cycle?.high];
  const value = (point.measure === 'hertz' ? hertz : lit) ?? 0;
  const unit = UNITS[point.measure] as 'Hz' | 's';
  return accepted({ kind: 'figure', value, unit, range: 0, overload: false, during: seen });
}

/** The rounds of the timer that a checkpoint is about. */
function cycleOf(seen: Extract<Observation, { kind: 'moving' }>, point: Checkpoint) {
  const { cycles } = seen.run;
  const output = partOf(seen.circuit, point.part)?.pins['output'];
  return output === undefined ? Object.values(cycles)[0] : cycles[output];
}
