import { getIronSession, type IronSession } from 'iron-session';
import { cookies, headers } from 'next/headers';
import { environment } from '../env';
import { codeIsLive } from '../repositories/codes';
import { sealSecret } from './secrets';
import type { Role } from './table';

/** Who asks: the educator, or somebody who came in by a session's code and may go only where that session is. */
export interface Who {
  readonly role: Role;
  readonly session?: number;
  readonly code?: number;
}

interface Sealed {
  who?: Who;
}

const DAYS_30 = 30 * 24 * 3600;

async function sealed(): Promise<IronSession<Sealed>> {
  const secure = environment().behindProxy && (await headers()).get('x-forwarded-proto') === 'https';
  return getIronSession<Sealed>(await cookies(), {
    cookieName: 'mivvet',
    password: await sealSecret(),
    ttl: DAYS_30,
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure, path: '/' },
  });
}

/** Who asks, or nobody known. In the demo whoever is on this machine is its educator until they come in otherwise. */
export async function who(): Promise<Who | undefined> {
  const known = (await sealed()).who;
  if (known && (known.code === undefined || (await codeIsLive(known.code)))) return known;
  return environment().demo ? { role: 'educator' } : undefined;
}

export async function comeIn(as: Who): Promise<void> {
  const session = await sealed();
  session.who = as;
  await session.save();
}

export async function goOut(): Promise<void> {
  (await sealed()).destroy();
}
