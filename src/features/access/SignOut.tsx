'use client';

import Button from 'react-bootstrap/Button';
import { leaveTo } from '@/ui/leave';
import { typedStore } from '@/ui/typedStore';
import { useAnswer } from '@/ui/useAnswer';
import { signOut } from './actions';

/** Leaves this machine to whoever comes next. */
export function SignOut() {
  const { problem, run } = useAnswer();
  return (
    <Button
      variant="text"
      className="btn-text small-print"
      title={problem || undefined}
      onClick={() =>
        run(signOut, () => {
          typedStore.clear();
          leaveTo('/sign-in');
        })
      }
    >
      Sign out
    </Button>
  );
}
