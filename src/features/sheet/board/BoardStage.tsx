import Button from 'react-bootstrap/Button';
import type { HouseStyle, Sheet } from '@/core';
import { DiagramSection } from '../plan/DiagramSection';
import { StepBoard } from '../steps/StepBoard';
import { BoardWork, type BoardProps } from './BoardWork';
import { ReadingsNow } from './ReadingsNow';
import { WhatHappens } from './WhatHappens';

interface Props extends BoardProps {
  readonly style: HouseStyle;
  readonly title: string;
}

/** The board as the heart of the plan: large, to be worked on, with what it would do and the circuit under it. */
export function PlanBoard({ style, title, ...board }: Props) {
  const { sheet, trial, rough } = board;
  return (
    <>
      <WhatHappens sheet={sheet} trial={trial} />
      <div className="big-board">
        <BoardWork {...board} />
      </div>
      <div className="under-board">
        <ReadingsNow sheet={sheet} standing={trial.standing} rough={rough} />
      </div>
      <DiagramSection sheet={sheet} style={style} title={title} />
    </>
  );
}

interface StepProps {
  readonly sheet: Sheet;
  readonly at: number;
  onAt(at: number): void;
}

/** The same board at a step of the card, with the way to the next. */
export function StepsBoard({ sheet, at, onAt }: StepProps) {
  const last = sheet.steps.length - 1;
  return (
    <>
      <div className="big-board">
        <StepBoard sheet={sheet} at={at} />
      </div>
      <div className="button-row no-print">
        <Button variant="quiet" size="sm" disabled={at === 0} onClick={() => onAt(at - 1)}>
          Back
        </Button>
        <Button size="sm" disabled={at === last} onClick={() => onAt(at + 1)}>
          Next step
        </Button>
        <span className="small-print">
          step {at + 1} of {sheet.steps.length}
        </span>
      </div>
    </>
  );
}
