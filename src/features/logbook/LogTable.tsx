'use client';

import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { formatEntered, formatQuantity } from '@/core';
import type { LogRow } from '@/server/logbook';
import { clockTime, dayName } from '@/ui/dates';
import { SortHead } from '@/ui/SortHead';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';

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

interface Props {
  readonly rows: LogRow[];
  readonly lesson: string;
}

/** Every reading by student and lesson, the superseded ones too. */
export function LogTable({ rows, lesson: asked }: Props) {
  const [lesson, setLesson] = useState(asked);
  const [student, setStudent] = useState('');
  const [offOnly, setOffOnly] = useState(false);
  const students = useMemo(
    () =>
      [...new Set(rows.filter((r) => !lesson || r.lesson === lesson).map(studentKey))].sort((a, b) =>
        a.localeCompare(b, 'en', { numeric: true }),
      ),
    [rows, lesson],
  );
  const lessons = useMemo(() => [...new Set(rows.map((r) => r.lesson))], [rows]);
  const shown = useMemo(
    () =>
      rows.filter(
        (r) =>
          (!lesson || r.lesson === lesson) &&
          (!student || studentKey(r) === student) &&
          (!offOnly || r.verdict === 'off' || r.verdict === 'close'),
      ),
    [rows, lesson, student, offOnly],
  );
  const table = useTable({ features, columns, data: shown });
  return (
    <>
      <div className="button-row mb-3">
        <Form.Group controlId="log-lesson">
          <Form.Label>Lesson</Form.Label>
          <Form.Select value={lesson} onChange={(event) => setLesson(event.target.value)}>
            <option value="">all</option>
            {lessons.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="log-student">
          <Form.Label>Student</Form.Label>
          <Form.Select value={student} onChange={(event) => setStudent(event.target.value)}>
            <option value="">all</option>
            {students.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Check
          id="log-off"
          label="only off and close calls"
          checked={offOnly}
          onChange={(event) => setOffOnly(event.target.checked)}
        />
      </div>
      <div className="scroll-x">
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
      </div>
      {shown.length === 0 && <p className="soft pt-3">No reading matches. Widen the choice above.</p>}
    </>
  );
}

function studentKey(row: LogRow): string {
  return `${row.group} ${row.bench} ${row.nickname}`;
}

function LogLine({ row }: { row: LogRow }) {
  const band =
    row.low === null || row.high === null
      ? ''
      : `${formatQuantity(row.low, row.unit)} – ${formatQuantity(row.high, row.unit)}`;
  return (
    <tr className={row.superseded ? 'superseded' : undefined}>
      <td>{dayName(row.onDate)}</td>
      <td>{row.lesson}</td>
      <td>{row.group}</td>
      <td>
        {row.bench} {row.nickname}
      </td>
      <td>{row.where}</td>
      <td className="amount">
        {formatQuantity(row.value, row.unit)}{' '}
        {row.uncertainty !== null && (
          <span className="soft"> ± {formatQuantity(row.uncertainty, row.unit, 2)}</span>
        )}
        <div className="small-print">{band}</div>
      </td>
      <td className="text-nowrap">
        {row.verdict === 'none' ? (
          '–'
        ) : (
          <>
            <StatusMark status={row.verdict} /> {STATUS_WORDS[row.verdict]}
          </>
        )}
      </td>
      <td className="small-print">
        {row.kind}, {clockTime(row.takenAt)}, {row.meter}
        {row.range !== null && ` on ${formatEntered(row.range, row.unit)}`}
        {row.takenBy && `, by ${row.takenBy}`}
        {row.superseded && ', later measured again'}
        {row.cause && <div className="strong">{row.cause}</div>}
      </td>
    </tr>
  );
}
