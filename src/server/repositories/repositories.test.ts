import { ownDatabase } from '../../../tests/support/database';
import { requestWith } from '../../../tests/support/sheets';
import { DEFAULT_BUILD, DEFAULT_METER, DEFAULT_STYLE, LAMPS } from '@/core';
import { migrationNames, migrationSource } from '../db/migrations/index';
import { openDatabase } from '../db/open';
import { database, write } from '../db/connection';
import { done, guardedWork as guarded } from '../failures';

import { addBattery, archiveBattery, batteries } from './batteries';
import { addGroup, addStudents, archiveStudent, group, groups, saveGroup, saveStudent } from './groups';
import { addLesson, archiveLesson, lesson, lessonHeads, saveLesson, type LessonContent } from './lessons';

import { sheetSurroundings, workOutLines } from '../lessonSheet';

import { addSession } from './sessions';
import { houseStyle, meter, saveSetting } from './settings';
import { addStock, lamps, saveLamp, saveStock, shelf, stockRows } from './stock';

const { file } = ownDatabase();
const NOW = '2026-11-25T10:00:00.000Z';

const content = (title: string): LessonContent => ({
  title,
  aim: 'one lamp',
  story: '',
  notes: '',
  ageGroup: '10–12',
  level: 'no mathematics',
  homework: 'Draw the loop.',
  extras: [{ name: 'jar', each: 2, use: '' }],
  choice: requestWith().choice,
  plan: null,
});

const refusal = async (work: Promise<unknown>): Promise<string> => {
  try {
    await work;
    return 'went through';
  } catch (error) {
    return (error as Error).message;
  }
};

