import {
  columnUnit,
  GLANCE,
  lampsIn,
  readTable,
  toCsv,
  type CsvDialect,
  type SessionExpectation,
} from '@/core';
import { pointName } from '@/messages/points';
import type { Bench } from './bench';
import { figureTyped } from './typed';

/** One figure of a table, with the bench and the checkpoint that it is for. */
export interface TableFigure {
  readonly student: Bench;
  readonly point: string;
  readonly typed: string;
}

export interface ClassTable {
  readonly figures: readonly TableFigure[];
  /** So many stand there already as they are in the table. */
  readonly same: number;
  /** What is not taken, and why, each in a sentence. */
  readonly problems: readonly string[];
}

interface Around {
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly predicted: string;
  /** What stands in a cell now. */
  current(studentId: number, point: string): string | undefined;
}

interface Column {
  readonly point: string;
  /** Unit of the column's bare figures, where the head says another than the grid's. */
  readonly unit: string;
}

/** The columns that a table may have, by their names, in the grid's order. */
function columnsOf({ expectation, predicted }: Pick<Around, 'expectation' | 'predicted'>) {
  const seen = lampsIn(expectation).length > 0 ? [{ point: GLANCE, name: 'lamps', unit: '' }] : [];
  return [
    { point: predicted, name: 'predicted', unit: 'mA' },
    ...seen,
    ...expectation.expected.points.map(({ id, point, unit }) => ({
      point: id,
      name: pointName(point),
      unit: columnUnit(unit).name,
    })),
  ];
}

/** An empty table of a session, for a spreadsheet: one row a bench, one column a checkpoint. */
export function emptyTable(
  around: Pick<Around, 'expectation' | 'students' | 'predicted'>,
  dialect: CsvDialect = 'comma',
): string {
  const columns = columnsOf(around);
  const head = ['bench', 'nickname', ...columns.map(({ name, unit }) => `${name} ${unit}`.trim())];
  return toCsv(
    head,
    around.students.map(({ bench, nickname }) => [bench, nickname, ...columns.map(() => '')]),
    dialect,
  );
}

/** Columns of a report that tell nothing to be entered. */
const TOLD = new Set(['nickname', 'student', 'name', 'stands', 'likely cause', 'fault found', 'minutes', '']);

/**
 * Reads a class's figures out of a table: rows by bench number or nickname, columns by the checkpoints' names. A bench
 * that stands twice, or a checkpoint, is not taken at all: nobody could say which of the two is meant.
 *
 * @param dialect how this house writes tables: where commas do not separate, they are decimal
 */
export function readClassTable(text: string, around: Around, dialect: CsvDialect = 'comma'): ClassTable {
  const { rows: all, lines, delimiter } = readTable(text);
  const lineOf = (row: number) => lines[row + 1]!;
  const [head = [], ...rows] = all;
  if (head.length === 0) return { ...NOTHING, problems: ['There is no table here yet.'] };
  const names = head.map((cell) => cell.toLowerCase());
  const benchAt = names.indexOf('bench');
  const nameAt = names.findIndex((name) => name === 'nickname' || name === 'student' || name === 'name');
  if (benchAt < 0 && nameAt < 0)
    return {
      ...NOTHING,
      problems: [
        `No column says which bench a row is of: it would be called “bench”. Found: ${head.slice(0, SHOWN_MOST).join(', ')}.`,
      ],
    };
  const known = columnsOf(around);
  const isTold = (i: number) => i === benchAt || TOLD.has(names[i]!);
  const named = names.map((name, i) => (isTold(i) ? undefined : columnNamed(name, known)));
  const strange = head.filter((_, i) => !isTold(i) && !named[i]);
  const points = twiceIn(named.map((column) => column?.point));
  const columns = named.map((column) => (column && points.has(column.point) ? undefined : column));
  const students = rows.map((row) => studentOf(row[benchAt] ?? '', row[nameAt] ?? '', around.students));
  const benches = twiceIn(students.map((student) => student?.bench));
  const decimal = delimiter === ';' || (delimiter !== ',' && dialect === 'semicolon') ? 'comma' : 'either';
  const read = rows.flatMap((row, i) => {
    const student = students[i];
    return student && !benches.has(student.bench)
      ? [figuresIn(row, student, columns, head, around, decimal)]
      : [];
  });
  return {
    figures: read.flatMap((one) => one.figures),
    same: read.reduce((sum, one) => sum + one.same, 0),
    problems: [
      ...strange
        .slice(0, SHOWN_MOST)
        .map(
          (name) =>
            `No checkpoint here is called “${name}”. There are ${known.map((one) => one.name).join(', ')}.`,
        ),
      ...[...points].map((point) => {
        const own = known.find((one) => one.point === point)!;
        return `“${own.name}” has two columns: leave the one that is meant. Neither was taken.`;
      }),
      ...[...benches].map((bench) => {
        const own = students.flatMap((student, i) => (student?.bench === bench ? [lineOf(i)] : []));
        return `Bench ${bench} stands twice, in lines ${listed(own)}: leave the one that is meant. Neither was taken.`;
      }),
      ...read.flatMap((one) => one.problems),
      ...strangers(
        rows.flatMap((row, i) =>
          students[i] ? [] : [{ line: lineOf(i), name: row[benchAt] || row[nameAt] || '' }],
        ),
      ),
    ],
  };
}

