// npm run build: the pages, and beside them what runs without a screen: the threads that do heavy work, and the
// commands of whoever has the machine. Each purpose builds in a folder of its own: `.next` to be run, `.next-demo`
// for the demo, `.next-test` for the tests, so that none takes the other's away while it is served.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { tool } from './bootstrap.mjs';
import { runningFrom } from './inUse.mjs';
import { must, refuse, ROOT } from './processes.mjs';

const ENTRIES = {
  worker: 'src/server/work/worker.ts',
  house: 'src/house/main.ts',
  demo: 'src/demo/main.ts',
};

/** Where what runs without a screen lies: beside the pages, which are cleared away when they are built anew. */
export function houseOf(folder, file) {
  return path.join(ROOT, '.house', folder.replace(/^\./u, ''), file);
}

function workerOf(folder) {
  return houseOf(folder, 'worker.mjs');
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
    outdir: path.dirname(workerOf(folder)),
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

const SOURCES = ['src', 'package-lock.json', 'next.config.ts', 'tsconfig.json', 'tsconfig.next.json'];

/** Of all that a build is made from. */
function sourcesHash() {
  const hash = createHash('sha256');
  const add = (file) => hash.update(path.relative(ROOT, file)).update(readFileSync(file));
  for (const source of SOURCES) {
    const at = path.join(ROOT, source);
    const inside = path.extname(source)
      ? undefined
      : readdirSync(at, { recursive: true, withFileTypes: true });
    if (!inside) add(at);
    for (const file of (inside ?? [])
      .filter((one) => one.isFile())
      .map((one) => path.join(one.parentPath, one.name))
      .sort())
      add(file);
  }
  return hash.digest('hex');
}

const stampOf = (folder) => path.join(ROOT, folder, '.mivvet-built');

export function isBuilt(folder) {
  return (
    existsSync(stampOf(folder)) &&
    existsSync(workerOf(folder)) &&
    readFileSync(stampOf(folder), 'utf8') === sourcesHash()
  );
}

/** Builds unless exactly this is built already; never in the place of what is being served. */
export async function buildAll(folder, meanwhile = async () => undefined) {
  if (isBuilt(folder)) return meanwhile();
  const pid = runningFrom(path.join(ROOT, folder));
  if (pid !== undefined)
    refuse(
      `The program has changed, and what was built before is being served (process ${pid}). Stop that first. Nothing was changed.`,
    );
  const hash = sourcesHash();
  rmSync(stampOf(folder), { force: true });
  await buildHouse(folder);
  await Promise.all([
    must(process.execPath, [tool('next/dist/bin/next'), 'build'], settingsOf(folder)),
    meanwhile(),
  ]);
  writeFileSync(stampOf(folder), hash);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  await buildAll(process.env.MIVVET_BUILD ?? '.next');
