import { CONTROLLERS, controllerPin } from '../../catalogue/controllers';
import { finding, type Finding } from '../../findings/finding';
import { nearestPin } from '../../program/pins';
import { pinRefusals } from '../onBoard';
import { roundMillis, stepsBefore, wholeSeconds, type ProgramTable } from '../../program/table';
import { tableOf, type SequenceParams } from './params';

/** Why such a table cannot be built: pins that are not there, in use twice, or cannot do what a row asks. */
export function sequenceRefusals(params: SequenceParams): Finding[] {
  const table = tableOf(params);
  return [...wiringRefusals(params), ...stepRefusals(table), ...dimRefusals(table)];
}

function wiringRefusals({ board, lamps, columns }: SequenceParams): Finding[] {
  const wires = lamps.map(({ pin }) => pin);
  const used = [...wires, ...columns];
  const spec = CONTROLLERS[board];
  const wrong = pinRefusals(spec, wires, { used });
  // A lamp takes its column along: what is wrong with both is said of the lamp.
  const named = new Set(wrong.flatMap(({ data }) => ('pin' in data ? [data.pin] : [])));
  const tabled = pinRefusals(spec, columns, { where: 'table', used });
  return [...wrong, ...tabled.filter(({ data }) => !('pin' in data && named.has(data.pin)))];
}

/** A value outside of the range is refused: it does not wrap. */
function stepRefusals({ board, columns, rows }: ProgramTable): Finding[] {
  const { steps: limit } = CONTROLLERS[board];
  for (const [i, { steps }] of rows.entries()) {
    const column = steps.findIndex((step) => step > limit);
    if (column >= 0)
      return [finding('step-beyond', { row: i + 1, pin: columns[column]!, step: steps[column]!, limit })];
  }
  return [];
}

function dimRefusals(table: ProgramTable): Finding[] {
  const { board, columns, rows } = table;
  const { steps: full } = CONTROLLERS[board];
  return columns.flatMap((pin, column): Finding[] => {
    if (controllerPin(board, pin)?.dims) return [];
    let before = stepsBefore(table)[column]!;
    for (const [i, { steps, fade }] of rows.entries()) {
      const step = steps[column]!;
      const fades = fade && step !== before;
      if (fades || (step > 0 && step < full)) {
        const nearest = nearestPin(CONTROLLERS[board], pin, columns, ({ dims }) => dims) ?? 0;
        return [finding('pin-does-not-dim', { row: i + 1, pin, how: fades ? 'fade' : 'dim', nearest })];
      }
      before = step;
    }
    return [];
  });
}

/** What is built as it is said, and will surprise. */
export function sequenceWarnings(params: SequenceParams): Finding[] {
  const table = tableOf(params);
  const { lamps, columns, says } = params;
  const found: Finding[] = [];
  lamps.forEach(({ pin }, i) => {
    if (!columns.includes(pin))
      found.push(finding('table-misses-wire', { part: `D${i + 1}`, wire: pin, pin: columns[i]! }, 'warning'));
  });
  const wire = lamps.find(({ pin }) => controllerPin(params.board, pin)?.upload);
  if (wire) {
    const nearest = nearestPin(CONTROLLERS[params.board], wire.pin, columns) ?? 0;
    found.push(finding('pin-uploads', { pin: wire.pin, nearest }, 'warning'));
  }
  // Of a program without end it is a round that can be told.
  const seconds = wholeSeconds(table) ?? roundMillis(table) / 1000;
  if (says !== undefined && Math.abs(says - seconds) > 0.0005 * seconds) {
    found.push(finding('times-contradict', { says, sum: seconds, rounds: params.rounds }, 'warning'));
  }
  return found;
}
