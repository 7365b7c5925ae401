import { expectationWith } from '../../../tests/support/sheets';
import { GLANCE } from '@/core';
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
    expect(problems[2]).toContain('no bench “9”');
    expect(problems[3]).toMatch(/^Bench 3, across R1: .*2\.91/u);
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
