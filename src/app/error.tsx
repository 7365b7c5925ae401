'use client';

import Button from 'react-bootstrap/Button';

/** What shows when a page fails: what happened, that nothing is lost, and a way on. */
export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <div className="page" role="alert">
      <h1>This page could not be made.</h1>
      <p>{error.message}</p>
      <p className="soft">
        Nothing that was saved is lost, and figures typed and not yet saved are kept in this browser.
      </p>
      <Button onClick={reset}>Try again</Button>
    </div>
  );
}
