// npm run core: the command line over the core. It is bundled once, and anew when a source is younger than the bundle.
import { existsSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = path.resolve(import.meta.dirname, '..');
const BUNDLE = path.join(ROOT, 'data', 'core.mjs');
/** Packages of the older form are found by this. */
const REQUIRE =
  "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);";
const SOURCES = ['src/cli', 'src/core', 'src/messages'];

function youngest(folder) {
  return readdirSync(path.join(ROOT, folder), { recursive: true, withFileTypes: true }).reduce(
    (latest, file) =>
      file.isFile()
        ? Math.max(latest, statSync(path.join(file.parentPath ?? file.path, file.name)).mtimeMs)
        : latest,
    0,
  );
}

if (!existsSync(BUNDLE) || SOURCES.some((folder) => youngest(folder) > statSync(BUNDLE).mtimeMs)) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [path.join(ROOT, 'src/cli/main.ts')],
    outfile: BUNDLE,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    // With the packages it uses in it: reading hundreds of files takes longer than most answers.
    banner: { js: REQUIRE },
    tsconfig: path.join(ROOT, 'tsconfig.json'),
    logLevel: 'error',
  });
}
await import(pathToFileURL(BUNDLE).href);
