// npm run demo: install, build, fill in the demo course, serve it. `-- --fresh` starts the demo data anew,
// `-- --port N` serves on another port. Whoever is on this machine is its educator, so it never leaves the machine.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages, tool } from './bootstrap.mjs';
import { buildAll, houseOf, isBuilt, serverOf, settingsOf } from './build.mjs';
import { runsFrom } from './inUse.mjs';
import { must, option, refuse, ROOT, say, serve, step } from './processes.mjs';
import { needsNode, needsPort } from './ready.mjs';

const FOLDER = '.next-demo';
const args = process.argv.slice(2);
const port = option('--port') ?? process.env.PORT ?? '4173';
const host = option('--host') ?? '127.0.0.1';
needsNode();
if (!['127.0.0.1', 'localhost', '::1'].includes(host))
  refuse(
    `The demo signs everybody in, so it is served on this machine only, not on ${host}. Use npm start for that.`,
  );
await needsPort(host, port);
const database = process.env.MIVVET_DB ?? path.join(ROOT, 'data', 'demo.sqlite');
const env = { ...settingsOf(FOLDER), MIVVET_DB: database, MIVVET_DEMO: '1' };
/** These say themselves why they do not go on. */
const SPEAKS = { speaks: true };
const isFresh = args.includes('--fresh');

step(1, 3, 'the packages');
await installPackages();
// Before anything is built or removed: what another demo serves from here stays as it is.
if (isFresh || !isBuilt(FOLDER))
  await must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/mayStart.ts'], env, SPEAKS);
if (isFresh) for (const end of ['', '-wal', '-shm']) rmSync(`${database}${end}`, { force: true });
step(
  2,
  3,
  isBuilt(FOLDER) ? 'the pages are built; the demo course' : 'building the pages, and the demo course',
);
await buildAll(FOLDER, () => must(process.execPath, [houseOf(FOLDER, 'demo.mjs')], env, SPEAKS));
step(3, 3, 'serving');
say(`Open http://${host}:${port}`);
runsFrom(path.join(ROOT, FOLDER));
await serve(serverOf(host, port), env);
