import { getIronSession, type IronSession } from 'iron-session';
import { cookies, headers } from 'next/headers';
import { environment } from '../env';
import { codeIsLive } from '../repositories/codes';
import { seatStands, seatWasFreed, type Seat } from '../repositories/seats';
import { sealSecret } from './secrets';
import type { Role } from './table';

/** Who asks: the educator, or somebody who came in by a session's code and may go only where that session is. */
export interface Who {
  readonly role: Role;
  readonly session?: number;
  readonly code?: number;
  /** The bench that a student has taken. */
  readonly seat?: Seat;
  /** Benches that were freed of this machine: what was entered there and still waits on it is taken. */
  readonly freed?: readonly Seat[];
}

interface Sealed {
  who?: Who;
}

/** A cookie holds a few. */
const FREED_MOST = 4;

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
  if (known && (known.code === undefined || (await codeIsLive(known.code)))) return seated(known);
  return environment().demo ? { role: 'educator' } : undefined;
}

/** Whether somebody who was let in by a code still is: for what goes on after the request was answered. */
export async function standsStill(asking: Who | undefined): Promise<boolean> {
  return asking?.code === undefined || (await codeIsLive(asking.code));
}

/** A seat that was freed is nobody's. */
async function seated(known: Who): Promise<Who> {
  const { seat, ...rest } = known;
  if (!seat || (await seatStands(seat))) return known;
  if (!(await seatWasFreed(seat))) return rest;
  return { ...rest, freed: [...(rest.freed ?? []), seat].slice(-FREED_MOST) };
}

export async function comeIn(as: Who): Promise<void> {
  const session = await sealed();
  session.who = as;
  await session.save();
}

export async function goOut(): Promise<void> {
  (await sealed()).destroy();
}
