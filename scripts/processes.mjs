// Other programs that the commands run: each ends with its children when the command is told to stop.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

/** What runs just now. */
const running = new Set();
let stopped = false;
/** What a command that was told to stop ends with: a server has done its work then, whatever else has not. */
let codeWhenStopped = 128 + 15;

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    stopped = true;
    for (const { child, own } of running) end(child, own, signal);
    if (running.size === 0) process.exit(codeWhenStopped);
  });

/** Ends a program, and with it whatever it has started where it leads a group of its own. */
function end(child, own, signal) {
  try {
    if (own) process.kill(-child.pid, signal);
    else child.kill(signal);
  } catch {
    // It has ended by itself.
  }
}

/**
 * Runs a program to its end.
 *
 * @param how `stdio` as of `spawn`; `talks` for one that asks questions at the terminal
 * @returns its exit code, and what it said where that was piped
 */
export function ran(command, args, env = {}, { stdio = 'inherit', talks = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio,
      env: { ...process.env, ...env },
      // A group of its own can be ended whole; at the terminal only the group in front may ask.
      detached: !talks,
    });
    const entry = { child, own: !talks };
    running.add(entry);
    const said = [];
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (chunk) => said.push(chunk));
    const ended = (code) => {
      running.delete(entry);
      // What was told to stop does nothing more, whatever was to come after this.
      if (stopped && running.size === 0) process.exit(codeWhenStopped);
      if (!stopped) resolve({ code, said: Buffer.concat(said).toString() });
    };
    child.on('error', () => ended(127));
    child.on('close', (code, signal) => ended(code ?? (signal ? 128 : 1)));
  });
}

/** The same; the command ends with it when it fails. @param how besides, `speaks` for one that says itself what failed */
export async function must(command, args, env = {}, { speaks = false, ...how } = {}) {
  const { code } = await ran(command, args, env, how);
  if (code === 0) return;
  if (speaks) process.exit(code);
  say(`${command === process.execPath ? args.join(' ') : [command, ...args].join(' ')} failed.`);
  process.exit(code);
}

/** Runs a server until it ends or this program is told to; the program ends with it. */
export async function serve(args, env = {}) {
  codeWhenStopped = 0;
  const { code } = await ran(process.execPath, args, env);
  process.exit(code);
}

export function say(text) {
  console.log(`mivvet: ${text}`);
}

const began = Date.now();

/** Says how far a command is: which step of how many, and how long it has taken so far. */
export function step(n, of, text) {
  const seconds = Math.round((Date.now() - began) / 1000);
  say(`${n} of ${of}: ${text}${seconds > 0 ? ` (after ${seconds} s)` : ''}`);
}

/** What stands behind `--name` on the command line. */
export function option(name) {
  const at = process.argv.indexOf(name);
  return at >= 0 ? process.argv[at + 1] : undefined;
}

/** Ends the command with a sentence. */
export function refuse(sentence) {
  say(sentence);
  process.exit(1);
}
