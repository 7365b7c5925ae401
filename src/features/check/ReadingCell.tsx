'use client';

import { useRef, useState, type KeyboardEvent } from 'react';
import OverlayTrigger from 'react-bootstrap/OverlayTrigger';
import Popover from 'react-bootstrap/Popover';
import { formatEntered, formatQuantity, type Band, type Expected, type Verdict } from '@/core';
import { STATUS_WORDS } from '@/ui/StatusMark';
import { clockTime } from '@/ui/dates';
import { MiniBand } from './MiniBand';

export interface ShownReading {
  readonly typed: string;
  readonly value: number;
  readonly kind: 'first' | 'correction' | 'retest';
  readonly takenAt: string;
}

interface Props {
  readonly label: string;
  readonly row: number;
  readonly column: number;
  readonly band: Expected | undefined;
  readonly history: readonly ShownReading[];
  readonly verdict: Verdict | undefined;
  /** Text that was typed and not taken, with the reason elsewhere in the row. */
  readonly refused: string | undefined;
  onCommit(typed: string): boolean;
  onFocus(): void;
  onRevert(): void;
}

/** One checkpoint of one bench: type a figure, Enter, next bench. */
export function ReadingCell(props: Props) {
  const { label, row, column, band, history, verdict, refused } = props;
  const current = history[history.length - 1];
  const [typed, setTyped] = useState<string | undefined>();
  // Enter commits and then leaves the cell, which would commit once more before the next render.
  const draft = useRef<string | undefined>(undefined);
  const write = (text: string | undefined) => {
    draft.current = text;
    setTyped(text);
  };
  const shown = typed ?? refused ?? current?.typed ?? '';
  const commit = (): boolean => {
    const text = draft.current?.trim();
    write(undefined);
    if (text === undefined || text === (current?.typed ?? '')) return true;
    return text === '' || props.onCommit(text);
  };
  const key = (event: KeyboardEvent<HTMLInputElement>) => {
    const step = event.key === 'Enter' ? (event.shiftKey ? -1 : 1) : { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === 'Escape') {
      write(undefined);
      props.onRevert();
    }
    if (step === undefined) return;
    event.preventDefault();
    if (commit()) focusCell(row + step, column);
  };
  return (
    <td className={verdict?.verdict === 'off' ? 'reading off' : 'reading'}>
      <div className="reading-line">
        <input
          id={cellId(row, column)}
          aria-label={verdict ? `${label}, ${STATUS_WORDS[verdict.verdict]}` : label}
          aria-invalid={refused !== undefined}
          title={verdict && band && howSure(verdict, band.unit)}
          inputMode="decimal"
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
      {band && current && verdict && (
        <MiniBand low={band.low} high={band.high} value={current.value} verdict={verdict.verdict} />
      )}
    </td>
  );
}

/** What the meter's own resolution and accuracy leave open. */
function howSure({ uncertainty, range }: Verdict, unit: Band['unit']): string {
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