const NOTHING: ClassTable = { figures: [], same: 0, problems: [] };

/** So many of what was not taken are named; the rest is counted. */
const SHOWN_MOST = 6;

/** What stands in a list more than once; gaps do not count. */
function twiceIn<T>(list: readonly (T | undefined)[]): ReadonlySet<T> {
  const seen = new Set<T>();
  const twice = new Set<T>();
  for (const one of list) {
    if (one === undefined) continue;
    if (seen.has(one)) twice.add(one);
    seen.add(one);
  }
  return twice;
}

/** Rows of benches that are none here, all in one sentence. */
function strangers(rows: readonly { readonly line: number; readonly name: string }[]): string[] {
  const [first, ...others] = rows;
  if (!first) return [];
  if (others.length === 0) return [`Line ${first.line}: there is no bench “${first.name}” in this class.`];
  const few = [...new Set(rows.slice(0, SHOWN_MOST).map(({ name }) => `“${name}”`))].join(', ');
  const more = rows.length > SHOWN_MOST ? ' …' : '';
  return [
    `Lines ${listed(rows.map(({ line }) => line))}: there are no such benches in this class (${few}${more}).`,
  ];
}

function listed(lines: readonly number[]): string {
  const few = lines.slice(0, SHOWN_MOST).join(', ');
  return lines.length > SHOWN_MOST
    ? `${few} and ${(lines.length - SHOWN_MOST).toLocaleString('en')} more`
    : few;
}

/** The figures of one row. */
function figuresIn(
  row: readonly string[],
  student: Bench,
  columns: readonly (Column | undefined)[],
  head: readonly string[],
  { expectation, current }: Around,
  decimal: 'comma' | 'either',
): ClassTable {
  const figures: TableFigure[] = [];
  const problems: string[] = [];
  let same = 0;
  for (const [at, cell] of row.entries()) {
    const column = columns[at];
    if (!column || cell === '') continue;
    const plain = plainFigure(cell, decimal);
    const typed = plain + (/^[-+]?[\d.,]+$/u.test(plain) ? column.unit : '');
    const read = figureTyped(expectation, column.point, typed, false);
    if ('message' in read) problems.push(`Bench ${student.bench}, ${head[at]}: ${read.message}`);
    else if (current(student.id, column.point) === read.typed) same++;
    else figures.push({ student, point: column.point, typed });
  }
  return { figures, same, problems };
}

/**
 * A cell without a spreadsheet's apostrophe before what it would else take for a sum, its minus as keyboards have it;
 * where commas are decimal, three figures behind one are no thousands.
 */
function plainFigure(cell: string, decimal: 'comma' | 'either'): string {
  const plain = cell.replace(/^'/u, '').replaceAll('\u2212', '-');
  return decimal === 'comma' ? plain.replace(/^([-+]?\d*),(\d{3})(?=\D*$)/u, '$1.$2') : plain;
}

/** `across R1`, `across R1 V`, `current (A)`, or a checkpoint's own short name. */
function columnNamed(head: string, known: ReturnType<typeof columnsOf>): Column | undefined {
  const plain = head.replace(/\s*[([]?\b(?:mv|v|ma|a|µa|ua|hz|s)\b[)\]]?$/u, '').trim();
  const found = known.find(({ point, name }) =>
    [head, plain].some((text) => text === name.toLowerCase() || text === point.toLowerCase()),
  );
  if (!found) return undefined;
  const said = /\b(mv|v|ma|a|µa|ua|hz|s)\b[)\]]?$/u.exec(head)?.[1];
  const unit = plain !== head && said && said !== found.unit.toLowerCase() ? UNITS[said] : undefined;
  return { point: found.point, unit: unit ? ` ${unit}` : '' };
}

const UNITS: Readonly<Record<string, string>> = {
  mv: 'mV',
  v: 'V',
  ma: 'mA',
  a: 'A',
  µa: 'µA',
  ua: 'µA',
  hz: 'Hz',
  s: 's',
};

function studentOf(bench: string, nickname: string, students: readonly Bench[]): Bench | undefined {
  if (bench !== '') return students.find((one) => String(one.bench) === bench.replace(/^0+/u, ''));
  return students.find((one) => one.nickname.toLowerCase() === nickname.toLowerCase());
}
