import fs from 'node:fs';
import path from 'node:path';

/** A backup that stands beside the database. */
export interface Backup {
  readonly file: string;
  /** When it was made, as its name says: `2026-11-27T10-32-05`. */
  readonly made: string;
  readonly bytes: number;
}

const NAME = /^mivvet-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)\.sqlite$/u;
/** The newest of so many days and of so many weeks stay. */
const DAYS = 7;
const WEEKS = 8;

export function backupFolder(database: string): string {
  return path.join(path.dirname(database), 'backups');
}

export function backupName(at: Date): string {
  return `mivvet-${at.toISOString().slice(0, 19).replaceAll(':', '-')}.sqlite`;
}

/** The backups that are there, the newest first. */
export function backupsIn(folder: string): Backup[] {
  if (!fs.existsSync(folder)) return [];
  return fs
    .readdirSync(folder)
    .flatMap((name) => {
      const made = NAME.exec(name)?.[1];
      const file = path.join(folder, name);
      return made ? [{ file, made, bytes: fs.statSync(file).size }] : [];
    })
    .sort((a, b) => b.made.localeCompare(a.made));
}

/**
 * Which backups may go: the newest of each of the last seven days that have one stays, and the newest of each of the
 * last eight weeks.
 *
 * @param backups the newest first
 */
export function outlived(backups: readonly Backup[]): Backup[] {
  const stay = new Set<Backup>();
  const newestOf = (key: (backup: Backup) => string, most: number) => {
    const seen = new Set<string>();
    for (const backup of backups) {
      const name = key(backup);
      if (seen.has(name)) continue;
      if (seen.size === most) return;
      seen.add(name);
      stay.add(backup);
    }
  };
  newestOf(({ made }) => made.slice(0, 10), DAYS);
  newestOf(({ made }) => weekOf(made), WEEKS);
  return backups.filter((backup) => !stay.has(backup));
}

/** The Monday of the week. */
function weekOf(made: string): string {
  const day = new Date(`${made.slice(0, 10)}T00:00:00Z`);
  day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
  return day.toISOString().slice(0, 10);
}
