import fs from 'node:fs';
import path from 'node:path';

/** What a restored house is called until it stands in its place. */
export const ARRIVING = '.arriving';

/** What a restore has left where the database itself is missing; a house that was never there has nothing beside it. */
export function leftOver(database: string): string | undefined {
  const beside = path.dirname(database);
  if (fs.existsSync(database) || !fs.existsSync(beside)) return undefined;
  const begun = `${path.basename(database)}${ARRIVING}`;
  const left = fs.readdirSync(beside).filter((name) => name.startsWith(begun));
  const whole = left.find((name) => !/-(wal|shm)$/u.test(name));
  return whole && path.join(beside, whole);
}
