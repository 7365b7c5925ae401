'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { stockName } from '@/messages/names';
import type { SessionHead } from '@/server/repositories/sessions';
import { useAnswer } from '@/ui/useAnswer';
import { Problem } from '@/ui/Problem';
import { tick } from './actions';

/** What goes into the box for a session, to be ticked off while packing. */
export function PackingList({ session }: { session: SessionHead }) {
  const [packed, setPacked] = useState<ReadonlySet<string>>(new Set(session.packed));
  const { problem, run } = useAnswer();
  const toggle = (key: string) => {
    const next = new Set(packed);
    const put = !next.delete(key);
    if (put) next.add(key);
    setPacked(next);
    run(() => tick(session.id, key, put));
  };
  return (
    <section className="ruled">
      <h2>
        To pack: {session.summary.kit.length - packed.size} of {session.summary.kit.length} kinds left
      </h2>
      <ul>
        {session.summary.kit.map((line) => (
          <li key={line.key} className="pack-line">
            <Form.Check
              id={`pack-${line.key}`}
              checked={packed.has(line.key)}
              onChange={() => toggle(line.key)}
              label={stockName(line.spec)}
            />
            <span className="strong">{line.need}</span>
          </li>
        ))}
      </ul>
      <Problem>{problem}</Problem>
    </section>
  );
}
