import fs from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';

const ROOT = path.resolve(__dirname, '../..');

/** Builds an entry of the program as `npm run build` does, for tests that run it by itself; it is removed afterwards. */
export function bundled(entry: string): string {
  const folder = path.join(ROOT, 'test-results', `bundle-${path.basename(entry, '.ts')}-${process.pid}`);
  const file = path.join(folder, 'bundle.mjs');
  buildSync({
    entryPoints: [path.join(ROOT, entry)],
    outfile: file,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: { 'next/headers': 'next/headers.js', 'next/navigation': 'next/navigation.js' },
    tsconfig: path.join(ROOT, 'tsconfig.json'),
  });
  afterAll(() => fs.rmSync(folder, { recursive: true, force: true }));
  return file;
}
