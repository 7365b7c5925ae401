import { spawn } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import { createInterface } from 'node:readline';
import { bundled } from '../../tests/support/bundle';
import { ownDatabase } from '../../tests/support/database';
import { closeDatabase, database, whenOpened } from './db/connection';
import { DatabaseProblem } from './db/problems';
import { HouseTaken, takeHouse } from './running';

const { file } = ownDatabase();
const holder = bundled('tests/support/holder.ts');

/** Another process that has the house until it is killed. */
async function another(): Promise<{ readonly pid: number; kill(): Promise<unknown> }> {
  const child = spawn(process.execPath, [holder, file], { stdio: ['ignore', 'pipe', 'inherit'] });
  await once(createInterface({ input: child.stdout }), 'line');
  return {
    pid: child.pid!,
    kill: () => {
      const gone = once(child, 'close');
      child.kill('SIGKILL');
      return gone;
    },
  };
}

it('one process has a house; it is named to others, and one that is killed has it no more', async () => {
  const other = await another();
  const refusal = () => {
    try {
      takeHouse(file).release();
      return undefined;
    } catch (error) {
      return error;
    }
  };
  expect(refusal()).toBeInstanceOf(HouseTaken);
  expect(refusal()).toMatchObject({ pid: other.pid });
  await other.kill();
  expect(refusal()).toBeUndefined();
});

it('a house is had though nothing can be noted beside it, as on a full disk', () => {
  fs.mkdirSync(`${file}.running`);
  const hold = takeHouse(file);
  expect(() => takeHouse(file)).toThrow(HouseTaken);
  hold.release();
  takeHouse(file).release();
  fs.rmdirSync(`${file}.running`);
});

it('what a start does is done whenever the database opens, also late', async () => {
  let free = false;
  let done = 0;
  whenOpened({
    before: () => {
      if (!free) throw new DatabaseProblem('served', file, 'process 7');
    },
    after: () => done++,
  });
  await expect(database()).rejects.toThrow(/is served by another Mivvet already \(process 7\)/u);
  expect(done).toBe(0);
  free = true;
  await database();
  await database();
  expect(done).toBe(1);
  await closeDatabase();
});
