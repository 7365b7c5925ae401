'use client';

import { useEffect, useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import { formatEntered, formatQuantity, type Expected, type Verdict } from '@/core';
import { useTyped } from '@/ui/useTyped';
import { STATUS_WORDS } from '@/ui/StatusMark';
import { EarlierReadings, type ShownReading } from './EarlierReadings';
import { cellId, focusCell, focusColumnEnd } from './focusCell';
import { MiniBand } from './MiniBand';

interface Props {
  readonly label: string;
  readonly row: number;
  readonly column: number;
  /** Words, not a figure. */
  readonly wide?: boolean;
  /** Enter goes past it: nobody is there yet. */
  readonly passedOver?: boolean;
  readonly band: Expected | undefined;
  /** Every row of this cell, oldest first; the readings of it that were not taken back. */
  readonly history: readonly ShownReading[];
  readonly standing: readonly ShownReading[];
  readonly verdict: Verdict | undefined;
  /** The newest figure is of the build before it was mended, and counts no more. */
  readonly isPast?: boolean;
  /** Text that was typed and not taken, with the reason elsewhere. */
  readonly refused: string | undefined;
  /** Benches to which a figure may be moved. */
  readonly benches: readonly { readonly id: number; readonly name: string }[];
  onCommit(typed: string): void;
  onFocus(): void;
  onRevert(): void;
  /** Enter was pressed on an empty cell: it waits for a key that says what is meant. */
  onEmpty(): void;
  /** The newest figure is taken back, or moved to another bench. */
  onTakeBack(): void;
  onMove(studentId: number): void;
  onAbsent(): void;
  /** The likeliest cause of this bench was what was found. */
  onFound(): void;
  /** The meter’s figure is to drop in. */
  onMeter?(): void;
}

/** Keys that say what an empty cell means; until one is pressed after Enter, nothing that is typed goes in. */
const RELEASING = new Set(['ArrowDown', 'ArrowUp', 'Escape', 'Backspace', 'Tab', 'a']);

/** One checkpoint of one bench: type a figure, Enter, next bench. A figure that is not taken stays; the caret goes on. */
export function ReadingCell(props: Props) {
  const {
    label,
    row,
    column,
    wide = false,
    band,
    history,
    standing,
    verdict,
    refused,
    isPast = false,
  } = props;
  const current = standing[standing.length - 1];
  const [typed, setTyped] = useTyped<string | undefined>(label, undefined);
  const [waits, setWaits] = useState(false);
  const [isHere, setIsHere] = useState(false);
  /** It was typed before a reload, and nobody has entered it since. */
  const isLeft = typed !== undefined && !isHere;
  // Enter commits and then leaves the cell, which would commit once more before the next render.
  const draft = useRef(typed);
  useEffect(() => {
    // After a reload what was typed is there again, and not entered.
    draft.current ??= typed;
  }, [typed]);
  const write = (text: string | undefined) => {
    draft.current = text;
    setTyped(text);
  };
  const clash = clashIn(standing);
  const { stands, shown } = textsOf(typed, refused, current, isPast);
  const commit = () => {
    const text = draft.current?.trim();
    write(undefined);
    if (text === undefined || text === stands || text === '') return;
    props.onCommit(text);
  };
  const isEmpty = () => (draft.current ?? shown).trim() === '';
  const change = (event: ChangeEvent<HTMLInputElement>) => {
    // The browser's own undo brings back text of a figure that was sent long ago.
    const { inputType } = event.nativeEvent as InputEvent;
    if (waits || inputType === 'historyUndo' || inputType === 'historyRedo') return;
    write(event.target.value);
  };
  const goOn = (step: 1 | -1) => {
    if (!focusCell(row, column, step, 'there')) focusColumnEnd();
  };
  const enter = (step: 1 | -1) => {
    if (!isEmpty()) {
      commit();
      return goOn(step);
    }
    setWaits(true);
    props.onEmpty();
  };
  const walk = (step: 1 | -1) => {
    commit();
    focusCell(row, column, step, 'any');
  };
  const isUntouched = () => draft.current === undefined;
  /** What a key does here; undefined where it is for the field itself. */
  const workOf = (event: KeyboardEvent): (() => void) | undefined => {
    switch (event.key) {
      case 'Enter':
        return () => enter(event.shiftKey ? -1 : 1);
      case 'ArrowDown':
        return () => walk(1);
      case 'ArrowUp':
        return () => walk(-1);
      case 'Escape':
        return () => {
          write(undefined);
          props.onRevert();
        };
      case 'Delete':
        if (!isUntouched()) return undefined;
        // A slip that was refused goes; the figure that stands under it stays. A key held down takes back one.
        return refused !== undefined ? props.onRevert : event.repeat ? () => undefined : props.onTakeBack;
      case '!':
        return props.onFound;
      case 'a':
        return wide || !isEmpty()
          ? undefined
          : () => {
              props.onAbsent();
              goOn(1);
            };
      case 'r':
        return isUntouched() ? props.onMeter : undefined;
      default:
        return undefined;
    }
  };
  const key = (event: KeyboardEvent<HTMLInputElement>) => {
    const isShortcut = event.ctrlKey || event.metaKey || event.altKey;
    if (waits && !isShortcut && event.key !== 'Shift') {
      if (!RELEASING.has(event.key)) return event.preventDefault();
      setWaits(false);
    }
    const work = isShortcut ? undefined : workOf(event);
    if (!work) return;
    event.preventDefault();
    work();
  };
  return (
    <td className={cellClass(verdict, wide, isPast, waits, isLeft)}>
      <div className="reading-line">
        <input
          id={cellId(row, column)}
          data-passed-over={props.passedOver || undefined}
          aria-label={isLeft ? `${label}, typed and not entered yet` : labelled(label, verdict, isPast)}
          aria-invalid={refused !== undefined || waits}
          title={isPast ? PAST : howSure(verdict, band)}
          inputMode={wide ? 'text' : 'decimal'}
          autoComplete="off"
          value={shown}
          onChange={change}
          onFocus={(event) => {
            setIsHere(true);
            event.target.select();
            props.onFocus();
          }}
          onBlur={() => {
            setIsHere(false);
            setWaits(false);
            commit();
          }}
          onMouseDown={() => setWaits(false)}
          onKeyDown={key}
        />
        {history.length > 0 && (
          <EarlierReadings
            label={label}
            history={history}
            newest={current}
            benches={props.benches}
            onTakeBack={props.onTakeBack}
            onMove={props.onMove}
          />
        )}
      </div>
      {clash && <div className="clash">{clash}</div>}
      <Placed band={band} value={current?.value} verdict={verdict} />
    </td>
  );
}

/** What stands there and counts, which to type again says nothing; and what the field shows. */
function textsOf(
  typed: string | undefined,
  refused: string | undefined,
  current: ShownReading | undefined,
  isPast: boolean,
) {
  return {
    stands: isPast ? undefined : (current?.typed ?? ''),
    shown: typed ?? (refused || current?.typed) ?? '',
  };
}

/** Where the figure lies in its band. */
function Placed({ band, value, verdict }: Pick<Props, 'band' | 'verdict'> & { value: number | undefined }) {
  if (!band || value === undefined || !verdict) return null;
  return (
    <MiniBand low={band.low} high={band.high} value={verdict.counted ?? value} verdict={verdict.verdict} />
  );
}

/** Two who read the same thing and noted different figures: neither is dropped, and a correction settles it. */
function clashIn(history: readonly ShownReading[]): string | undefined {
  const [newest, before] = [history[history.length - 1], history[history.length - 2]];
  if (!newest || !before || newest.kind !== 'first' || newest.typed === before.typed) return undefined;
  const by = ({ typed, takenBy }: ShownReading) => `${typed}${takenBy ? ` (${takenBy})` : ''}`;
  return `two read it: ${by(before)}, ${by(newest)}`;
}

function labelled(label: string, verdict: Verdict | undefined, isPast: boolean): string {
  if (isPast) return `${label}, ${PAST}`;
  return verdict ? `${label}, ${STATUS_WORDS[verdict.verdict]}` : label;
}

const PAST = 'read before it was mended';

function cellClass(
  verdict: Verdict | undefined,
  wide: boolean,
  isPast: boolean,
  waits: boolean,
  isLeft: boolean,
): string {
  const words = [
    'reading',
    verdict?.verdict === 'off' && 'off',
    wide && 'glance',
    isPast && 'past',
    waits && 'waits',
    isLeft && 'left',
  ];
  return words.filter(Boolean).join(' ');
}

/** What the meter's own resolution and accuracy leave open. */
function howSure(verdict: Verdict | undefined, band: Expected | undefined): string | undefined {
  if (!verdict || !band) return undefined;
  const { uncertainty, range } = verdict;
  const { unit } = band;
  if (range === 0) return `± ${formatQuantity(uncertainty, unit, 2)}, by watch, count or ear`;
  return `± ${formatQuantity(uncertainty, unit, 2)}, as read on the ${formatEntered(range, unit)} range`;
}
