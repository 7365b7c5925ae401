// npm run demo: install, build, fill in the demo course, serve it. `-- --fresh` starts the demo data anew,
// `-- --port N` serves on another port. Whoever is on this machine is its educator, so it never leaves the machine.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages, must, option, ROOT, say, serve, tool } from './bootstrap.mjs';
import { buildAll, serverOf, settingsOf } from './build.mjs';

const FOLDER = '.next-demo';
const args = process.argv.slice(2);
const port = option('--port') ?? process.env.PORT ?? '4173';
const host = option('--host') ?? '127.0.0.1';
if (!['127.0.0.1', 'localhost', '::1'].includes(host)) {
  say(
    `The demo signs everybody in, so it is served on this machine only, not on ${host}. Use npm start for that.`,
  );
  process.exit(1);
}
const database = process.env.MIVVET_DB ?? path.join(ROOT, 'data', 'demo.sqlite');
const env = { ...settingsOf(FOLDER), MIVVET_DB: database, MIVVET_DEMO: '1' };

installPackages();
// Before anything is built or removed: what another demo serves from here stays as it is.
must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/mayStart.ts'], env);
if (args.includes('--fresh'))
  for (const end of ['', '-wal', '-shm']) rmSync(`${database}${end}`, { force: true });
await buildAll(FOLDER);
must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/main.ts'], env);
say(`Open http://${host}:${port}`);
serve(serverOf(host, port), env);
