// What the commands need first: the packages of the lock file, and Chromium where the interface is tested.
// Plain Node, no packages: it runs on a machine that has none yet.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { runningFrom, runsFrom } from './inUse.mjs';
import { must, refuse, ROOT, say } from './processes.mjs';
import { needsRoom } from './ready.mjs';

const MODULES = path.join(ROOT, 'node_modules');
const STAMP = path.join(MODULES, '.mivvet-lock');
/** Chromium without a screen, a sandbox of its own, or anything to fetch; the interface tests read it too. */
export const CHROMIUM = JSON.parse(readFileSync(path.join(ROOT, 'scripts', 'chromium.json'), 'utf8'));

/** What was installed: `run` is what the program runs on, `all` what it is tested with besides. */
function installed() {
  const [lock, what] = existsSync(STAMP) ? readFileSync(STAMP, 'utf8').split(' ') : [];
  return { lock, what };
}

/**
 * Installs the packages of the lock file unless exactly those are there.
 *
 * @param asked `run` for what the program runs on, `all` for what it is tested with besides
 */
export async function installPackages(asked = 'run') {
  const lock = createHash('sha256')
    .update(readFileSync(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  const there = installed();
  const isSame = there.lock === lock;
  // Where the program was tested it is tested again.
  const wanted = there.what === 'all' ? 'all' : asked;
  if (!isSame || (wanted === 'all' && there.what !== 'all')) {
    needsRoom();
    const quiet = ['--no-audit', '--no-fund', '--loglevel=error'];
    if (isSame) {
      // Added beside what is there: a program may be running from it.
      say('Adding the packages for tests …');
      await must('npm', ['install', '--no-save', '--include=dev', ...quiet]);
    } else {
      const pid = runningFrom(MODULES);
      if (pid !== undefined)
        refuse(
          `Other packages are wanted, and a Mivvet of this folder runs from those that are there (process ${pid}). Stop it first. Nothing was changed.`,
        );
      say(wanted === 'all' ? 'Installing all packages …' : 'Installing the packages that it runs on …');
      await must('npm', ['ci', ...(wanted === 'all' ? [] : ['--omit=dev']), ...quiet]);
    }
    writeFileSync(STAMP, `${lock} ${wanted}`);
  }
  runsFrom(MODULES);
}

/** Installs Debian's Chromium when it is missing. */
export async function installChromium() {
  if (existsSync(CHROMIUM.path)) return;
  say('Installing Chromium …');
  const [first, ...rest] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get'];
  const apt = (...args) => must(first, [...rest, ...args], {}, { talks: true });
  await apt('update', '-qq');
  await apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
}

/** The path of a tool inside node_modules. */
export function tool(file) {
  return path.join(MODULES, file);
}
