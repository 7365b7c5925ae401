import { CONTROLLERS } from '../catalogue/controllers';
import { isKind, type Circuit } from '../circuit/circuit';
import type { Checkpoint } from '../observe/checkpoint';
import type { Seconds } from '../quantities/units';
import { pinId, pinNumber } from './pins';
import { pinTableOf, type ProgramTable } from './table';

/** Two probes are put and a hand meter comes to rest in this time, and the next state is not waited for too long. */
export const MEASURING_SECONDS: Seconds = 15;

/**
 * The program for measuring: every state of the pins in which something is read, one after another and over and over,
 * each for long enough. A lesson's own rows may be over before a hand has put its probes, or come once and never again.
 *
 * @returns nothing where no checkpoint is read at a state of the pins
 */
export function measuringTable(
  lesson: Pick<ProgramTable, 'board' | 'columns' | 'lowLights'>,
  checkpoints: readonly Checkpoint[],
): ProgramTable | undefined {
  const full = CONTROLLERS[lesson.board].steps;
  const states = new Map<string, readonly number[]>();
  for (const { held = {} } of checkpoints) {
    if (!Object.keys(held).some((part) => pinNumber(part) !== undefined)) continue;
    const steps = lesson.columns.map((pin) => {
      const high = held[pinId(pin)];
      // A pin that hangs on nothing is left where its lamp would be dark.
      const share = typeof high === 'number' ? high : lesson.lowLights ? 1 : 0;
      return Math.round(full * (lesson.lowLights ? 1 - share : share));
    });
    states.set(steps.join(' '), steps);
  }
  if (states.size === 0) return undefined;
  const { board, columns, lowLights } = lesson;
  const rows = [...states.values()].map((steps) => ({ steps, seconds: MEASURING_SECONDS, fade: false }));
  return { board, columns, lowLights, rows, rounds: 0, after: 'stay' };
}

/** A circuit whose controller runs this table. */
export function running(table: ProgramTable, circuit: Circuit): Circuit {
  const parts = circuit.parts.map((part) => {
    const column = isKind(part, 'pin') ? table.columns.indexOf(pinNumber(part.id) ?? NaN) : -1;
    if (!isKind(part, 'pin') || column < 0) return part;
    return { ...part, params: { ...part.params, drive: 'table' as const, ...pinTableOf(table, column) } };
  });
  return { ...circuit, parts };
}
