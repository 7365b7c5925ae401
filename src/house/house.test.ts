import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { bundled } from '../../tests/support/bundle';

const house = bundled('src/house/main.ts');
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-house-'));
const database = path.join(folder, 'mine.sqlite');
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

function run(args: readonly string[], typed = '') {
  const { MIVVET_DEMO: _demo, ...env } = process.env;
  const done = spawnSync(process.execPath, [house, ...args], {
    input: typed,
    encoding: 'utf8',
    env: { ...env, MIVVET_DB: database },
  });
  return { code: done.status, said: `${done.stdout}${done.stderr}` };
}

describe('the commands of whoever has the machine', () => {
  it('let other machines reach the house only once it has a passphrase', () => {
    expect(run(['may-listen', '127.0.0.1'])).toMatchObject({ code: 0 });
    const shut = run(['may-listen', '0.0.0.0']);
    expect(shut.code).toBe(1);
    expect(shut.said).toContain('has no passphrase yet');
    const short = run(['passphrase'], 'short\n');
    expect(short.code).toBe(1);
    expect(short.said).toContain('at least 10 letters');
    expect(run(['passphrase'], 'four words by the sea\n')).toMatchObject({ code: 0 });
    expect(run(['may-listen', '0.0.0.0'])).toMatchObject({ code: 0 });
  });

  it('copy the database, list the copies, and put one back', () => {
    const made = run(['backup']);
    expect(made).toMatchObject({ code: 0 });
    expect(made.said).toMatch(
      /backups\/mine-.*\.sqlite: \d+\.\d MB, verified\.\n {2}0 lessons\n {2}0 groups/u,
    );
    const elsewhere = path.join(folder, 'elsewhere.sqlite');
    expect(run(['backup', elsewhere])).toMatchObject({ code: 0 });
    expect(run(['backups']).said.trim().split('\n')).toHaveLength(1);
    const back = run(['restore', elsewhere]);
    expect(back).toMatchObject({ code: 0 });
    expect(back.said).toMatch(/What it replaces is kept as .*replaced\/mine-/u);
    const none = run(['restore', path.join(folder, 'none.sqlite')]);
    expect(none).toMatchObject({ code: 1, said: expect.stringContaining('Nothing was changed') });
  });
});
