import { formatEntered, type Gate, type ProgramTable, type Sheet } from '@/core';
import { ownName } from './names';
import { listWords } from './stepWords';

/**
 * What the lamps do while the program for measuring runs, on the very board that the gate is of: `D1, then D1 and D2, then
 * all dark, 15 s each, over and over`.
 */
export function turnsWords(
  turns: NonNullable<Gate['turns']>,
  { rows }: ProgramTable,
  { circuit }: Pick<Sheet, 'circuit'>,
): string {
  const lit = turns.map((lamps) =>
    lamps.length > 0 ? listWords(lamps.map((id) => ownName(circuit, id))) : 'none',
  );
  return `${lit.join(', then ')}, ${formatEntered(rows[0]!.seconds, 's')} each, over and over`;
}
