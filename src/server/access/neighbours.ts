import { isIP } from 'node:net';
import os from 'node:os';
import { HERE } from './arrival';

interface Asked {
  get(name: string): string | null;
}

interface House {
  readonly hosts: readonly string[];
  readonly demo: boolean;
  readonly behindProxy: boolean;
}

const LOOPBACK = new Set(['localhost', '127.0.0.1', '::1']);

/**
 * Whether a request comes from a neighbour's page rather than from a person who opened this program: under a name that
 * somebody else has pointed at this machine, or sent by a page from elsewhere.
 *
 * @returns what is answered then, or nothing for those who may go on
 */
export function isStranger(headers: Asked, method: string, house: House): string | undefined {
  const host = (house.behindProxy && headers.get('x-forwarded-host')) || headers.get('host') || '';
  if (!isOurs(nameIn(host), house))
    return `This program is not known as “${host.slice(0, 80)}”. Name it in MIVVET_HOSTS if it should be.`;
  const origin = headers.get('origin');
  if (origin !== null && hostOf(origin) !== host.toLowerCase()) return 'Asked by a page from elsewhere.';
  const site = headers.get('sec-fetch-site');
  const visit = headers.get('sec-fetch-mode') === 'navigate' && method === 'GET';
  if (site !== null && site !== 'same-origin' && site !== 'none' && !visit)
    return 'Asked by a page from elsewhere.';
  return undefined;
}

/** Whether a request came straight from a program on this machine, and was passed on by nobody. */
export function isFromHere(headers: Asked): boolean {
  return headers.get(HERE) !== null && LOOPBACK.has(nameIn(headers.get('host') ?? ''));
}

/** A name can be pointed anywhere by whoever owns it; a number cannot. */
function isOurs(name: string, { hosts, demo }: House): boolean {
  if (LOOPBACK.has(name)) return true;
  if (demo) return false;
  return isIP(name) !== 0 || hosts.includes(name) || name === os.hostname().toLowerCase();
}

/** The name out of `name:port`, `[::1]:port`. */
function nameIn(host: string): string {
  const bare = host.trim().toLowerCase();
  return /^\[([^\]]+)\]/u.exec(bare)?.[1] ?? bare.replace(/:\d+$/u, '');
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
