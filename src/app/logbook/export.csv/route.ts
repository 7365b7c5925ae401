import { toCsv } from '@/core';
import { fileResponse } from '@/server/files';
import { logbook } from '@/server/logbook';

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
  'taken at',
];

export const dynamic = 'force-dynamic';

export async function GET() {
  const rows = (await logbook()).map((row) => [
    row.onDate,
    row.lesson,
    row.group,
    row.bench,
    row.nickname,
    row.where,
    Number(row.value.toPrecision(6)),
    row.unit,
    row.typed,
    row.low === null ? null : Number(row.low.toPrecision(5)),
    row.high === null ? null : Number(row.high.toPrecision(5)),
    row.verdict === 'none' ? '' : row.verdict,
    row.kind,
    row.superseded ? 'no' : 'yes',
    row.cause,
    row.meter,
    row.range,
    row.uncertainty === null ? null : Number(row.uncertainty.toPrecision(2)),
    row.takenBy,
    row.takenAt,
  ]);
  return fileResponse('logbook.csv', 'text/csv', toCsv(HEAD, rows));
}
