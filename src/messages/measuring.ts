import { CONTROLLERS, formatEntered, formatPercent, type ProgramTable, type Sheet } from '@/core';
import { boardLamps } from './program';
import { listWords } from './stepWords';

const S = (seconds: number) => formatEntered(seconds, 's');

/** How long each of its states stands. */
export function eachFor({ rows }: ProgramTable): string {
  return `${S(rows[0]!.seconds)} each`;
}

/**
 * What the lamps do while the program for measuring runs: `D1, then D2, then D3, 15 s each, over and over`.
 *
 * @param lights which of them light at all on the board that is spoken of
 */
export function measuringWords(
  table: ProgramTable,
  { sums }: Pick<Sheet, 'sums'>,
  lights: (part: string) => boolean = () => true,
): string {
  const { steps: full } = CONTROLLERS[table.board];
  const names = new Map(
    boardLamps({ sums })
      .filter(({ part }) => lights(part))
      .map(({ part, pin }) => [pin, sums.mix?.lamps.find((lamp) => lamp.pin === pin)?.colour ?? part]),
  );
  const rows = table.rows.map(({ steps }) => {
    const lit = table.columns.flatMap((pin, i) => {
      const [step, name] = [steps[i]!, names.get(pin)];
      if (step <= 0 || name === undefined) return [];
      return [step >= full ? name : `${name} at ${formatPercent(step / full)}`];
    });
    return lit.length > 0 ? listWords(lit) : 'all dark';
  });
  return `${rows.join(', then ')}, ${eachFor(table)}, over and over`;
}
