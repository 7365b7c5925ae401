import { csvRows, type CsvDialect } from '@/core';
import { refusedFile } from '@/server/access/admit';
import { fileResponse, streamed } from '@/server/files';
import { wholeLogbook, type LogRow } from '@/server/logbook';
import { houseStyle } from '@/server/repositories/settings';
import { dayOf } from '@/ui/dates';

const HEAD = [
  'day',
  'lesson',
  'group',
  'bench',
  'nickname',
  'checkpoint',
  'reading',
  'unit',
  'typed',
  'band low',
  'band high',
  'verdict',
  'kind',
  'counts',
  'likely cause',
  'meter',
  'range',
  'uncertainty',
  'taken by',
  'arrived at',
  'taken at by its own clock',
];

export const dynamic = 'force-dynamic';

/** Every reading, from the newest back, written as it is read. */
export async function GET() {
  const refused = await refusedFile('/logbook/export.csv');
  if (refused) return refused;
  const { tables } = (await houseStyle()).value;
  return fileResponse(`logbook-${dayOf(new Date())}.csv`, 'text/csv', streamed(written(tables)));
}

async function* written(dialect: CsvDialect): AsyncGenerator<string> {
  yield `\ufeff${csvRows([HEAD], dialect)}`;
  for await (const rows of wholeLogbook()) yield csvRows(rows.map(cells), dialect);
}

function cells(row: LogRow) {
  return [
    row.onDate,
    row.lesson,
    row.group,
    row.bench,
    row.nickname,
    row.where,
    row.unit === null ? null : Number(row.value.toPrecision(6)),
    row.unit ?? '',
    row.typed,
    row.low === null ? null : Number(row.low.toPrecision(5)),
    row.high === null ? null : Number(row.high.toPrecision(5)),
    row.verdict === 'none' || row.verdict === 'waiting' ? '' : row.verdict,
    row.kind,
    row.superseded ? 'no' : 'yes',
    row.cause,
    row.meter,
    row.range,
    row.uncertainty === null ? null : Number(row.uncertainty.toPrecision(2)),
    row.takenBy,
    row.arrivedAt,
    row.takenAt,
  ];
}
