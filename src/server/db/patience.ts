import { setTimeout as pause } from 'node:timers/promises';
import { wordsOf } from './problems';

/** How long a write or a read waits for another program to let go of the database, and how often it looks. */
const PATIENCE_MS = 5000;
const LOOK_EVERY_MS = 15;

/**
 * Does a piece of work as soon as nobody else holds the database. It waits without holding up anything else: the
 * driver itself never waits, since it would stop the whole program while it does.
 *
 * @throws what the work throws, and the driver's own error when the lock lasts longer than our patience
 */
export async function patiently<T>(work: () => T | Promise<T>, patience = PATIENCE_MS): Promise<T> {
  const until = Date.now() + patience;
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
