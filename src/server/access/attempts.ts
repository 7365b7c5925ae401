import { setTimeout as pause } from 'node:timers/promises';
import { RateLimiterMemory } from 'rate-limiter-flexible';

/** What is tried: a code of a session, which many come by at once, or the passphrase. */
export type Tried = 'code' | 'passphrase';

/** Wrong tries are remembered for so long after the first. */
const MEMORY_SECONDS = 60 * 60;
/** So many slips cost nothing. */
const FREE: Readonly<Record<Tried, number>> = { code: 30, passphrase: 5 };
/** Codes: each wrong one more makes those after it slower, and never keeps anybody out. */
const SLOWER_MS = 5;
const SLOWEST_MS = 100;
/** The passphrase: each wrong one doubles the wait, up to this. */
const LONGEST_SECONDS = 15 * 60;

const counted = (name: string) =>
  new RateLimiterMemory({ keyPrefix: name, points: Number.MAX_SAFE_INTEGER, duration: MEMORY_SECONDS });
const wrong = { code: counted('code'), passphrase: counted('passphrase') };
const waits = new RateLimiterMemory({ keyPrefix: 'waits', points: 1, duration: LONGEST_SECONDS });

async function wrongFrom(at: Tried, address: string): Promise<number> {
  return (await wrong[at].get(keyOf(address)))?.consumedPoints ?? 0;
}

/** Whoever has a network of the newer kind has more addresses than could be counted: the network counts. */
function keyOf(address: string): string {
  return address.includes(':') ? address.split(':').slice(0, 4).join(':') : address;
}

/** By address, the end of what is tried from there. */
const lines = new Map<string, Promise<unknown>>();

/** Does a piece of work after what was begun before under the same name. */
async function inLine<T>(name: string, work: () => Promise<T>): Promise<T> {
  const turn = (lines.get(name) ?? Promise.resolve()).then(work, work);
  const end = turn.catch(() => undefined);
  lines.set(name, end);
  try {
    return await turn;
  } finally {
    if (lines.get(name) === end) lines.delete(name);
  }
}

/** By address, how many codes are being tried just now. */
const underway = new Map<string, number>();

/**
 * Looks whether a code is one. From an address that many wrong ones have come from one is looked at after another and
 * ever more slowly; whoever has the right one comes in all the same, and it does not count.
 *
 * @returns what `look` found
 */
export async function tryCode<T>(
  address: string,
  look: () => Promise<T | undefined>,
): Promise<T | undefined> {
  const key = keyOf(address);
  const at = (underway.get(key) ?? 0) + 1;
  underway.set(key, at);
  try {
    return await tryAfter((await wrongFrom('code', address)) + at - FREE.code, address, look);
  } finally {
    underway.set(key, underway.get(key)! - 1);
    if (underway.get(key) === 0) underway.delete(key);
  }
}

/** @param over wrong tries beyond those that cost nothing */
async function tryAfter<T>(
  over: number,
  address: string,
  look: () => Promise<T | undefined>,
): Promise<T | undefined> {
  const tried = async () => {
    if (over > 0) await pause(Math.min(SLOWEST_MS, over * SLOWER_MS));
    const found = await look();
    if (found === undefined) await noteWrong('code', address);
    return found;
  };
  return over > 0 ? inLine(keyOf(address), tried) : tried();
}

/** Tries at the passphrase that wait to be looked at, each for a quarter of a second of a processor. */
const WAITING_MOST = 16;
let waiting = 0;

/**
 * Looks whether a passphrase is the one. After some wrong ones from an address nothing is looked at from there for a while;
 * wrong ones from elsewhere keep nobody out.
 *
 * @returns whether it is, or why it was not looked at
 */
export async function tryPassphrase(
  address: string,
  look: () => Promise<boolean>,
): Promise<boolean | { readonly wait: string }> {
  const key = keyOf(address);
  const left = (await waits.get(key))?.msBeforeNext ?? 0;
  if (left > 0) return { wait: `Too many wrong tries from here. Wait ${waitWords(left)} and try again.` };
  if (waiting >= WAITING_MOST) return { wait: 'Many are trying to sign in just now. Try again in a moment.' };
  waiting++;
  try {
    return await inLine('passphrase', async () => {
      const right = await look();
      if (right) await wrong.passphrase.delete(key);
      else await noteWrong('passphrase', address);
      return right;
    });
  } finally {
    waiting--;
  }
}

function waitWords(ms: number): string {
  const [n, unit] = ms > 90_000 ? [ms / 60_000, 'minute'] : [ms / 1000, 'second'];
  const whole = Math.ceil(n);
  return `${whole} ${unit}${whole === 1 ? '' : 's'}`;
}

/** Wrong tries from one address since the program was started. */
export interface WrongTries {
  readonly at: Tried;
  readonly address: string;
  readonly times: number;
  readonly last: Date;
}

const noted = new Map<string, WrongTries>();
/** Addresses that are remembered for telling; the oldest go first. */
const NOTED_MOST = 200;

async function noteWrong(at: Tried, address: string): Promise<void> {
  const key = `${at} ${address}`;
  const times = (noted.get(key)?.times ?? 0) + 1;
  noted.delete(key);
  noted.set(key, { at, address, times, last: new Date() });
  if (noted.size > NOTED_MOST) noted.delete(noted.keys().next().value!);
  const { consumedPoints } = await wrong[at].penalty(keyOf(address));
  const over = consumedPoints - FREE.passphrase;
  if (at === 'passphrase' && over >= 0)
    await waits.block(keyOf(address), Math.min(LONGEST_SECONDS, 2 ** Math.min(over, 12)));
}

/** Who tried so often that it is no slip any more, and last since then, the newest first: for the educator to know. */
export function wrongTries(since = new Date(0)): readonly WrongTries[] {
  return [...noted.values()].filter(({ at, times, last }) => times >= FREE[at] && last >= since).reverse();
}
