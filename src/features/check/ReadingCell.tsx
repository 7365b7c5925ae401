'use client';

import { useRef, useState, type KeyboardEvent } from 'react';
import OverlayTrigger from 'react-bootstrap/OverlayTrigger';
import Popover from 'react-bootstrap/Popover';
import { formatEntered, formatQuantity, type Expected, type Verdict } from '@/core';
import { STATUS_WORDS } from '@/ui/StatusMark';
import { clockTime } from '@/ui/dates';
import { MiniBand } from './MiniBand';

export interface ShownReading {
  readonly typed: string;
  readonly value: number;
  readonly kind: 'first' | 'correction' | 'retest';
  readonly takenAt: string;
  readonly takenBy: string;
}

interface Props {
  readonly label: string;
  readonly row: number;
  readonly column: number;
  /** Words, not a figure. */
  readonly wide?: boolean;
  readonly band: Expected | undefined;
  readonly history: readonly ShownReading[];
  readonly verdict: Verdict | undefined;
  /** The newest figure is of the build before it was mended, and counts no more. */
  readonly isPast?: boolean;
  /** Text that was typed and not taken, with the reason elsewhere in the row. */
  readonly refused: string | undefined;
  onCommit(typed: string): boolean;
  onFocus(): void;
  onRevert(): void;
  /** The likeliest cause of this bench was what was found. */
  onFound(): void;
  /** The meter’s figure is to drop in. */
  onMeter?(): void;
}

/** One checkpoint of one bench: type a figure, Enter, next bench. */
export function ReadingCell(props: Props) {
  const { label, row, column, wide = false, band, history, verdict, isPast = false, refused } = props;
  const current = history[history.length - 1];
  const [typed, setTyped] = useState<string | undefined>();
  // Enter commits and then leaves the cell, which would commit once more before the next render.
  const draft = useRef<string | undefined>(undefined);
  const write = (text: string | undefined) => {
    draft.current = text;
    setTyped(text);
  };
  const clash = clashIn(history);
  /** What stands there, and counts: to type it again says nothing. */
  const standing = isPast ? undefined : (current?.typed ?? '');
  const shown = typed ?? (refused || current?.typed) ?? '';
  const commit = (): boolean => {
    const text = draft.current?.trim();
    write(undefined);
    if (text === undefined || text === standing) return true;
    return text === '' || props.onCommit(text);
  };
  const key = (event: KeyboardEvent<HTMLInputElement>) => {
    const step = event.key === 'Enter' ? (event.shiftKey ? -1 : 1) : { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === '!') {
      event.preventDefault();
      props.onFound();
    }
    if (event.key === 'r' && props.onMeter && !draft.current && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      props.onMeter();
    }
    if (event.key === 'Escape') {
      write(undefined);
      props.onRevert();
    }
    if (step === undefined) return;
    event.preventDefault();
    if (commit()) focusCell(row + step, column);
  };
  return (
    <td className={cellClass(verdict, wide, isPast)}>
      <div className="reading-line">
        <input
          id={cellId(row, column)}
          aria-label={labelled(label, verdict, isPast)}
          aria-invalid={refused !== undefined}
          title={isPast ? PAST : howSure(verdict, band)}
          inputMode={wide ? 'text' : 'decimal'}
          autoComplete="off"
          value={shown}
          onChange={(event) => write(event.target.value)}
          onFocus={(event) => {
            event.target.select();
            props.onFocus();
          }}
          onBlur={commit}
          onKeyDown={key}
        />
        {history.length > 1 && <Earlier history={history} label={label} />}
      </div>
      {clash && <div className="clash">{clash}</div>}
      <Placed band={band} value={current?.value} verdict={verdict} />
    </td>
  );
}

/** Where the figure lies in its band. */
function Placed({ band, value, verdict }: Pick<Props, 'band' | 'verdict'> & { value: number | undefined }) {
  if (!band || value === undefined || !verdict) return null;
  return <MiniBand low={band.low} high={band.high} value={value} verdict={verdict.verdict} />;
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

function cellClass(verdict: Verdict | undefined, wide: boolean, isPast: boolean): string {
  return `reading${verdict?.verdict === 'off' ? ' off' : ''}${wide ? ' glance' : ''}${isPast ? ' past' : ''}`;
}

/** What the meter's own resolution and accuracy leave open. */
function howSure(verdict: Verdict | undefined, band: Expected | undefined): string | undefined {
  if (!verdict || !band) return undefined;
  const { uncertainty, range } = verdict;
  const { unit } = band;
  if (range === 0) return `± ${formatQuantity(uncertainty, unit, 2)}, by watch, count or ear`;
  return `± ${formatQuantity(uncertainty, unit, 2)}, as read on the ${formatEntered(range, unit)} range`;
}

function cellId(row: number, column: number): string {
  return `cell-${row}-${column}`;
}

export function focusCell(row: number, column: number): void {
  document.getElementById(cellId(row, column))?.focus();
}

const KIND_WORDS = { first: 'first reading', correction: 'correction', retest: 'retest' } as const;

/** All readings of a cell, newest last: a correction or retest never takes the earlier one away. */
function Earlier({ history, label }: { history: readonly ShownReading[]; label: string }) {
  const popover = (
    <Popover id={`history-${label.replace(/\W+/gu, '-')}`}>
      <Popover.Body>
        <ol className="history">
          {history.map((reading, i) => (
            <li key={i}>
              {reading.typed}{' '}
              <span className="soft">
                {KIND_WORDS[reading.kind]}, {clockTime(reading.takenAt)}
                {reading.takenBy && `, ${reading.takenBy}`}
              </span>
            </li>
          ))}
        </ol>
      </Popover.Body>
    </Popover>
  );
  return (
    <OverlayTrigger trigger="click" rootClose placement="bottom" overlay={popover}>
      <button type="button" className="earlier" aria-label={`${label}: ${history.length} readings`}>
        {history.length}×
      </button>
    </OverlayTrigger>
  );
}
