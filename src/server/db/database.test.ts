import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import libsql from 'libsql';
import { ownDatabase } from '../../../tests/support/database';
import { databaseWords } from '@/messages/database';
import { done, guardedWork as guarded } from '../failures';
import { addGroup, groups } from '../repositories/groups';
import { closeDatabase, database, settleNow, write } from './connection';
import { openDatabase } from './open';
import { DATABASE_PROBLEMS, DatabaseProblem, problemKind } from './problems';

const { file } = ownDatabase();

async function problemOf(work: Promise<unknown>): Promise<DatabaseProblem> {
  const error: unknown = await work.then(
    () => undefined,
    (thrown: unknown) => thrown,
  );
  if (!(error instanceof DatabaseProblem)) throw new Error(`no problem, but ${String(error)}`);
  return error;
}

describe('writing while another program holds the database', () => {
  it('waits without holding up pages, gives up with a sentence, and goes on as soon as it is free', async () => {
    await addGroup('before', '');
    const other = new libsql(file);
    other.exec('BEGIN IMMEDIATE');
    const waiting = guarded(async () => done(await addGroup('during', '')));
    const pages: number[] = [];
    for (let i = 0; i < 20; i++) {
      pages.push((await groups()).length);
      await new Promise((next) => setTimeout(next, 10));
    }
    expect(pages).toEqual(Array.from({ length: 20 }, () => 1));
    expect(await waiting).toMatchObject({
      ok: false,
      message: expect.stringContaining('another program holds'),
    });
    const next = guarded(async () => done(await addGroup('after', '')));
    other.exec('COMMIT');
    other.close();
    expect((await next).ok).toBe(true);
    expect((await groups()).map((g) => g.name)).toEqual(['before', 'after']);
  });

  it('tells all who save after two seconds that it is locked, however many wait, and goes on for who reads', async () => {
    await database();
    const other = new libsql(file);
    other.exec('BEGIN IMMEDIATE');
    const saving = Array.from({ length: 12 }, (_, i) =>
      guarded(async () => done(await addGroup(`queued ${i}`, ''))),
    );
    expect((await groups()).length).toBeGreaterThan(0);
    const answers = await Promise.all(saving);
    // Each of them waited by its own clock: one after another they would have taken a minute.
    for (const answer of answers)
      expect(answer).toMatchObject({
        ok: false,
        again: true,
        message: expect.stringContaining('another program'),
      });
    other.exec('ROLLBACK');
    other.close();
    expect(await addGroup('after the lock', '')).toBeGreaterThan(0);
  });

  it('does a single statement when the lock is gone, and commits on every connection afterwards', async () => {
    const db = await database();
    const other = new libsql(file);
    other.exec('BEGIN IMMEDIATE');
    const alone = [1, 2, 3].map(async (n) => {
      await db('study_groups').insert({ name: `alone ${n}` });
    });
    await new Promise((next) => setTimeout(next, 120));
    other.exec('COMMIT');
    other.close();
    await Promise.all(alone);
    for (let i = 0; i < 6; i++) await addGroup(`after them ${i}`, '');
    const names = (await groups()).map((g) => g.name);
    expect(names.filter((name) => /^(?:alone|after them)/u.test(name))).toHaveLength(9);
  });

  it('keeps the order in which writes were asked for', async () => {
    const seen: number[] = [];
    await Promise.all(
      [30, 1, 15].map((ms, i) =>
        write(async (trx) => {
          await new Promise((next) => setTimeout(next, ms));
          await trx('settings').count();
          seen.push(i);
        }),
      ),
    );
    expect(seen).toEqual([0, 1, 2]);
  });

  it('says that the disk is full, keeps nothing of that write, and writes again when there is room', async () => {
    const db = await database();
    const [{ page_count: pages }] = (await db.raw('PRAGMA page_count')) as [{ page_count: number }];
    const most = (count: number) =>
      Promise.all([1, 2, 3].map(() => db.raw(`PRAGMA max_page_count = ${count}`)));
    await most(pages);
    const refused = await guarded(async () => done(await addGroup('x'.repeat(200_000), '')));
    expect(refused).toMatchObject({ ok: false, message: expect.stringContaining('the disk is full') });
    await most(1_000_000);
    expect(await addGroup('room again', '')).toBeGreaterThan(0);
    expect((await groups()).map((g) => g.name.length)).not.toContain(200_000);
  });

  it('leaves everything in the one file when the program is told to stop', async () => {
    await addGroup('as it was stopped', '');
    settleNow(file);
    const copy = path.join(path.dirname(file), 'stopped.sqlite');
    fs.copyFileSync(file, copy);
    const db = await openDatabase(copy);
    expect(await db('study_groups').where({ name: 'as it was stopped' })).toHaveLength(1);
    await db.destroy();
    expect(fs.statSync(`${file}-wal`).size).toBe(0);
  });

  it('leaves everything in the one file when it is closed', async () => {
    await addGroup('last of all', '');
    await closeDatabase();
    const copy = path.join(path.dirname(file), 'copy.sqlite');
    fs.copyFileSync(file, copy);
    const db = await openDatabase(copy);
    expect(await db('study_groups').where({ name: 'last of all' })).toHaveLength(1);
    await db.destroy();
  });
});

