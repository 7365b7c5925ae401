import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { bundled } from '../../../tests/support/bundle';
import { ownDatabase } from '../../../tests/support/database';
import { addGroup } from '../repositories/groups';
import { closeDatabase, database } from './connection';

const { file } = ownDatabase();
const writer = bundled('tests/support/writer.ts');

/** What a program had said is kept when it was killed in the middle of writing. */
function keptBefore(kill: number): Promise<number[]> {
  const child = spawn(process.execPath, [writer], {
    env: { ...process.env, MIVVET_DB: file },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const said: number[] = [];
  createInterface({ input: child.stdout }).on('line', (line) => {
    said.push(Number(line));
    if (said.length === kill) child.kill('SIGKILL');
  });
  return new Promise((resolve) => child.once('close', () => resolve(said)));
}

it('a program that is killed in the middle loses nothing that it had said is kept', async () => {
  let all: number[] = [];
  for (const after of [1, 7, 40]) {
    all = [...all, ...(await keptBefore(after))];
    const db = await database();
    const there = new Set(((await db('study_groups').select('id')) as { id: number }[]).map(({ id }) => id));
    expect(all.filter((id) => !there.has(id))).toEqual([]);
    expect(await db.raw('PRAGMA integrity_check')).toEqual([{ integrity_check: 'ok' }]);
    // And it goes on at once, with nothing to be cleared away first.
    all.push(await addGroup(`after ${after}`, ''));
    await closeDatabase();
  }
  expect(all.length).toBeGreaterThanOrEqual(1 + 7 + 40 + 3);
});
