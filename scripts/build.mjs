// npm run build: the pages, and beside them what runs without a screen: the threads that do heavy work, and the
// commands of whoever has the machine. Each purpose builds in a folder of its own: `.next` to be run, `.next-demo`
// for the demo, `.next-test` for the tests, so that none takes the other's away while it is served.
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { must, ROOT, tool } from './bootstrap.mjs';

const ENTRIES = { worker: 'src/server/work/worker.ts', house: 'src/house/main.ts' };

/** Where the worker of a build lies. */
export function workerOf(folder) {
  return path.join(ROOT, folder, 'house', 'worker.mjs');
}

/** Pages leave little behind that lives long: a small nursery keeps the server small. */
const SMALL = '--max-semi-space-size=8';

/** What serves such a build: the framework's own server, by Node. */
export function serverOf(host, port) {
  return [SMALL, tool('next/dist/bin/next'), 'start', '-H', host, '-p', port];
}

/** What a program that runs from such a build is told. */
export function settingsOf(folder) {
  return {
    MIVVET_BUILD: folder,
    MIVVET_WORKER: workerOf(folder),
    NEXT_TELEMETRY_DISABLED: '1',
    MALLOC_ARENA_MAX: '2',
  };
}

export async function buildHouse(folder) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: Object.fromEntries(
      Object.entries(ENTRIES).map(([name, file]) => [name, path.join(ROOT, file)]),
    ),
    outdir: path.join(ROOT, folder, 'house'),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    // Node wants the whole name of a file in a package that does not name its doors.
    alias: {
      'next/headers': 'next/headers.js',
      'next/navigation': 'next/navigation.js',
    },
    tsconfig: path.join(ROOT, 'tsconfig.json'),
    logLevel: 'error',
  });
}

export async function buildAll(folder) {
  must(process.execPath, [tool('next/dist/bin/next'), 'build'], settingsOf(folder));
  await buildHouse(folder);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  await buildAll(process.env.MIVVET_BUILD ?? '.next');
