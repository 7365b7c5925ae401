import fs from 'node:fs';
import path from 'node:path';
import { spawnSync } from 'node:child_process';
import { bundled } from '../../../tests/support/bundle';
import { ownDatabase } from '../../../tests/support/database';
import { fillDemo } from '@/demo/fill';
import { closeDatabase, database } from '../db/connection';
import { openDatabase } from '../db/open';
import { addGroup } from '../repositories/groups';
import { HouseTaken, takeHouse } from '../running';
import { backUp, backupState } from './backUp';
import { copyDatabase } from './copy';
import { backupName, outlived } from './kept';
import { leftOver } from './leftOver';
import { restoreDatabase } from './restore';

const { file } = ownDatabase();
const restorer = bundled('tests/support/restorer.ts');
const beside = (name: string) => path.join(path.dirname(file), name);

/** Every row of every table. */
async function everything(of: string): Promise<Record<string, unknown[]>> {
  const db = await openDatabase(of);
  const tables = (await db('sqlite_master').where({ type: 'table' }).select('name')) as { name: string }[];
  const rows: Record<string, unknown[]> = {};
  for (const { name } of tables) rows[name] = (await db(name)) as unknown[];
  await db.destroy();
  return rows;
}

describe('a backup', () => {
  beforeAll(() => fillDemo(new Date(2026, 10, 25, 9)));

  it('is made while the database is in use, holds the newest, and is restored row by row', async () => {
    await addGroup('typed a moment ago', '');
    const { file: copy, rows } = await backUp();
    expect(rows).toMatchObject({ readings: 52, students: 25, sessions: 5, study_groups: 3 });
    expect(backupState()).toMatchObject({ problem: '', backups: [{ file: copy }] });
    const before = await everything(file);
    await addGroup('after the backup', '');
    await closeDatabase();
    const { replaced } = await restoreDatabase(copy, file);
    expect(await everything(file)).toEqual(before);
    const kept = await everything(replaced!);
    expect(kept['study_groups']).toHaveLength(4);
    expect(await (await database())('study_groups').where({ name: 'typed a moment ago' })).toHaveLength(1);
  });

  it('is refused by name where it is none, damaged or newer, and nothing is changed', async () => {
    const before = await everything(file);
    const refusal = (work: Promise<unknown>) =>
      work.then(
        () => 'went through',
        (error: Error) => error.message,
      );
    expect(await refusal(restoreDatabase(beside('none.sqlite'), file))).toContain('There is no file');
    expect(await refusal(restoreDatabase(file, file))).toContain('the database itself');
    fs.writeFileSync(beside('text.sqlite'), 'milk, eggs and solder '.repeat(50));
    expect(await refusal(restoreDatabase(beside('text.sqlite'), file))).toContain('is not a Mivvet database');
    await copyDatabase(file, beside('newer.sqlite'));
    const newer = await openDatabase(beside('newer.sqlite'));
    await newer('knex_migrations').insert({ name: '900_from_tomorrow', batch: 9, migration_time: 0 });
    await newer.destroy();
    expect(await refusal(restoreDatabase(beside('newer.sqlite'), file))).toContain('“900_from_tomorrow”');
    await copyDatabase(file, beside('torn.sqlite'));
    const bytes = fs.readFileSync(beside('torn.sqlite'));
    bytes.fill(0x5a, 40_000, 90_000);
    fs.writeFileSync(beside('torn.sqlite'), bytes);
    expect(await refusal(restoreDatabase(beside('torn.sqlite'), file))).toContain('is damaged');
    expect(await everything(file)).toEqual(before);
    expect(fs.readdirSync(path.dirname(file)).filter((name) => /arriving|part/u.test(name))).toEqual([]);
  });

  it('is not put under a program that runs, whoever wrote or removed a note beside it', async () => {
    const hold = takeHouse(file);
    fs.rmSync(`${file}.running`, { force: true });
    await expect(restoreDatabase(beside('newer.sqlite'), file)).rejects.toThrow(
      /is running on .* Stop it first/u,
    );
    expect(() => takeHouse(file)).toThrow(HouseTaken);
    hold.release();
    // A note alone, of a process that is gone or of one that only bears its number, holds nothing.
    fs.writeFileSync(`${file}.running`, String(process.ppid));
    takeHouse(file).release();
    expect(fs.existsSync(`${file}.running`)).toBe(false);
  });

  it('leaves the house before or the restored one, whole, at whatever step it is killed', async () => {
    const house = beside('house.sqlite');
    const copy = beside('copy.sqlite');
    await copyDatabase(file, copy);
    await copyDatabase(file, house);
    const before = await openDatabase(house);
    await before('readings').del();
    await before.destroy();
    const asked = (...args: readonly string[]) =>
      spawnSync(process.execPath, [restorer, ...args], { encoding: 'utf8' });
    const found = (database: string) => asked('', database, 'look').stdout;
    const [old, restored] = [found(house), found(copy)];
    expect(JSON.parse(restored)).toMatchObject({ whole: { integrity_check: 'ok' } });
    let killed = 0;
    for (let step = 1; ; step++) {
      const { signal } = asked(copy, house, String(step));
      expect(leftOver(house)).toBeUndefined();
      expect([old, restored]).toContain(found(house));
      if (signal === null) break;
      expect(signal).toBe('SIGKILL');
      killed++;
    }
    expect(killed).toBeGreaterThan(5);
    expect(found(house)).toBe(restored);
  });

  it('names what a restore has left where no house stands, and opens nothing new there', () => {
    fs.writeFileSync(beside('gone.sqlite.arriving-17'), 'begun');
    expect(leftOver(beside('gone.sqlite'))).toBe(beside('gone.sqlite.arriving-17'));
    expect(leftOver(beside('never.sqlite'))).toBeUndefined();
  });

  it('stays for a week of days and eight weeks', () => {
    const days = Array.from({ length: 100 }, (_, i) => {
      const made = new Date(Date.UTC(2026, 10, 27 - i, 8));
      const name = backupName('/house/mivvet.sqlite', made);
      return { file: name, made: name.slice(7, -7), instant: '', bytes: 1 };
    });
    const gone = new Set(outlived(days).map(({ made }) => made));
    const stay = days.filter(({ made }) => !gone.has(made)).map(({ made }) => made.slice(0, 10));
    // Friday the 27th and the six days before it, then the newest of each earlier week: its Sunday.
    expect(stay).toEqual([
      ...['27', '26', '25', '24', '23', '22', '21'].map((day) => `2026-11-${day}`),
      ...['2026-11-15', '2026-11-08', '2026-11-01', '2026-10-25', '2026-10-18', '2026-10-11'],
    ]);
  });
});
