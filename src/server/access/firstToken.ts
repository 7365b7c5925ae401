import { randomBytes, timingSafeEqual } from 'node:crypto';
import fs from 'node:fs';

/** Who may choose the first passphrase has to know this: it is printed where the program is started, and stands in a file there. */
export function firstToken(database: string): string {
  const known = kept(database);
  if (known) return known;
  const token = randomBytes(12).toString('base64url');
  fs.writeFileSync(fileOf(database), token, { mode: 0o600 });
  return token;
}

export function isFirstToken(database: string, typed: string): boolean {
  const known = kept(database);
  const [own, given] = [Buffer.from(known ?? ''), Buffer.from(typed)];
  return known !== undefined && own.length === given.length && timingSafeEqual(own, given);
}

/** Once a passphrase is chosen there is no first one any more. */
export function dropFirstToken(database: string): void {
  fs.rmSync(fileOf(database), { force: true });
}

function kept(database: string): string | undefined {
  try {
    return fs.readFileSync(fileOf(database), 'utf8').trim() || undefined;
  } catch {
    return undefined;
  }
}

function fileOf(database: string): string {
  return `${database}.first`;
}
