import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { database, write } from '../db/connection';
import { environment } from '../env';

/** So many results are kept; the oldest go first. */
const MOST = 4000;

/** Work that is under way, so that two who ask for the same thing wait for one. */
const held = globalThis as { mivvetUnderway?: Map<string, Promise<unknown>>; mivvetVersion?: string };

/** Changes whenever the program that works things out does; one that is being written changes with every start. */
function programVersion(): string {
  if (held.mivvetVersion !== undefined) return held.mivvetVersion;
  const { worker } = environment();
  held.mivvetVersion = worker
    ? createHash('sha256').update(readFileSync(worker)).digest('hex').slice(0, 16)
    : `here ${process.pid} ${Date.now()}`;
  return held.mivvetVersion;
}

/** Under what a result is kept: everything that it hangs on, in short. */
export function keyFor(kind: string, hangsOn: readonly unknown[]): string {
  const hash = createHash('sha256').update(`${kind} ${programVersion()}`);
  for (const one of hangsOn) hash.update(typeof one === 'string' ? one : JSON.stringify(one));
  return hash.digest('base64url');
}

/** What has been worked out under these keys, by key. */
export async function keptUnder<T>(keys: readonly string[]): Promise<Map<string, T>> {
  const found = new Map<string, T>();
  const db = await database();
  for (let at = 0; at < keys.length; at += 500) {
    const rows = (await db('worked_out')
      .whereIn('key', keys.slice(at, at + 500))
      .select('key', 'json')) as {
      key: string;
      json: string;
    }[];
    for (const { key, json } of rows) found.set(key, JSON.parse(json) as T);
  }
  return found;
}

/** What stands under a key, or what `make` comes to: worked out once, and kept. */
export async function keptOr<T>(kind: string, key: string, make: () => Promise<T>): Promise<T> {
  const underway = (held.mivvetUnderway ??= new Map());
  const running = underway.get(key) as Promise<T> | undefined;
  if (running) {
    // Who asked first may cancel; that is no answer to those who wait for the same thing.
    return running.catch((error: unknown) => {
      if ((error as Error).name !== 'AbortError') throw error;
      return keptOr(kind, key, make);
    });
  }
  const work = (async () => {
    try {
      const found = (await keptUnder<T>([key])).get(key);
      if (found !== undefined) {
        underway.delete(key);
        return found;
      }
      const made = await make();
      // Who asked does not wait until it is kept; who asks meanwhile gets it from here.
      void keep(kind, key, made).finally(() => underway.delete(key));
      return made;
    } catch (error) {
      underway.delete(key);
      throw error;
    }
  })();
  underway.set(key, work);
  return work;
}

/** That something could not be kept costs time later, and nothing else. */
async function keep(kind: string, key: string, value: unknown): Promise<void> {
  try {
    await write(async (trx) => {
      const row = { key, kind, json: JSON.stringify(value), made_at: Date.now() };
      await trx('worked_out').insert(row).onConflict('key').merge();
      const [{ n }] = (await trx('worked_out').count({ n: '*' })) as [{ n: number }];
      if (n > MOST) {
        const old = trx('worked_out')
          .select('key')
          .orderBy('made_at')
          .limit(n - MOST);
        await trx('worked_out').whereIn('key', old).delete();
      }
    });
  } catch {
    return;
  }
}
