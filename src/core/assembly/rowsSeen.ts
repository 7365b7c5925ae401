import { isKind, type Circuit } from '../circuit/circuit';
import type { Held } from '../observe/checkpoint';
import { withHeld } from '../observe/held';
import type { Observation } from '../observe/observation';
import { observe } from '../observe/observe';

/** The end of a row of a program, as the build that is there shows it. */
export interface RowSeen {
  /** The share of the time for which each pin is high. */
  readonly pins: Held;
  readonly seen: Observation;
}

/** Every row of what a controller runs; nothing where no pin is set by a table, or a row cannot be solved. */
export function rowsSeen(circuit: Circuit): RowSeen[] {
  const pins = circuit.parts.flatMap((part) =>
    isKind(part, 'pin') && part.params.drive === 'table' ? [part] : [],
  );
  const rows: RowSeen[] = [];
  for (let row = 0; row < (pins[0]?.params.spells.length ?? 0); row++) {
    const held = Object.fromEntries(
      pins.map(({ id, params }) => [id, params.spells[row]?.to ?? params.after]),
    );
    const state = observe(withHeld(circuit, held));
    if (!state.ok) return [];
    rows.push({ pins: held, seen: state.value });
  }
  return rows;
}
