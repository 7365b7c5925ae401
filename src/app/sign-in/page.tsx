import Link from 'next/link';
import '@/features/access/access.css';
import { FirstPassphrase, SignInForm } from '@/features/access/SignInForm';
import { admit } from '@/server/access/admit';
import { hasPassphrase } from '@/server/access/secrets';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Sign in' };

type Search = { readonly [key: string]: string | string[] | undefined };

export default async function SignInPage({ searchParams }: { searchParams: Promise<Search> }) {
  await admit('/sign-in');
  const { first } = await searchParams;
  const known = await hasPassphrase();
  return (
    <div className="page">
      <div className="page-head">
        <h1>{known ? 'Sign in' : 'A passphrase first'}</h1>
      </div>
      {known ? (
        <>
          <SignInForm />
          <p className="soft pt-3">
            Helpers and students <Link href="/join">come in by a code</Link>. Whoever has the machine itself
            can set a new passphrase on it: <code>npm run passphrase</code>.
          </p>
        </>
      ) : (
        <>
          <p>
            This house has none yet, so the program answers on this machine only. It keeps lessons, groups and
            readings for you alone; with a passphrase it may also be reached from other machines.
          </p>
          {typeof first === 'string' ? (
            <FirstPassphrase token={first} />
          ) : (
            <p>
              It is chosen on the machine itself: open the link that was printed there when the program was
              started, or choose it there by <code>npm run passphrase</code>.
            </p>
          )}
        </>
      )}
    </div>
  );
}
