'use client';

import { useSyncExternalStore, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import type { Code } from '@/server/repositories/codes';
import type { Hints } from '@/server/repositories/sessions';
import { listed } from '@/messages/grammar';
import { useAnswer } from '@/ui/useAnswer';
import { Problem } from '@/ui/Problem';
import { endCode, freeBench, makeCode, setHints } from './actions';
import { AskedFirst } from './AskedFirst';
import type { Bench } from './bench';
import { WayIn } from './WayIn';

/** A code lasts for an evening's class. */
const HOURS = 4;

const WHO = {
  helper: { title: 'Helpers', may: 'see this session’s grid and enter readings, and nothing else' },
  student: {
    title: 'Students',
    may: 'take a bench, follow its card, and enter what they predict, see and read there; of no other bench do they see anything',
  },
} as const;

/** Codes by which helpers and students come to this session from their own machines. */
interface InProps {
  readonly sessionId: number;
  readonly codes: readonly Code[];
  readonly hints: Hints;
  /** Benches that students have taken on their own machines. */
  readonly seated: readonly Bench[];
}

export function HelpersIn({ sessionId, codes, hints, seated }: InProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="quiet" size="sm" onClick={() => setOpen(true)}>
        Let others in
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
              seated={seated}
            />
          ))}
          <StudentsTold sessionId={sessionId} hints={hints} />
          <Seated sessionId={sessionId} seated={seated} />
        </Modal.Body>
      </Modal>
    </>
  );
}

const HINT_WORDS: Readonly<Record<Hints, string>> = {
  never: 'never',
  'after-a-try': 'after a try: when a figure was read again',
  full: 'at once',
};

/** How much students are told at their bench. */
function StudentsTold({ sessionId, hints }: Pick<InProps, 'sessionId' | 'hints'>) {
  const { problem, run } = useAnswer();
  return (
    <section className="ruled">
      <Form.Group controlId="hints">
        <Form.Label>Students are told what is likely wrong</Form.Label>
        <Form.Select
          defaultValue={hints}
          onChange={(event) => run(() => setHints(sessionId, event.target.value as Hints))}
        >
          {(Object.keys(HINT_WORDS) as Hints[]).map((one) => (
            <option key={one} value={one}>
              {HINT_WORDS[one]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <p className="small-print">
        They always hear whether a figure is right, is to be measured again, or is one to ask about.
      </p>
      <Problem>{problem}</Problem>
    </section>
  );
}

/** Who sits at a bench with a machine of their own; a bench is freed for another machine. */
function Seated({ sessionId, seated }: Pick<InProps, 'sessionId' | 'seated'>) {
  if (seated.length === 0) return null;
  return (
    <section className="ruled">
      <h2>At their benches</h2>
      <ul>
        {seated.map((bench) => (
          <li key={bench.id}>
            {bench.bench} {bench.nickname}{' '}
            <AskedFirst
              name="Free this bench"
              label={`Free bench ${bench.bench} ${bench.nickname}`}
              touches={`${bench.nickname}’s machine is out of bench ${bench.bench} and chooses again; what still waits on it comes in.`}
              work={() => freeBench(sessionId, bench.id)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface CodeProps {
  readonly sessionId: number;
  readonly role: Code['role'];
  readonly code: Code | undefined;
  readonly seated: readonly Bench[];
}

function OneCode({ sessionId, role, code, seated }: CodeProps) {
  const { problem, pending, run } = useAnswer();
  const { title, may } = WHO[role];
  const address = useAddress();
  const names = role === 'student' ? seated.map(nameOf) : [];
  const inside = names.length > 0 ? listed(names) : 'Whoever came by it';
  const many = names.length > 1;
  return (
    <section className="ruled">
      <h2>{title}</h2>
      <p className="small-print">They {may}.</p>
      {code && address && (
        <div className="join-code">
          <WayIn code={code} address={address} title={title} />
        </div>
      )}
      <div className="button-row pt-2">
        {code ? (
          <>
            <AskedFirst
              name="Another code"
              touches={`${inside} ${many ? 'stay' : 'stays'} in; the old code lets nobody else in.`}
              work={() => makeCode(sessionId, role, HOURS)}
            />
            <AskedFirst
              name="End it now"
              touches={`${inside} ${many ? 'are' : 'is'} out at once.`}
              work={() => endCode(sessionId, role)}
            />
          </>
        ) : (
          <Button size="sm" disabled={pending} onClick={() => run(() => makeCode(sessionId, role, HOURS))}>
            A code for {HOURS} hours
          </Button>
        )}
      </div>
      <Problem>{problem}</Problem>
    </section>
  );
}

function nameOf({ bench, nickname }: Bench): string {
  return `${bench} ${nickname}`;
}

/** The address under which this browser reached the program. */
function useAddress(): string | undefined {
  return useSyncExternalStore(
    () => () => undefined,
    () => window.location.origin,
    () => undefined,
  );
}
