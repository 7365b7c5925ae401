import { Fragment, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import type { HouseStyle } from '@/core';
import type { Piece, Slot } from '@/messages/wishes/sentence';
import type { Problems } from './problems';
import { SupplyWords } from './SupplyWords';
import { Choice, Typed } from '@/features/wish/Words';

interface Props<Params> {
  readonly piece: Piece<Params>;
  readonly params: Params;
  readonly style: HouseStyle;
  readonly problems: Problems;
  onChange(params: Params): void;
}

/** A wish as a sentence: text as text, each slot as the field that changes it. */
export function WishSentence<Params>({ piece, ...props }: Props<Params>): ReactNode {
  if (typeof piece === 'string') return piece;
  if (typeof piece === 'function') return <WishSentence piece={piece(props.params)} {...props} />;
  if (piece.as !== 'sentence') return <Field slot={piece} {...props} />;
  return piece.pieces.map((inner, i) => (
    <Fragment key={i}>
      <WishSentence piece={inner} {...props} />
    </Fragment>
  ));
}

type FieldProps<Params> = Omit<Props<Params>, 'piece'> & { readonly slot: Slot<Params> };

function Field<Params>({ slot, params, style, problems, onChange }: FieldProps<Params>): ReactNode {
  switch (slot.as) {
    case 'choice':
      return (
        <Choice
          label={slot.label}
          value={slot.value(params, style)}
          names={slot.names(params)}
          onChoose={(key) => onChange(slot.choose(params, key))}
        />
      );
    case 'figure':
      return (
        <Typed
          label={slot.label}
          value={slot.shown(params)}
          read={(typed) => slot.read(typed)}
          onValue={(value) => onChange(slot.set(params, value))}
          onProblem={problems.of(slot.label)}
          width={slot.width}
        />
      );
    case 'button':
      return (
        <Button
          variant="text"
          className="btn-text word-button"
          aria-label={slot.label}
          onClick={() => onChange(slot.press(params))}
        >
          {slot.words}
        </Button>
      );
    case 'supply':
      return (
        <SupplyWords
          supply={slot.value(params)}
          problems={problems}
          onChange={(supply) => onChange(slot.set(params, supply))}
        />
      );
  }
}