describe('the database', () => {
  it('checks foreign keys, and writes ahead', async () => {
    const db = await database();
    expect(await db.raw('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await db.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    expect(
      await refusal(
        addSession({
          lessonId: 999,
          groupId: 999,
          onDate: '2026-12-01',
          expectation: {} as never,
          summary: {} as never,
        }),
      ),
    ).toMatch(/FOREIGN KEY/u);
  });

  it('keeps all of a transaction or none', async () => {
    const before = (await groups()).length;
    await refusal(
      write(async (trx) => {
        await trx('study_groups').insert({ name: 'Half', meets: '' });
        throw new Error('killed in between');
      }),
    );
    expect(await groups()).toHaveLength(before);
  });

  it('is brought up to date once, by whoever opens it', async () => {
    const second = await openDatabase(file);
    const names = (await second('knex_migrations').select('name')) as { name: string }[];
    await second.destroy();
    expect(names.map((n) => n.name)).toEqual([...migrationNames]);
  });

  it('keeps what is in it when its tables grow', async () => {
    const db = await database();
    const id = await addLesson(content('From before'), 'harbour', NOW);
    const before = await lesson(id);
    for (const name of [...migrationNames].slice(2).reverse())
      await db.migrate.down({ migrationSource, name });
    await db.migrate.down({ migrationSource, name: '002_teaching' });
    expect(await db.schema.hasColumn('lessons', 'level')).toBe(false);
    await db.migrate.latest({ migrationSource });
    const usual = { level: 'card', homework: '', extras: [] };
    // Its plan stays where it was: from before legs stood in the rails.
    const build = { ...DEFAULT_BUILD, rails: 'wires only' };
    expect(await lesson(id)).toEqual({ ...before, ...usual, choice: { ...before.choice, build } });
  });

  it('turns failures of the disk into sentences, and lets programmers’ mistakes through', async () => {
    const failing = (code: string) => () => Promise.reject(Object.assign(new Error('x'), { code }));
    const full = await guarded(failing('SQLITE_FULL'));
    expect(full).toMatchObject({ ok: false, message: expect.stringContaining('disk is full') as string });
    expect(await guarded(failing('SQLITE_BUSY'))).toMatchObject({
      message: expect.stringContaining('another program') as string,
    });
    expect(await guarded(failing('SQLITE_READONLY'))).toMatchObject({ ok: false });
    await expect(guarded(failing('EWHATEVER'))).rejects.toThrow('x');
    expect(await guarded(async () => done(3))).toEqual({ ok: true, value: 3 });
  });
});

describe('lessons', () => {
  it('are kept, changed by version, put away and taken out', async () => {
    const id = await addLesson(content('Pier lamp'), 'Model harbour', NOW);
    expect(await lesson(id)).toMatchObject({ title: 'Pier lamp', version: 1, archivedAt: null, plan: null });
    expect(await saveLesson(id, 1, content('Pier light'), NOW)).toBe(2);
    expect((await lesson(id)).title).toBe('Pier light');
    await archiveLesson(id, NOW);
    expect((await lesson(id)).archivedAt).toBe(NOW);
    await archiveLesson(id, null);
    expect((await lessonHeads()).map((l) => l.title)).toContain('Pier light');
  });

  it('do not let two people overwrite each other', async () => {
    const id = await addLesson(content('Two hands'), '', NOW);
    await saveLesson(id, 1, content('Hers'), NOW);
    const his = await guarded(async () => done(await saveLesson(id, 1, content('His'), NOW)));
    expect(his).toMatchObject({ ok: false, message: expect.stringContaining('Somebody else saved') });
    expect((await lesson(id)).title).toBe('Hers');
  });

  it('of which one cannot be read take down no list', async () => {
    const id = await addLesson(content('Torn'), 'harbour', NOW);
    await (await database())('lessons').where({ id }).update({ choice: '{"pattern":"single","par' });
    const heads = await lessonHeads();
    expect(heads.find((head) => head.id === id)).toMatchObject({ title: 'Torn', pattern: 'single' });
    const lines = await workOutLines(heads, await sheetSurroundings());
    expect(lines.get(id)).toContain('cannot read');
    expect(lines.size).toBe(heads.length);
    expect(await refusal(lesson(id))).toMatch(/^“Torn” is kept in a form that this program cannot read/u);
    await (await database())('lessons').where({ id }).delete();
  });

  it('say when they are not there', async () => {
    expect(await refusal(archiveLesson(4711, NOW))).toBe('This lesson is not there any more.');
    expect(await refusal(lesson(4711))).toBe('This lesson is not there any more.');
    expect(await refusal(saveLesson(4711, 1, content('x'), NOW))).toMatch(/not there/u);
  });
});

describe('groups', () => {
  it('take students by bench and nickname, without doubles', async () => {
    const id = await addGroup('Tern', 'at six');
    await addStudents(id, [
      { bench: 1, nickname: 'Wren' },
      { bench: 2, nickname: 'Fenn' },
    ]);
    expect(
      await refusal(
        addStudents(id, [
          { bench: 3, nickname: 'Pim' },
          { bench: 4, nickname: 'wREN' },
        ]),
      ),
    ).toMatch(/“wREN” would be taken for “Wren”/u);
    expect(await refusal(addStudents(id, [{ bench: 2, nickname: 'Quill' }]))).toMatch(/Bench 2 is taken/u);
    expect((await group(id)).students.map((s) => s.nickname)).toEqual(['Wren', 'Fenn']);
    const [wren, fenn] = (await group(id)).students;
    expect(await saveStudent(wren!.id, 1, 5, 'Wrenna')).toBe(2);
    expect(await refusal(saveStudent(wren!.id, 1, 6, 'Wrenny'))).toMatch(/Somebody else/u);
    expect(await refusal(saveStudent(wren!.id, 2, 2, 'Wrenna'))).toMatch(/Bench 2/u);
    await archiveStudent(fenn!.id, NOW);
    await addStudents(id, [{ bench: 2, nickname: 'Fenn' }]);
    expect(await refusal(archiveStudent(fenn!.id, null))).toMatch(/Fenn/u);
    expect(await saveGroup(id, 1, 'Terns', '')).toBe(2);
    expect(await refusal(saveGroup(id, 1, 'Later', ''))).toMatch(/Somebody else/u);
  });
});

describe('the store', () => {
  it('holds each part once, and gives the drawer', async () => {
    const empty = await shelf();
    expect(empty.drawer).toContain(330);
    const values = { have: 12, packSize: 50, packCents: 140, place: 'A' };
    const id = await addStock({ kind: 'resistor', ohms: 470 }, values);
    await addStock({ kind: 'resistor', ohms: 220 }, { ...values, have: 0 });
    expect(await refusal(addStock({ kind: 'resistor', ohms: 470 }, values))).toMatch(/already/u);
    expect((await shelf()).drawer).toEqual([470]);
    expect(await saveStock(id, 1, { ...values, have: 0 })).toBe(2);
    expect((await stockRows()).map((r) => r.have)).toEqual([0, 0]);
  });

  it('keeps the educator’s own lamp figures with their origin', async () => {
    expect((await lamps()).figures.red.origin).toBe('table');
    const measured = { ...LAMPS.red, vf: 2.02, origin: 'measured' } as const;
    expect(await saveLamp(measured, 0)).toBe(1);
    expect(await saveLamp({ ...measured, vf: 2.03 }, 1)).toBe(2);
    expect(await refusal(saveLamp(measured, 1))).toMatch(/Somebody else/u);
    expect((await shelf()).lamps.red).toMatchObject({ vf: 2.03, origin: 'measured' });
  });

  it('keeps house style and meter', async () => {
    expect((await houseStyle()).value).toEqual(DEFAULT_STYLE);
    expect(await saveSetting('house style', 0, { ...DEFAULT_STYLE, rounding: 'nearest' })).toBe(1);
    expect(await houseStyle()).toMatchObject({ value: { rounding: 'nearest' }, version: 1 });
    expect(
      await refusal(
        saveSetting('house style', 0, DEFAULT_STYLE).then(() => saveSetting('house style', 1, DEFAULT_STYLE)),
      ),
    ).toMatch(/Somebody else/u);
    expect((await meter()).value).toEqual(DEFAULT_METER);
  });
});

describe('batteries', () => {
  const box = {
    name: 'box 3',
    kind: 'aa-alkaline',
    cells: 3,
    volts: 4.31,
    ohms: 1.2,
    measuredAt: NOW,
  } as const;

  it('are kept under their names; the newest reading of a name stands, the older is put away', async () => {
    await addBattery({ ...box, name: 'box 2', volts: 4.6 });
    const old = await addBattery(box);
    const id = await addBattery({ ...box, volts: 4.02, measuredAt: '2026-11-26T10:00:00.000Z' });
    expect(await batteries()).toMatchObject([
      { id, name: 'box 3', volts: 4.02, cells: 3, kind: 'aa-alkaline' },
      { name: 'box 2', volts: 4.6 },
    ]);
    expect(await (await database())('batteries').where({ id: old })).toMatchObject([{ volts: 4.31 }]);
    await archiveBattery(id, NOW);
    expect((await batteries()).map(({ name }) => name)).toEqual(['box 2']);
    await archiveBattery(id, null);
    expect(await batteries()).toHaveLength(2);
  });
});
