import fs from 'node:fs';
import path from 'node:path';
import { givenClass } from '../../tests/support/givenClass';
import { ownDatabase } from '../../tests/support/database';
import { backUp, backupState } from './backup/backUp';
import { backupName } from './backup/kept';
import { clockProblem } from './clock';
import { addReading } from './repositories/readings';

const { file } = ownDatabase();
const at = (text: string) => new Date(text);

it('a clock that is behind what was made here is named, and one that is right is not', async () => {
  expect(await clockProblem(at('2026-11-27T17:00:00Z'))).toBeUndefined();
  const { session, students } = await givenClass('Wren');
  await addReading(
    {
      sessionId: session,
      studentId: students[0]!.id,
      point: 'R1',
      kind: 'first',
      value: 2.9,
      step: 0.01,
      typed: '2.90',
      meter: '',
      takenBy: '',
      takenAt: '9999-01-01T00:00:00.000Z',
      entryKey: 'clock',
    },
    '2026-11-27T17:00:00.000Z',
  );
  expect(await clockProblem(at('2026-11-27T16:55:00Z'))).toBeUndefined();
  expect(await clockProblem(at('2026-11-27T14:00:00Z'))).toContain(
    'the newest reading is about 3 hours ahead of it',
  );
  await backUp(at('2030-01-01T08:00:00Z'));
  expect(await clockProblem(at('2026-11-28T08:00:00Z'))).toContain(
    'the newest backup is about 3 years ahead',
  );
});

it('a backup that was just made stays, however wrong the clock is', async () => {
  const folder = path.join(path.dirname(file), 'backups');
  // Ten days of a clock that was years ahead, as if made then.
  for (let day = 1; day <= 10; day++)
    fs.copyFileSync(
      file,
      path.join(folder, backupName(file, at(`2031-02-${day < 10 ? '0' : ''}${day}T08:00:00Z`))),
    );
  const made = await backUp(at('2026-11-28T09:00:00Z'));
  expect(fs.existsSync(made.file)).toBe(true);
  expect(fs.statSync(made.file).mode & 0o077).toBe(0);
  expect(backupState().backups.some((backup) => backup.file === made.file)).toBe(true);
});

it('houses in one folder keep their backups apart, and what a killed one left goes with the next', async () => {
  const folder = path.join(path.dirname(file), 'backups');
  const other = path.join(
    folder,
    backupName(path.join(path.dirname(file), 'annex.sqlite'), at('2026-11-28T10:00:00Z')),
  );
  fs.writeFileSync(other, 'of another house');
  const left = path.join(folder, 'house-2026.sqlite.part-999999999-x');
  fs.writeFileSync(left, 'half');
  await backUp(at('2026-11-28T11:00:00Z'));
  expect(fs.existsSync(left)).toBe(false);
  expect(fs.readFileSync(other, 'utf8')).toBe('of another house');
  expect(backupState().backups.map((backup) => backup.file)).not.toContain(other);
});
