// npm run demo: install, build, fill in the demo course, serve it. `-- --fresh` starts the demo data anew,
// `-- --port N` serves on another port.
import { rmSync } from 'node:fs';
import path from 'node:path';
import { installPackages, must, ROOT, say, serve, tool } from './bootstrap.mjs';

const args = process.argv.slice(2);
const portAt = args.indexOf('--port');
const port = portAt >= 0 ? args[portAt + 1] : (process.env.PORT ?? '4173');
const database = process.env.MIVVET_DB ?? path.join(ROOT, 'data', 'demo.sqlite');
const env = { MIVVET_DB: database, NEXT_TELEMETRY_DISABLED: '1' };

installPackages();
if (args.includes('--fresh'))
  for (const end of ['', '-wal', '-shm']) rmSync(`${database}${end}`, { force: true });
must(process.execPath, [tool('next/dist/bin/next'), 'build'], env);
must(process.execPath, [tool('tsx/dist/cli.mjs'), 'src/demo/main.ts'], env);
say(`Open http://127.0.0.1:${port}`);
serve([tool('next/dist/bin/next'), 'start', '-H', '127.0.0.1', '-p', port], env);
