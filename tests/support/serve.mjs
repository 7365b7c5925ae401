// Serves the build of the tests with a database of its own, for the interface tests: filled with the demo course, or a
// house that nobody has come to yet.
import { mkdirSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { tool } from '../../scripts/bootstrap.mjs';
import { must, serve } from '../../scripts/processes.mjs';
import { serverOf, settingsOf } from '../../scripts/build.mjs';

const [port = '4270', what = 'demo'] = process.argv.slice(2);
// By its port, so that tests find what the program wrote there.
const folder = path.join(os.tmpdir(), `mivvet-e2e-${port}`);
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder);
const env = { ...settingsOf('.next-test'), PORT: port, MIVVET_DB: path.join(folder, 'e2e.sqlite') };
if (what === 'demo') {
  env.MIVVET_DEMO = '1';
  // A course that began today would be yesterday's for tests that run past midnight.
  const soon = new Date(Date.now() + 30 * 60_000).toISOString();
  await must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/main.ts', soon], env);
}
await serve(serverOf('127.0.0.1', port), env);
