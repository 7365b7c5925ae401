'use server';

import { headers } from 'next/headers';
import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { attempt } from '@/server/access/attempts';
import { isFromHere } from '@/server/access/neighbours';
import { breakSeal, hasPassphrase, isPassphrase, setPassphrase } from '@/server/access/secrets';
import { comeIn, goOut } from '@/server/access/who';
import { environment } from '@/server/env';
import { done, failed, type Answer } from '@/server/failures';
import { codeNamed } from '@/server/repositories/codes';

/** Long enough that a machine does not guess it: four words will do. */
const LETTERS_LEAST = 10;

const passphraseSchema = z.string().trim().min(LETTERS_LEAST).max(200);
const TOO_SHORT = `A passphrase has at least ${LETTERS_LEAST} letters: four words that you can remember will do.`;

/** Whom attempts are counted for: the address that asks, as the server or the proxy in front of it sees it. */
async function address(): Promise<string> {
  return (await headers()).get('x-forwarded-for')?.split(',').pop()?.trim() || 'this machine';
}

export async function signIn(passphrase: string): Promise<Answer<null>> {
  return guarded('signIn', async () => {
    const wait = await attempt('passphrase', await address());
    if (wait) return failed(wait);
    if (!(await isPassphrase(z.string().max(200).parse(passphrase).trim())))
      return failed('That is not the passphrase of this house.');
    await comeIn({ role: 'educator' });
    return done(null);
  });
}

/** Chooses the passphrase of a house that has none yet. */
export async function firstPassphrase(passphrase: string): Promise<Answer<null>> {
  return guarded('firstPassphrase', async () => {
    if (await hasPassphrase()) return failed('This house has a passphrase already. Sign in with it.');
    if (!isFromHere(await headers(), environment()))
      return failed('The first passphrase is chosen on the machine itself: there, or by npm run passphrase.');
    const checked = passphraseSchema.safeParse(passphrase);
    if (!checked.success) return failed(TOO_SHORT);
    await setPassphrase(checked.data);
    await comeIn({ role: 'educator' });
    return done(null);
  });
}

/** Changes the passphrase; everybody else is signed out. */
export async function newPassphrase(old: string, passphrase: string): Promise<Answer<null>> {
  return guarded('newPassphrase', async () => {
    const wait = await attempt('passphrase', await address());
    if (wait) return failed(wait);
    if ((await hasPassphrase()) && !(await isPassphrase(z.string().max(200).parse(old).trim())))
      return failed('The passphrase that stands now is another one. Nothing was changed.');
    const checked = passphraseSchema.safeParse(passphrase);
    if (!checked.success) return failed(TOO_SHORT);
    await setPassphrase(checked.data);
    await comeIn({ role: 'educator' });
    return done(null);
  });
}

/** Comes to a session by the code that its educator gave out. */
export async function join(typed: string): Promise<Answer<string>> {
  return guarded('join', async () => {
    const wait = await attempt('code', await address());
    if (wait) return failed(wait);
    const code = await codeNamed(z.string().max(40).parse(typed));
    if (!code) return failed('No session has that code now. Look at it once more, or ask for a new one.');
    await comeIn({ role: code.role, session: code.sessionId, code: code.id });
    return done(code.role === 'helper' ? `/check/${code.sessionId}` : '/bench');
  });
}

export async function signOut(): Promise<Answer<null>> {
  return guarded('signOut', async () => {
    await goOut();
    return done(null);
  });
}

/** Signs everybody out, on every machine, this one too. */
export async function signOutEverywhere(): Promise<Answer<null>> {
  return guarded('signOutEverywhere', async () => {
    await breakSeal();
    await goOut();
    return done(null);
  });
}
