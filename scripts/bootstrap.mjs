// What both commands need first: the packages of the lock file, and Chromium where the interface is tested.
// Plain Node, no packages: it runs on a machine that has none yet.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const STAMP = path.join(ROOT, 'node_modules', '.mivvet-lock');
/** Chromium without a screen, a sandbox of its own, or anything to fetch; the interface tests read it too. */
export const CHROMIUM = JSON.parse(readFileSync(path.join(ROOT, 'scripts', 'chromium.json'), 'utf8'));

/** Installs the packages of the lock file unless exactly those are there. */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  say('Installing packages …');
  must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(STAMP, lock);
}

/** Installs Debian's Chromium when it is missing. */
export function installChromium() {
  if (existsSync(CHROMIUM.path)) return;
  say('Installing Chromium …');
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    must([...asRoot, 'apt-get'][0], [...asRoot.slice(1), ...(asRoot.length ? ['apt-get'] : []), ...args]);
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
}

/** The path of a tool inside node_modules. */
export function tool(file) {
  return path.join(ROOT, 'node_modules', file);
}

/** Runs a command to its end; the program ends with it when it fails. */
export function must(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.status !== 0) {
    say(`${command} ${args.join(' ')} failed${done.error ? `: ${done.error.message}` : ''}.`);
    process.exit(done.status ?? 1);
  }
}

/** Starts a server that ends when this program is told to. */
export function serve(args, env = {}) {
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

export function say(text) {
  console.log(`mivvet: ${text}`);
}

/** What stands behind `--name` on the command line. */
export function option(name) {
  const at = process.argv.indexOf(name);
  return at >= 0 ? process.argv[at + 1] : undefined;
}
