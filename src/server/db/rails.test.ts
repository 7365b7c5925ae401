import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { choiceSchema } from '@/core';
import { choiceWith } from '../../../tests/support/sheets';
import { rails } from './migrations/010_rails';
import { openDatabase } from './open';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-rails-'));
afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));

it('keeps the places of lessons from before legs stood in the rails, and leaves what cannot be read', async () => {
  const db = await openDatabase(path.join(folder, 'before.sqlite'));
  const { build: _none, ...bare } = choiceWith('single');
  const choices = [bare, choiceWith('strings', {}, 'full')].map((choice) => JSON.stringify(choice));
  const [first] = await db('lessons').select('id');
  expect(first).toBeUndefined();
  const common = {
    course: '',
    position: 1,
    aim: '',
    age_group: '10–12',
    updated_at: '2026-01-01T00:00:00.000Z',
  };
  for (const [i, choice] of [...choices, '{ torn'].entries()) {
    await db('lessons').insert({ ...common, position: i, title: `lesson ${i}`, choice });
  }
  const stored = async () =>
    ((await db('lessons').select('choice').orderBy('id')) as { choice: string }[]).map(
      ({ choice }) => choice,
    );
  await rails.up(db);
  const [one, several, torn] = await stored();
  expect(choiceSchema.parse(JSON.parse(one!)).build).toMatchObject({ board: 'half', rails: 'wires only' });
  expect(choiceSchema.parse(JSON.parse(several!)).build).toMatchObject({
    board: 'full',
    rails: 'wires only',
  });
  expect(torn).toBe('{ torn');
  await rails.down(db);
  for (const choice of (await stored()).slice(0, 2)) {
    expect(choiceSchema.parse(JSON.parse(choice)).build).not.toHaveProperty('rails');
  }
  await db.destroy();
});
