import fc from 'fast-check';
import { cleanLine, nicknameKey } from './nickname';
import { parseStudents } from './students';
import { csvRows, toCsv } from './table';

describe('nicknames', () => {
  const alike = (one: string, other: string) => nicknameKey(one) === nicknameKey(other);

  it('are the same in any letter case of any script', () => {
    for (const [one, other] of [
      ['Wren', 'wREN'],
      ['ÉMILE', 'émile'],
      ['ΟΔΥΣΣΕΥΣ', 'Οδυσσευς'],
      ['ЖУК', 'жук'],
      ['Straße', 'STRASSE'],
      ['Ｗｒｅｎ', 'Wren'],
    ] as const)
      expect([one, alike(one, other)]).toEqual([one, true]);
  });

  it('are the same with signs that show nothing, and in letters that look alike', () => {
    expect(alike('Wr\u200ben', 'Wren')).toBe(true);
    expect(alike('\u202eWren\u202c', 'Wren')).toBe(true);
    expect(alike('Pim\u00ad', 'Pim')).toBe(true);
    // Cyrillic а, е, о, р, с, х and Greek ο.
    expect(alike('Сорех', 'Copex')).toBe(true);
    expect(alike('Οle', 'Ole')).toBe(true);
    expect(alike('Bi11', 'Bill')).toBe(true);
  });

  it('are others with other letters, and with accents', () => {
    for (const [one, other] of [
      ['Wren', 'Wrenna'],
      ['Jose', 'José'],
      ['Иван', 'Роман'],
      ['Ann', 'Amm'],
    ] as const)
      expect(alike(one, other)).toBe(false);
  });

  it('keep how they are written, and are cleaned once for all', () => {
    expect(cleanLine('  Wren\t the \u200b 2nd ')).toBe('Wren the 2nd');
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        expect(cleanLine(cleanLine(text))).toBe(cleanLine(text));
        expect(nicknameKey(cleanLine(text))).toBe(nicknameKey(text));
        expect(nicknameKey(nicknameKey(text))).toBe(nicknameKey(text));
      }),
    );
  });

  it('that are taken for one another stand once in a list', () => {
    const { students, findings } = parseStudents('Wren\nＷＲＥＮ\n\u200b\nPim');
    expect(students.map(({ nickname }) => nickname)).toEqual(['Wren', 'Pim']);
    expect(findings.map(({ code }) => code)).toEqual(['duplicate-nickname', 'csv-row']);
  });
});

describe('tables', () => {
  it('are written as a house’s spreadsheet opens them', () => {
    const rows = [
      ['R1; the big one', 0.00885, null],
      ['=1+1', -2.5, 12],
    ] as const;
    expect(toCsv(['part', 'amps', 'count'], rows)).toBe(
      '\ufeffpart,amps,count\r\nR1; the big one,0.00885,\r\n"\'=1+1",-2.5,12\r\n',
    );
    expect(csvRows(rows, 'semicolon')).toBe('"R1; the big one";0,00885;\r\n"\'=1+1";-2,5;12\r\n');
  });

  it('are read with commas or semicolons', () => {
    expect(parseStudents('bench;nickname\n3;Wren\n4;Pim').students).toEqual([
      { bench: 3, nickname: 'Wren' },
      { bench: 4, nickname: 'Pim' },
    ]);
  });
});
