import Button from 'react-bootstrap/Button';
import { BOARD_CHOICES, DEFAULT_BUILD, type Finding, type PatternChoice } from '@/core';
import { BOARD_NAMES } from '@/messages/names';

interface Props {
  readonly refusals: readonly Finding[];
  readonly choice: PatternChoice;
  onChoice(choice: PatternChoice): void;
}

/** The boards that a lesson fits on, where it does not fit on its own: the way on, wherever one looks at it. */
export function OtherBoards({ refusals, choice, onChoice }: Props) {
  const would = refusals.flatMap((finding) =>
    finding.code === 'does-not-fit' ? finding.data.would.split(' ') : [],
  );
  const boards = BOARD_CHOICES.filter((board) => would.includes(board));
  if (boards.length === 0) return null;
  return (
    <p className="other-boards">
      Build it on{' '}
      {boards.map((board) => (
        <Button
          key={board}
          variant="quiet"
          size="sm"
          className="me-2 mb-1"
          onClick={() => onChoice({ ...choice, build: { ...DEFAULT_BUILD, ...choice.build, board } })}
        >
          {BOARD_NAMES[board]}
        </Button>
      ))}
    </p>
  );
}
