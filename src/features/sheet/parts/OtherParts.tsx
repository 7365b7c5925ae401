import { choiceOf, type LampType, type Sheet, type Shelf } from '@/core';
import { Meanings } from '@/features/glossary/Meanings';
import { BOARD_NAMES } from '@/messages/names';
import { boardAnatomy, otherParts, stillAssumed } from '@/messages/partsWords';

/** Parts that are neither lamp nor resistor, the board, and what is taken on trust. */
export function OtherParts({ sheet, shelf }: { sheet: Sheet; shelf: Shelf }) {
  const others = otherParts(sheet);
  const origins = Object.fromEntries(
    Object.entries(shelf.lamps).map(([type, lamp]) => [type as LampType, lamp.origin]),
  );
  const assumed = stillAssumed(sheet, origins);
  return (
    <>
      {others.length > 0 && (
        <section className="ruled">
          <h2>Other parts</h2>
          <Meanings list={others.map(({ name, told }) => [name, told])} />
        </section>
      )}
      <section className="ruled">
        <h2>The board</h2>
        <Meanings list={[[BOARD_NAMES[choiceOf(sheet.plan.board)], boardAnatomy(sheet.plan.board)]]} />
      </section>
      {assumed.length > 0 && (
        <section className="ruled">
          <h2>Still taken on trust</h2>
          <ul>
            {assumed.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
