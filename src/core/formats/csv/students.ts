import Papa from 'papaparse';
import { finding, type Finding } from '../../findings/finding';
import { cleanLine, nicknameKey } from './nickname';

export interface StudentRow {
  readonly bench: number;
  readonly nickname: string;
}

export interface StudentList {
  readonly students: readonly StudentRow[];
  readonly findings: readonly Finding[];
}

const MOST_STUDENTS = 60;

/**
 * Reads a pasted list: `bench,nickname` with or without a head, or one nickname a line.
 * Every row that cannot be taken is named; the others are kept.
 */
export function parseStudents(text: string, first = 1): StudentList {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data.map((row) =>
    row.map((cell) => cell.trim()),
  );
  if (rows.length === 0) return { students: [], findings: [] };
  const head = rows[0]!.map((cell) => cell.toLowerCase());
  const hasHead = head.includes('nickname') || head.includes('bench');
  const widest = Math.max(...rows.map((row) => row.length));
  if (widest > 2 || (hasHead && !head.includes('nickname'))) {
    const found = rows[0]!.join(', ').slice(0, 80);
    return { students: [], findings: [finding('csv-columns', { wanted: 'bench, nickname', found })] };
  }
  const body = hasHead ? rows.slice(1) : rows;
  return collect(
    body,
    hasHead ? head.indexOf('bench') : widest === 2 ? 0 : -1,
    hasHead ? head.indexOf('nickname') : widest === 2 ? 1 : 0,
    first,
    hasHead ? 2 : 1,
  );
}

function collect(
  rows: readonly string[][],
  benchAt: number,
  nameAt: number,
  first: number,
  firstLine: number,
): StudentList {
  const students: StudentRow[] = [];
  const findings: Finding[] = [];
  let next = first;
  rows.forEach((row, i) => {
    const nickname = cleanLine(row[nameAt] ?? '');
    const benchText = benchAt >= 0 ? (row[benchAt] ?? '') : '';
    const bench = benchText === '' ? next : Number(benchText);
    const problem =
      rowProblem(nickname, bench, benchText) ??
      (students.length >= MOST_STUDENTS ? `is beyond ${MOST_STUDENTS} benches` : undefined);
    if (problem) {
      findings.push(finding('csv-row', { row: i + firstLine, problem }));
    } else if (students.some((s) => nicknameKey(s.nickname) === nicknameKey(nickname))) {
      findings.push(finding('duplicate-nickname', { nickname }));
    } else if (students.some((s) => s.bench === bench)) {
      findings.push(finding('duplicate-bench', { bench }));
    } else {
      students.push({ bench, nickname });
      if (nickname.split(/\s+/u).length > 1) {
        findings.push(finding('surname-like', { nickname }, 'caution'));
      }
      next = Math.max(next, bench + 1);
    }
  });
  return { students, findings };
}

function rowProblem(nickname: string, bench: number, benchText: string): string | undefined {
  if (nickname === '') return 'has no nickname';
  if (nickname.length > 30) return 'has a nickname longer than 30 letters';
  if (/[<>{}\\]/u.test(nickname)) return 'has a nickname with signs that are not letters';
  if (!Number.isInteger(bench) || bench < 1 || bench > 99)
    return `has the bench number "${benchText.slice(0, 20)}"`;
  return undefined;
}
