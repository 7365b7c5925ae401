import { AsyncLocalStorage } from 'node:async_hooks';
import { setTimeout as pause } from 'node:timers/promises';
import { wordsOf } from './problems';

/** How long a read waits for another program to let go of the database, and how often it looks. */
const PATIENCE_MS = 5000;
const LOOK_EVERY_MS = 15;
/** Whoever saves hears after so long that another program holds the database, however many wait before them. */
const WRITE_PATIENCE_MS = 2000;

const underway = new AsyncLocalStorage<{ readonly until: number }>();

/** Does a write whose patience began when it was asked for, and not when its turn came. */
export function asWrite<T>(askedAt: number, work: () => Promise<T>): Promise<T> {
  return underway.run({ until: askedAt + WRITE_PATIENCE_MS }, work);
}

/**
 * Does a piece of work as soon as nobody else holds the database. It waits without holding up anything else: the
 * driver itself never waits, since it would stop the whole program while it does.
 *
 * @throws what the work throws, and the driver's own error when the lock lasts longer than our patience
 */
export async function patiently<T>(work: () => T | Promise<T>, patience = PATIENCE_MS): Promise<T> {
  const until = underway.getStore()?.until ?? Date.now() + patience;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isLocked(error) || Date.now() >= until) throw error;
      await pause(LOOK_EVERY_MS);
    }
  }
}

export function isLocked(error: unknown): boolean {
  return /SQLITE_(BUSY|LOCKED)/u.test(wordsOf(error));
}
