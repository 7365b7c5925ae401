import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';

/** Tries at a passphrase, or at a code: so many from one address, and so many from all, in a quarter of an hour. */
const WINDOW_SECONDS = 15 * 60;
const FROM_ONE = 20;
const FROM_ALL = 300;

const limits = () => ({
  one: new RateLimiterMemory({ points: FROM_ONE, duration: WINDOW_SECONDS }),
  all: new RateLimiterMemory({ points: FROM_ALL, duration: WINDOW_SECONDS }),
});
/** Counted apart: who guesses at codes does not keep the educator out. */
const LIMITS = { passphrase: limits(), code: limits() };

/**
 * Counts a try.
 *
 * @param address of the machine that asks, as the server or the proxy in front of it sees it
 * @returns why it must wait, or nothing where it may be made
 */
export async function attempt(at: keyof typeof LIMITS, address: string): Promise<string | undefined> {
  const { one, all } = LIMITS[at];
  try {
    await one.consume(address);
    await all.consume('everybody');
    return undefined;
  } catch (refused) {
    const minutes = Math.max(1, Math.ceil(((refused as RateLimiterRes).msBeforeNext ?? 60_000) / 60_000));
    return `Too many tries. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} and try again.`;
  }
}
