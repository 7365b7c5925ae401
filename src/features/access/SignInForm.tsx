'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Answer } from '@/server/failures';
import { Note } from '@/ui/Note';
import { leaveTo } from '@/ui/leave';
import { useAnswer } from '@/ui/useAnswer';
import { firstPassphrase, join, signIn } from './actions';

interface Props {
  readonly label: string;
  readonly button: string;
  readonly first?: string;
  readonly secret?: boolean;
  send(typed: string): Promise<Answer<string | null>>;
}

/** One field and a button; whoever is let in goes to where they are at home. */
function WayIn({ label, button, first = '', secret = false, send }: Props) {
  const [typed, setTyped] = useState(first);
  const { problem, pending, run } = useAnswer();
  return (
    <form
      className="way-in"
      onSubmit={(event) => {
        event.preventDefault();
        run(
          () => send(typed),
          (to) => leaveTo(to ?? '/'),
        );
      }}
    >
      <Form.Group controlId="way-in">
        <Form.Label>{label}</Form.Label>
        <Form.Control
          type={secret ? 'password' : 'text'}
          autoComplete={secret ? 'current-password' : 'off'}
          autoCapitalize={secret ? 'off' : 'characters'}
          spellCheck={false}
          autoFocus
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </Form.Group>
      <Button type="submit" disabled={pending || typed.trim() === ''}>
        {button}
      </Button>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </form>
  );
}

export const SignInForm = () => <WayIn label="Passphrase" button="Sign in" secret send={signIn} />;

export const FirstPassphrase = ({ token }: { token: string }) => (
  <WayIn
    label="A passphrase for this house"
    button="Choose it"
    secret
    send={(typed) => firstPassphrase(typed, token)}
  />
);

export const JoinForm = ({ code }: { code: string }) => (
  <WayIn label="Code of the session" button="Come in" first={code} send={join} />
);
