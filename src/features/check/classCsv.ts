import {
  columnUnit,
  GLANCE,
  lampsIn,
  readCsv,
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

/** Reads a class's figures out of a table: rows by bench number or nickname, columns by the checkpoints' names. */
export function readClassTable(text: string, around: Around): ClassTable {
  const [head = [], ...rows] = readCsv(text);
  if (head.length === 0) return { ...NOTHING, problems: ['There is no table here yet.'] };
  const names = head.map((cell) => cell.toLowerCase());
  const benchAt = names.indexOf('bench');
  const nameAt = names.findIndex((name) => name === 'nickname' || name === 'student' || name === 'name');
  if (benchAt < 0 && nameAt < 0)
    return {
      ...NOTHING,
      problems: [
        `No column says which bench a row is of: it would be called “bench”. Found: ${head.join(', ')}.`,
      ],
    };
  const known = columnsOf(around);
  const columns = names.map((name, i) =>
    i === benchAt || TOLD.has(name) ? undefined : columnNamed(name, known),
  );
  const strange = head.filter((_, i) => i !== benchAt && !TOLD.has(names[i]!) && !columns[i]);
  const problems = strange.map(
    (name) => `No checkpoint here is called “${name}”. There are ${known.map((one) => one.name).join(', ')}.`,
  );
  const read = rows.map((row, i) => {
    const student = studentOf(row[benchAt] ?? '', row[nameAt] ?? '', around.students);
    return student
      ? figuresIn(row, student, columns, head, around)
      : { ...NOTHING, problems: [strangeRow(i + 2, row[benchAt] || row[nameAt])] };
  });
  return {
    figures: read.flatMap((one) => one.figures),
    same: read.reduce((sum, one) => sum + one.same, 0),
    problems: [...problems, ...read.flatMap((one) => one.problems)],
  };
}

const NOTHING: ClassTable = { figures: [], same: 0, problems: [] };

function strangeRow(line: number, name = ''): string {
  return `Line ${line}: there is no bench “${name}” in this class.`;
}

/** The figures of one row. */
function figuresIn(
  row: readonly string[],
  student: Bench,
  columns: readonly (Column | undefined)[],
  head: readonly string[],
  { expectation, current }: Around,
): ClassTable {
  const figures: TableFigure[] = [];
  const problems: string[] = [];
  let same = 0;
  for (const [at, cell] of row.entries()) {
    const column = columns[at];
    if (!column || cell === '') continue;
    const plain = unescaped(cell);
    const typed = plain + (/^[-+]?[\d.,]+$/u.test(plain) ? column.unit : '');
    const read = figureTyped(expectation, column.point, typed, false);
    if ('message' in read) problems.push(`Bench ${student.bench}, ${head[at]}: ${read.message}`);
    else if (current(student.id, column.point) === read.typed) same++;
    else figures.push({ student, point: column.point, typed });
  }
  return { figures, same, problems };
}

/** A spreadsheet's apostrophe before what it would else take for a sum. */
function unescaped(cell: string): string {
  return cell.replace(/^'/u, '');
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
