import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { database, write } from '../db/connection';

/** What the house keeps of its passphrase, and what its session cookies are sealed with. */
interface Secrets {
  /** Salt and hash, both in hex; nothing until a passphrase is chosen. */
  readonly salt?: string;
  readonly hash?: string;
  /** None in a house that came from a backup: it is not in those. */
  readonly seal?: string;
}

const derive = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(
  scrypt,
);
/** scrypt at 64 MB and about a quarter of a second a try. Source: RFC 7914; the cost as the field advises it today. */
const COST = { N: 2 ** 16, r: 8, p: 1, maxmem: 2 ** 27 } as const;
const LENGTH = 32;
/** Under which name they stand among the settings. */
export const ACCESS = 'access';

async function secrets(): Promise<Secrets | undefined> {
  const row = (await (await database())('settings').where({ name: ACCESS }).first()) as
    { json: string } | undefined;
  return row && (JSON.parse(row.json) as Secrets);
}

async function put(next: Secrets): Promise<void> {
  await write(async (trx) => {
    await trx('settings')
      .insert({ name: ACCESS, json: JSON.stringify(next), version: 1 })
      .onConflict('name')
      .merge();
  });
}

const newSeal = () => randomBytes(32).toString('hex');

/** What session cookies are sealed with; made at the first start. */
export async function sealSecret(): Promise<string> {
  const known = await secrets();
  if (known?.seal) return known.seal;
  // Two who come at once take the one that was made first.
  return write(async (trx) => {
    const row = (await trx('settings').where({ name: ACCESS }).first()) as { json: string } | undefined;
    const now = row ? (JSON.parse(row.json) as Secrets) : {};
    if (now.seal) return now.seal;
    const seal = newSeal();
    const json = JSON.stringify({ ...now, seal });
    await trx('settings').insert({ name: ACCESS, json, version: 1 }).onConflict('name').merge(['json']);
    return seal;
  });
}

export async function hasPassphrase(): Promise<boolean> {
  return (await secrets())?.hash !== undefined;
}

/** Sets the passphrase; whoever was signed in has to come in anew. */
export async function setPassphrase(passphrase: string): Promise<void> {
  const salt = randomBytes(16);
  const hash = await derive(passphrase.normalize('NFKC'), salt, LENGTH, COST);
  await put({ salt: salt.toString('hex'), hash: hash.toString('hex'), seal: newSeal() });
}

export async function isPassphrase(passphrase: string): Promise<boolean> {
  const { salt, hash } = (await secrets()) ?? {};
  if (!salt || !hash) return false;
  const own = await derive(passphrase.normalize('NFKC'), Buffer.from(salt, 'hex'), LENGTH, COST);
  return timingSafeEqual(own, Buffer.from(hash, 'hex'));
}

/** Every session cookie that was given out opens nothing any more. */
export async function breakSeal(): Promise<void> {
  await put({ ...(await secrets()), seal: newSeal() });
}