describe('a database file that is not fit for use', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-'));
  const at = (name: string) => path.join(folder, name);
  afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

  it('is foreign when it is a text, or the database of another program, and stays as it was', async () => {
    fs.writeFileSync(at('text.sqlite'), 'a shopping list, and nothing else '.repeat(30));
    expect((await problemOf(openDatabase(at('text.sqlite')))).kind).toBe('foreign');
    expect(fs.readFileSync(at('text.sqlite'), 'utf8')).toContain('shopping');
    const other = new libsql(at('other.sqlite'));
    other.exec('CREATE TABLE recipes (name TEXT)');
    other.close();
    const before = fs.readFileSync(at('other.sqlite'));
    const problem = await problemOf(openDatabase(at('other.sqlite')));
    expect(fs.readFileSync(at('other.sqlite')).equals(before)).toBe(true);
    expect(fs.readdirSync(folder).filter((name) => name.startsWith('other'))).toEqual(['other.sqlite']);
    expect(problem.message).toContain('is not a Mivvet database');
    expect(problem.digest).toBe('database-foreign');
  });

  it('is newer when it knows a change of tables that this program does not', async () => {
    const db = await openDatabase(at('newer.sqlite'));
    await db('knex_migrations').insert({ name: '900_from_tomorrow', batch: 9, migration_time: 0 });
    await db.destroy();
    const problem = await problemOf(openDatabase(at('newer.sqlite')));
    expect(problem.kind).toBe('newer');
    expect(problem.message).toContain('900_from_tomorrow');
  });

  it('is damaged when its pages do not hang together', async () => {
    const db = await openDatabase(at('damaged.sqlite'));
    for (let i = 0; i < 200; i++) await db('study_groups').insert({ name: `group ${i} ${'x'.repeat(300)}` });
    await db.raw('PRAGMA wal_checkpoint(TRUNCATE)');
    await db.destroy();
    const bytes = fs.readFileSync(at('damaged.sqlite'));
    bytes.fill(0xaa, bytes.length - 40_000, bytes.length - 2000);
    fs.writeFileSync(at('damaged.sqlite'), bytes);
    for (const end of ['-wal', '-shm']) fs.rmSync(at(`damaged.sqlite${end}`), { force: true });
    expect((await problemOf(openDatabase(at('damaged.sqlite')))).kind).toBe('damaged');
  });

  it('is unreachable, read-only or locked by what the system says of it', async () => {
    fs.writeFileSync(at('plain'), '');
    expect((await problemOf(openDatabase(at('plain/house.sqlite')))).kind).toBe('unreachable');
    expect(problemKind(Object.assign(new Error('EACCES: permission denied'), { code: 'EACCES' }))).toBe(
      'read-only',
    );
    expect(problemKind(Object.assign(new Error('database is locked'), { code: 'SQLITE_BUSY' }))).toBe(
      'locked',
    );
    expect(problemKind(new Error('something else'))).toBeUndefined();
  });

  it('has a page that says which, and the way on, whatever it is', () => {
    const said = DATABASE_PROBLEMS.map((kind) => databaseWords(`database-${kind}`));
    expect(new Set(said.map((words) => words?.title)).size).toBe(DATABASE_PROBLEMS.length);
    for (const words of said) {
      expect(words!.wayOn.length).toBeGreaterThan(20);
      // What may be lost is not said to be there.
      expect(words!.wayOn).not.toMatch(/nothing .* is lost/iu);
    }
    expect(databaseWords('3141592')).toBeUndefined();
  });
});
