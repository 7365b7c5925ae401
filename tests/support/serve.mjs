// Fills a database of its own with the demo course and serves the build with it, for the interface tests.
import { mkdtempSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { must, serve, tool } from '../../scripts/bootstrap.mjs';
import { settingsOf } from '../../scripts/build.mjs';

const port = process.argv[2] ?? '4270';
const folder = mkdtempSync(path.join(os.tmpdir(), 'mivvet-e2e-'));
const env = { ...settingsOf('.next-test'), MIVVET_DB: path.join(folder, 'e2e.sqlite'), MIVVET_DEMO: '1' };
// A course that began today would be yesterday's for tests that run past midnight.
const soon = new Date(Date.now() + 30 * 60_000).toISOString();
must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/main.ts', soon], env);
serve([tool('next/dist/bin/next'), 'start', '-H', '127.0.0.1', '-p', port], env);
