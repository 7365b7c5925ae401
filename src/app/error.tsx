'use client';

import Button from 'react-bootstrap/Button';
import { databaseWords } from '@/messages/database';

/** What shows when a page fails: what happened, what is kept, and a way on. */
export default function ErrorPage({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  const words = databaseWords(error.digest);
  return (
    <div className="page" role="alert">
      <h1>{words?.title ?? 'This page could not be made.'}</h1>
      <p>{words?.wayOn ?? 'The program’s own window says why. Other pages may work; try this one again.'}</p>
      <p className="soft">Figures typed and not yet saved are kept in this browser.</p>
      <Button onClick={reset}>Try again</Button>
    </div>
  );
}
