import type { Answer } from '@/server/failures';
import { heard, SILENT } from './heard';

/** Waits between two tries, and for how long it is tried. */
const AGAIN_AFTER_MS = 2000;
const TRIES = 150;

/**
 * Sends something until the database takes it: where the program says that it saved nothing now and may later (another
 * program holds the database, the disk is full), it is sent again by itself. A program that did not answer may have
 * saved it: that is not sent twice.
 *
 * @param told what stands in the way, while it waits
 * @param stands whether anybody waits still
 */
export async function whenFree<T, Kept>(
  send: () => Promise<Answer<T, Kept>>,
  told: (waitsFor: string) => void,
  stands: () => boolean,
): Promise<Answer<T, Kept>> {
  for (let left = TRIES; ; left--) {
    const answer = await heard(send());
    if (answer.ok || !answer.again || answer === SILENT || left === 0 || !stands()) return answer;
    told(`${answer.message} It is tried again by itself every two seconds.`);
    await new Promise((over) => setTimeout(over, AGAIN_AFTER_MS));
    if (!stands()) return answer;
  }
}
