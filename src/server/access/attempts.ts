import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

/** Tries at a passphrase or a code: so many from one address, and so many from all, in a quarter of an hour. */
const WINDOW_SECONDS = 15 * 60;
const FROM_ONE = 20;
const FROM_ALL = 200;

const one = new RateLimiterMemory({ points: FROM_ONE, duration: WINDOW_SECONDS });
const all = new RateLimiterMemory({ points: FROM_ALL, duration: WINDOW_SECONDS });

/** Counts a try. @returns why it must wait, or nothing where it may be made */
export async function attempt(address: string): Promise<string | undefined> {
  try {
    await Promise.all([one.consume(address), all.consume('everybody')]);
    return undefined;
  } catch (refused) {
    const minutes = Math.max(1, Math.ceil(((refused as RateLimiterRes).msBeforeNext ?? 60_000) / 60_000));
    return `Too many tries. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} and try again.`;
  }
}
