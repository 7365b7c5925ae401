import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import OverlayTrigger from 'react-bootstrap/OverlayTrigger';
import Popover from 'react-bootstrap/Popover';
import type { ReadingKind } from '@/core';
import { KIND_WORDS } from '@/messages/readingKinds';
import { timeWords } from '@/ui/timeWords';

export interface ShownReading {
  readonly typed: string;
  readonly value: number;
  readonly kind: ReadingKind;
  readonly takenAt: string;
  readonly arrivedAt: string;
  readonly takenBy: string;
}

interface Props {
  readonly label: string;
  readonly history: readonly ShownReading[];
  /** The newest that was not taken back. */
  readonly newest: ShownReading | undefined;
  readonly benches: readonly { readonly id: number; readonly name: string }[];
  onTakeBack(): void;
  onMove(studentId: number): void;
}

/** All readings of a cell, newest last. The newest can be taken back, or moved to the bench that it is of. */
export function EarlierReadings({ label, history, newest, benches, onTakeBack, onMove }: Props) {
  const id = label.replace(/\W+/gu, '-');
  const close = () => document.body.click();
  const popover = (
    <Popover id={`history-${id}`}>
      <Popover.Body>
        <ol className="history">
          {history.map((reading, i) => (
            <li key={i}>
              {reading.typed}{' '}
              <span className="soft">
                {KIND_WORDS[reading.kind]}, {timeWords(reading)}
                {reading.takenBy && `, ${reading.takenBy}`}
              </span>
            </li>
          ))}
        </ol>
        {newest && (
          <div className="history-tools">
            <Button
              size="sm"
              variant="quiet"
              onClick={() => {
                close();
                onTakeBack();
              }}
            >
              Take {newest.typed} back
            </Button>
            <Form.Select
              size="sm"
              aria-label={`Move ${newest.typed} to another bench`}
              value=""
              onChange={(event) => {
                close();
                onMove(Number(event.target.value));
              }}
            >
              <option value="">Move it to bench …</option>
              {benches.map((bench) => (
                <option key={bench.id} value={bench.id}>
                  {bench.name}
                </option>
              ))}
            </Form.Select>
          </div>
        )}
      </Popover.Body>
    </Popover>
  );
  return (
    <OverlayTrigger trigger="click" rootClose placement="bottom" overlay={popover}>
      <button
        type="button"
        className={history.length > 1 ? 'earlier' : 'earlier single'}
        aria-label={`${history.length} ${history.length === 1 ? 'reading' : 'readings'} of ${label}`}
      >
        {history.length > 1 ? `${history.length}×` : '⋯'}
      </button>
    </OverlayTrigger>
  );
}
