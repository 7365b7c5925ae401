import fs from 'node:fs';
import path from 'node:path';

/** A backup that stands beside the database. */
export interface Backup {
  readonly file: string;
  /** When it was made by the clock of then, as its name says: `2026-11-27T10-32-05`. */
  readonly made: string;
  /** The same in the form in which instants are written. */
  readonly instant: string;
  readonly bytes: number;
}

const MADE = /^(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)\.sqlite$/u;
/** The newest of so many days and of so many weeks stay. */
const DAYS = 7;
const WEEKS = 8;

export function backupFolder(database: string): string {
  return path.join(path.dirname(database), 'backups');
}

/** Houses in one folder keep their backups apart by their names. */
function houseName(database: string): string {
  return path.basename(database).replace(/\.[^.]*$/u, '');
}

export function backupName(database: string, at: Date): string {
  return `${houseName(database)}-${at.toISOString().slice(0, 19).replaceAll(':', '-')}.sqlite`;
}

/** The backups of a house that are there, the newest first. */
export function backupsIn(database: string): Backup[] {
  const folder = backupFolder(database);
  if (!fs.existsSync(folder)) return [];
  const start = `${houseName(database)}-`;
  return fs
    .readdirSync(folder)
    .flatMap((name) => {
      const made = name.startsWith(start) && MADE.exec(name.slice(start.length))?.[1];
      const file = path.join(folder, name);
      return made ? [{ file, made, instant: instantOf(made), bytes: fs.statSync(file).size }] : [];
    })
    .sort((one, other) => other.made.localeCompare(one.made));
}

function instantOf(made: string): string {
  const [day, time] = made.split('T');
  return `${day}T${time!.replaceAll('-', ':')}Z`;
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
