// Which programs run from a folder, so that nothing is put in its place under them.
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const folderOf = (folder) => path.join(folder, '.running');

/** Notes that this process runs from a folder, until it ends. */
export function runsFrom(folder) {
  mkdirSync(folderOf(folder), { recursive: true });
  const note = path.join(folderOf(folder), String(process.pid));
  writeFileSync(note, '');
  process.on('exit', () => rmSync(note, { force: true }));
}

/** @returns the process that runs from a folder, or undefined; notes of those that are gone are removed */
export function runningFrom(folder) {
  if (!existsSync(folderOf(folder))) return undefined;
  return readdirSync(folderOf(folder))
    .map(Number)
    .find((pid) => {
      if (isAlive(pid)) return pid !== process.pid;
      rmSync(path.join(folderOf(folder), String(pid)), { force: true });
      return false;
    });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}
