'use server';

import { headers } from 'next/headers';
import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { tryCode, tryPassphrase } from '@/server/access/attempts';
import { dropFirstToken, isFirstToken } from '@/server/access/firstToken';
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

/** Whom attempts are counted for: the address that asks, as it was settled when the request arrived. */
async function address(): Promise<string> {
  return (await headers()).get('x-forwarded-for') ?? 'this machine';
}

/** @returns why it is not the passphrase, or was not looked at; nothing where it is */
async function isWrong(typed: string): Promise<string | undefined> {
  const passphrase = z.string().max(200).parse(typed).trim();
  const tried = await tryPassphrase(await address(), () => isPassphrase(passphrase));
  if (tried === true) return undefined;
  return tried === false ? 'That is not the passphrase of this house.' : tried.wait;
}

export async function signIn(passphrase: string): Promise<Answer<null>> {
  return guarded('signIn', async () => {
    const wrong = await isWrong(passphrase);
    if (wrong) return failed(wrong);
    await comeIn({ role: 'educator' });
    return done(null);
  });
}

/**
 * Chooses the passphrase of a house that has none yet.
 *
 * @param token as it was printed when the program was started
 */
export async function firstPassphrase(passphrase: string, token: string): Promise<Answer<null>> {
  return guarded('firstPassphrase', async () => {
    const { database } = environment();
    if (await hasPassphrase()) return failed('This house has a passphrase already. Sign in with it.');
    if (!isFromHere(await headers()) || !isFirstToken(database, z.string().max(100).parse(token)))
      return failed(
        'The first passphrase is chosen on the machine itself: by the link that was printed there when the program was started, or by npm run passphrase.',
      );
    const checked = passphraseSchema.safeParse(passphrase);
    if (!checked.success) return failed(TOO_SHORT);
    await setPassphrase(checked.data);
    dropFirstToken(database);
    await comeIn({ role: 'educator' });
    return done(null);
  });
}

/** Changes the passphrase; everybody else is signed out. */
export async function newPassphrase(old: string, passphrase: string): Promise<Answer<null>> {
  return guarded('newPassphrase', async () => {
    const wrong = (await hasPassphrase()) ? await isWrong(old) : undefined;
    if (wrong) return failed(`${wrong} Nothing was changed.`);
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
    const said = z.string().max(40).parse(typed);
    const code = await tryCode(await address(), () => codeNamed(said));
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
