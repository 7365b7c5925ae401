'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { newPassphrase, signOutEverywhere } from '@/features/access/actions';
import { Note } from '@/ui/Note';
import { leaveTo } from '@/ui/leave';
import { useAnswer } from '@/ui/useAnswer';

/** Changing the passphrase of the house, and signing everybody out. */
export function Passphrase() {
  const [old, setOld] = useState('');
  const [next, setNext] = useState('');
  const [changed, setChanged] = useState(false);
  const { problem, pending, run } = useAnswer();
  return (
    <form
      onChange={() => setChanged(false)}
      onSubmit={(event) => {
        event.preventDefault();
        run(
          () => newPassphrase(old, next),
          () => {
            setOld('');
            setNext('');
            setChanged(true);
          },
        );
      }}
    >
      <h2>Passphrase</h2>
      <div className="setting-row two">
        <label htmlFor="old-passphrase">As it is now</label>
        <Form.Control
          id="old-passphrase"
          type="password"
          autoComplete="current-password"
          value={old}
          onChange={(event) => setOld(event.target.value)}
        />
      </div>
      <div className="setting-row two">
        <label htmlFor="new-passphrase">New</label>
        <Form.Control
          id="new-passphrase"
          type="password"
          autoComplete="new-password"
          value={next}
          onChange={(event) => setNext(event.target.value)}
        />
      </div>
      <div className="button-row pt-3">
        <Button type="submit" size="sm" disabled={pending || next === ''}>
          Change it
        </Button>
        <Button size="sm" variant="quiet" onClick={() => run(signOutEverywhere, () => leaveTo('/sign-in'))}>
          Sign out everywhere
        </Button>
        {changed && <span role="status">Changed. Everybody else signs in anew.</span>}
      </div>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </form>
  );
}
