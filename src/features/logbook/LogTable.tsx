'use client';

import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useOptimistic, useTransition } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { formatEntered, formatQuantity } from '@/core';
import { KIND_WORDS } from '@/messages/readingKinds';
import type { LoggedStudent, LogRow } from '@/server/logbook';
import { dayName, dayOf } from '@/ui/dates';
import { timeWords } from '@/ui/timeWords';
import { SortHead } from '@/ui/SortHead';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';
import { Scroll } from '@/ui/Scroll';

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });
const helper = createColumnHelper<typeof features, LogRow>();
const columns = helper.columns([
  helper.accessor('onDate', { header: 'day' }),
  helper.accessor('lesson', { header: 'lesson' }),
  helper.accessor('group', { header: 'group' }),
  helper.accessor('bench', { header: 'bench' }),
  helper.accessor('where', { header: 'checkpoint' }),
  helper.accessor('value', { header: 'reading' }),
  helper.accessor('verdict', { header: 'verdict' }),
]);

/** What rows are chosen by: empty or undefined where by nothing. */
export interface LogChoice {
  readonly lesson: string;
  readonly group: string;
  readonly day: string;
  readonly session: number | undefined;
  readonly student: number | undefined;
  readonly off: boolean;
}

interface Props {
  readonly rows: LogRow[];
  /** What the rows were chosen by. */
  readonly choice: LogChoice;
  readonly lessons: readonly string[];
  readonly groups: readonly string[];
  readonly students: readonly LoggedStudent[];
  /** Where older rows begin, if there are any. */
  readonly older: string | undefined;
  readonly newest: boolean;
}

/** Every reading by student and lesson, the superseded ones too, a page at a time from the newest back. */
export function LogTable({ rows, choice, lessons, groups, students, older, newest }: Props) {
  const router = useRouter();
  const table = useTable({ features, columns, data: rows });
  const [pending, start] = useTransition();
  // The choice shows at once; rows that are still those of the one before are marked as such.
  const [chosen, setChosen] = useOptimistic(choice);
  const choose = (change: Partial<Props['choice']>) =>
    start(() => {
      const next = { ...chosen, ...change };
      setChosen(next);
      router.push(addressOf(next));
    });
  return (
    <>
      <div className="button-row mb-3">
        <Form.Group controlId="log-lesson">
          <Form.Label>Lesson</Form.Label>
          <Form.Select
            value={chosen.lesson}
            onChange={(event) =>
              choose({ lesson: event.target.value, session: undefined, student: undefined })
            }
          >
            <option value="">all</option>
            {lessons.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="log-group">
          <Form.Label>Group</Form.Label>
          <Form.Select
            value={chosen.group}
            onChange={(event) =>
              choose({ group: event.target.value, session: undefined, student: undefined })
            }
          >
            <option value="">all</option>
            {groups.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="log-day">
          <Form.Label>Day</Form.Label>
          <Form.Control
            type="date"
            value={chosen.day}
            onChange={(event) => choose({ day: event.target.value, session: undefined })}
          />
        </Form.Group>
        <Form.Group controlId="log-student">
          <Form.Label>Student</Form.Label>
          <Form.Select
            value={chosen.student ?? ''}
            onChange={(event) => choose({ student: Number(event.target.value) || undefined })}
          >
            <option value="">all</option>
            {students.map(({ id, group, bench, nickname }) => (
              <option key={id} value={id}>
                {group} {bench} {nickname}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Check
          id="log-off"
          label="only off and close calls"
          checked={chosen.off}
          onChange={(event) => choose({ off: event.target.checked })}
        />
      </div>
      {chosen.session !== undefined && (
        <p role="status">
          One session only.{' '}
          <Button variant="text" className="btn-text" onClick={() => choose({ session: undefined })}>
            All sessions
          </Button>
        </p>
      )}
      <Scroll label="Readings" className={pending ? 'scroll-x stale' : 'scroll-x'} busy={pending}>
        <table className="table">
          <thead>
            <tr>
              {table.getHeaderGroups()[0]!.headers.map((header) => (
                <SortHead
                  key={header.id}
                  figure={header.id === 'value'}
                  sorted={header.column.getIsSorted()}
                  onSort={() => header.column.toggleSorting()}
                >
                  {String(header.column.columnDef.header)}
                </SortHead>
              ))}
              <th scope="col">how, when, likely cause</th>
            </tr>
          </thead>
          <tbody>
            {table.getRowModel().rows.map(({ original: row }) => (
              <LogLine key={row.id} row={row} />
            ))}
          </tbody>
        </table>
      </Scroll>
      {rows.length === 0 && <p className="soft pt-3">No reading matches. Widen the choice above.</p>}
      <p className="button-row pt-3">
        {!newest && <Link href={addressOf(choice)}>The newest readings</Link>}
        {older !== undefined && <Link href={addressOf(choice, older)}>Older readings</Link>}
      </p>
    </>
  );
}

function addressOf({ lesson, group, day, session, student, off }: LogChoice, before?: string): string {
  const asked = new URLSearchParams();
  if (lesson) asked.set('lesson', lesson);
  if (group) asked.set('group', group);
  if (day) asked.set('day', day);
  if (session !== undefined) asked.set('session', String(session));
  if (student !== undefined) asked.set('student', String(student));
  if (off) asked.set('off', '1');
  if (before) asked.set('before', before);
  const query = asked.toString();
  return query ? `/logbook?${query}` : '/logbook';
}

function LogLine({ row }: { row: LogRow }) {
  const taken = dayOf(new Date(row.arrivedAt));
  const band =
    row.low === null || row.high === null || row.unit === null
      ? ''
      : `${formatQuantity(row.low, row.unit)} – ${formatQuantity(row.high, row.unit)}`;
  return (
    <tr className={row.superseded ? 'superseded' : undefined}>
      <td>
        {dayName(taken)}
        {taken !== row.onDate && <div className="small-print">for the session of {dayName(row.onDate)}</div>}
      </td>
      <td>{row.lesson}</td>
      <td>{row.group}</td>
      <td>
        {row.bench} {row.nickname}
      </td>
      <td>{row.where}</td>
      <td className="amount">
        {row.unit === null ? row.typed : formatQuantity(row.value, row.unit)}{' '}
        {row.uncertainty !== null && row.unit !== null && (
          <span className="soft"> ± {formatQuantity(row.uncertainty, row.unit, 2)}</span>
        )}
        <div className="small-print">{band}</div>
      </td>
      <td className="text-nowrap">
        {row.verdict === 'none' ? (
          '–'
        ) : row.verdict === 'waiting' ? (
          <span className="soft">being judged</span>
        ) : (
          <>
            <StatusMark status={row.verdict} /> {STATUS_WORDS[row.verdict]}
          </>
        )}
      </td>
      <td className="small-print">
        <HowTaken row={row} />
      </td>
    </tr>
  );
}

/** What a row is, when and with what it was read, and what is likely wrong. */
function HowTaken({ row }: { row: LogRow }) {
  return (
    <>
      {KIND_WORDS[row.kind]}, {timeWords(row)}, {row.meter}
      {row.range !== null && row.unit !== null && ` on ${formatEntered(row.range, row.unit)}`}
      {row.takenBy && `, by ${row.takenBy}`}
      {row.superseded && row.kind !== 'taken-back' && ', later measured again, mended or taken back'}
      {row.cause && <div className="strong">{row.cause}</div>}
    </>
  );
}
