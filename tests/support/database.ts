import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { closeDatabase } from '@/server/db/connection';

/** Points this test file at a database of its own, and closes and removes it afterwards. */
export function ownDatabase(): { file: string } {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-'));
  const file = path.join(folder, 'test.sqlite');
  process.env['MIVVET_DB'] = file;
  // Whoever asks is the educator, unless the test says otherwise.
  process.env['MIVVET_DEMO'] = '1';
  afterAll(async () => {
    await closeDatabase();
    fs.rmSync(folder, { recursive: true, force: true });
  });
  return { file };
}
