import { choiceOf, formatQuantity } from '@/core';
import { BOARD_SHORT } from '@/messages/names';
import { BoardWork, type BoardProps } from './BoardWork';
import { ReadingsNow } from './ReadingsNow';
import { WhatHappens } from './WhatHappens';

/** The board beside the other stages: always in view, with what it would do and what a meter would read. */
export function BoardPanel(props: BoardProps) {
  const { sheet, trial } = props;
  // The run is that of the lesson: of a board that is only tried out it tells nothing.
  const instant = trial.isTrial ? undefined : props.instant;
  return (
    <aside className="board-panel" aria-label="As it stands on the board">
      <div className="ruled-head">
        <h2>
          As it stands on the board
          {instant ? `, at ${instant.time === 0 ? '0 s' : formatQuantity(instant.time, 's', 3)}` : ''}
        </h2>
        <span className="tag">{BOARD_SHORT[choiceOf((trial.plan ?? sheet.plan).board)]}</span>
      </div>
      <BoardWork {...props} instant={instant} />
      <WhatHappens sheet={sheet} trial={trial} />
      <ReadingsNow sheet={sheet} standing={trial.standing} rough={props.rough} />
    </aside>
  );
}
