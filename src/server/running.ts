import fs from 'node:fs';

const noteOf = (database: string) => `${database}.running`;

/** Notes beside the database that this process serves it. */
export function noteRunning(database: string): void {
  fs.writeFileSync(noteOf(database), String(process.pid));
}

export function noteStopped(database: string): void {
  if (Number(readNote(database)) === process.pid) fs.rmSync(noteOf(database), { force: true });
}

/** The process that serves the database now, if one does. */
export function runningOn(database: string): number | undefined {
  const pid = Number(readNote(database));
  if (!Number.isInteger(pid) || pid <= 0 || pid === process.pid) return undefined;
  try {
    process.kill(pid, 0);
    return pid;
  } catch {
    return undefined;
  }
}

function readNote(database: string): string {
  try {
    return fs.readFileSync(noteOf(database), 'utf8');
  } catch {
    return '';
  }
}
