'use client';

import { QRCodeSVG } from 'qrcode.react';
import { useSyncExternalStore, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import type { Code } from '@/server/repositories/codes';
import { clockTime } from '@/ui/dates';
import { useAnswer } from '@/ui/useAnswer';
import { endCode, makeCode } from './actions';

/** A code lasts for an evening's class. */
const HOURS = 4;

const WHO = {
  helper: { title: 'Helpers', may: 'see this session’s grid and enter readings, and nothing else' },
  student: { title: 'Students', may: 'see which lesson this is and when their code ends, and nothing else' },
} as const;

/** Codes by which helpers and students come to this session from their own machines. */
export function HelpersIn({ sessionId, codes }: { sessionId: number; codes: readonly Code[] }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="quiet" size="sm" onClick={() => setOpen(true)}>
        Let helpers in
      </Button>
      <Modal show={open} onHide={() => setOpen(false)} aria-labelledby="codes-title">
        <Modal.Header closeButton>
          <Modal.Title id="codes-title">Who else may come to this session</Modal.Title>
        </Modal.Header>
        <Modal.Body>
          {(['helper', 'student'] as const).map((role) => (
            <OneCode
              key={role}
              sessionId={sessionId}
              role={role}
              code={codes.find((code) => code.role === role)}
            />
          ))}
        </Modal.Body>
      </Modal>
    </>
  );
}

interface Props {
  readonly sessionId: number;
  readonly role: Code['role'];
  readonly code: Code | undefined;
}

function OneCode({ sessionId, role, code }: Props) {
  const { problem, pending, run } = useAnswer();
  const { title, may } = WHO[role];
  const address = useAddress();
  return (
    <section className="ruled">
      <h2>{title}</h2>
      <p className="small-print">They {may}.</p>
      {code && address && (
        <div className="join-code">
          <QRCodeSVG
            value={`${address}/join?code=${code.code}`}
            size={112}
            title={`Way in for ${title.toLowerCase()}`}
          />
          <div>
            <div className="code">{code.code}</div>
            <div className="small-print">
              at {address.replace(/^https?:\/\//u, '')}/join, until {clockTime(code.endsAt)}
            </div>
            {/^https?:\/\/(127\.0\.0\.1|localhost|\[::1\])/u.test(address) && (
              <div className="small-print">
                You opened the program by an address of this machine alone: others reach it by the one it has
                on their network.
              </div>
            )}
          </div>
        </div>
      )}
      <div className="button-row pt-2">
        <Button
          size="sm"
          variant={code ? 'quiet' : 'primary'}
          disabled={pending}
          onClick={() => run(() => makeCode(sessionId, role, HOURS))}
        >
          {code ? 'Another code' : `A code for ${HOURS} hours`}
        </Button>
        {code && (
          <Button size="sm" variant="quiet" onClick={() => run(() => endCode(sessionId, role))}>
            End it now
          </Button>
        )}
      </div>
      {problem && (
        <div role="alert" className="problem">
          {problem}
        </div>
      )}
    </section>
  );
}

/** The address under which this browser reached the program. */
function useAddress(): string | undefined {
  return useSyncExternalStore(
    () => () => undefined,
    () => window.location.origin,
    () => undefined,
  );
}
