import { expectationWith } from '../../../tests/support/sheets';
import { CSV_DIALECTS, GLANCE, toCsv } from '@/core';
import { emptyTable, readClassTable } from './classCsv';

const expectation = expectationWith();
const students = ['Wren', 'Fenn', 'Pim'].map((nickname, i) => ({ id: 10 + i, bench: i + 1, nickname }));
const around = {
  expectation,
  students,
  predicted: 'predicted',
  current: (_id: number): string | undefined => undefined,
};
const short = (text: string, more: Partial<typeof around> = {}) => {
  const { figures, same, problems } = readClassTable(text, { ...around, ...more });
  return {
    figures: figures.map(({ student, point, typed }) => `${student.bench} ${point} ${typed}`),
    same,
    problems,
  };
};

describe('a class’s figures in a table', () => {
  it('are read by the names of benches and checkpoints, in any order of columns', () => {
    expect(short('current,bench,across R1\n8.9,1,2.91\n,2,0.92\n8.7,3,\n')).toEqual({
      figures: ['1 current 8.9', '1 R1 2.91', '2 R1 0.92', '3 current 8.7'],
      same: 0,
      problems: [],
    });
  });

  it('are read from semicolons and decimal commas, by nickname, with lamps and predictions', () => {
    expect(short('Nickname;predicted mA;lamps;across R1 V\nfenn;9;ok;2,91\nWren;;1 dark;')).toEqual({
      figures: ['2 predicted 9', `2 ${GLANCE} ok`, '2 R1 2,91', `1 ${GLANCE} 1 dark`],
      same: 0,
      problems: [],
    });
  });

  it('take the unit that their column names', () => {
    expect(short('bench,current (A),across R1 [mV]\n1,0.0089,2910').figures).toEqual([
      '1 current 0.0089 A',
      '1 R1 2910 mV',
    ]);
  });

  it('that cannot be taken are each named, and hold up none of the others', () => {
    const { figures, problems } = short(
      'bench,across R1,colour of hat\n1,2.91,red\n2,many,\n9,2.90,\n3,291,\n',
    );
    expect(figures).toEqual(['1 R1 2.91']);
    expect(problems).toHaveLength(4);
    expect(problems[0]).toContain('“colour of hat”');
    expect(problems[1]).toMatch(/^Bench 2, across R1: /u);
    expect(problems[2]).toMatch(/^Bench 3, across R1: .*2\.91/u);
    expect(problems[3]).toContain('no bench “9”');
  });

  it('are read as spreadsheets write them: a first line that says how, a printed minus, decimal commas', () => {
    expect(short('sep=;\nbench;across R1\n1;2,910\n').figures).toEqual(['1 R1 2.910']);
    expect(short('\ufeff"sep=\t"\nbench\tacross R1\n1\t2.91\n').figures).toEqual(['1 R1 2.91']);
    expect(short('bench;current\n1;\u22128,9\n').figures).toEqual(['1 current -8,9']);
    const tabs = 'bench\tacross R1\n1\t2,910\n';
    expect(readClassTable(tabs, around, 'semicolon').figures[0]!.typed).toBe('2.910');
  });

  it('of a bench or a checkpoint that stands twice are asked about, and none is taken', () => {
    const { figures, problems } = short('bench,across R1\n1,2.91\n2,2.92\n01,2.93\nWren,1\n');
    expect(figures).toEqual(['2 R1 2.92']);
    expect(problems[0]).toBe(
      'Bench 1 stands twice, in lines 2, 4: leave the one that is meant. Neither was taken.',
    );
    const twice = short('bench,across R1,across R1 mV,current\n1,2.91,2910,8.9\n');
    expect(twice.figures).toEqual(['1 current 8.9']);
    expect(twice.problems).toEqual([
      '“across R1” has two columns: leave the one that is meant. Neither was taken.',
    ]);
  });

  it('are told by their lines as an editor counts them, empty ones and the first that says how too', () => {
    expect(short('sep=;\nbench;across R1\n\n1;2,91\n\n8;2,90\n').problems).toEqual([
      'Line 6: there is no bench “8” in this class.',
    ]);
    expect(short('bench,across R1\n8,1\n\n9,1\n').problems).toEqual([
      'Lines 2, 4: there are no such benches in this class (“8”, “9”).',
    ]);
  });

  it('of a hundred thousand rows that are of nobody here are told in one line', () => {
    const rows = Array.from({ length: 100_000 }, (_, i) => `${500 + i},2.91`).join('\n');
    const { figures, problems } = short(`bench,across R1\n1,2.91\n${rows}\n`);
    expect(figures).toEqual(['1 R1 2.91']);
    expect(problems).toEqual([
      'Lines 3, 4, 5, 6, 7, 8 and 99,994 more: there are no such benches in this class (“500”, “501”, “502”, “503”, “504”, “505” …).',
    ]);
  });

  it('are read from a report that the program wrote itself, in either dialect', () => {
    const head = [
      'bench',
      'nickname',
      'stands',
      'predicted mA',
      'lamps',
      'across R1 V',
      'likely cause',
      'fault found',
      'minutes',
    ];
    for (const dialect of CSV_DIALECTS) {
      const text = toCsv(head, [[1, 'Wren', 'right', 9, 'ok', 2.913, '', '', 12]], dialect);
      expect(short(text)).toEqual({
        figures: ['1 predicted 9', `1 ${GLANCE} ok`, '1 R1 2.913'],
        same: 0,
        problems: [],
      });
    }
  });

  it('that stand there already are not entered again', () => {
    const current = (studentId: number) => (studentId === 10 ? '2.91' : '2.80');
    expect(short('bench,across R1\n1,2.91\n2,2.91', { current })).toMatchObject({
      figures: ['2 R1 2.91'],
      same: 1,
    });
  });

  it('without a column for the bench are not guessed at', () => {
    expect(short('who,across R1\nWren,2.91').problems[0]).toContain('which bench');
    expect(short('').problems).toEqual(['There is no table here yet.']);
  });

  it('come back from the empty table that is handed out, once it is filled in', () => {
    for (const dialect of ['comma', 'semicolon'] as const) {
      const [head, ...rows] = emptyTable(around, dialect).trim().split('\r\n');
      const mark = dialect === 'comma' ? ',' : ';';
      const at = head!.split(mark).findIndex((name) => name.startsWith('across R1'));
      const filled = rows.map((row) =>
        row
          .split(mark)
          .map((cell, i) => (i === at ? '2.90' : cell))
          .join(mark),
      );
      expect(short([head, ...filled].join('\r\n'))).toEqual({
        figures: ['1 R1 2.90', '2 R1 2.90', '3 R1 2.90'],
        same: 0,
        problems: [],
      });
    }
  });
});
