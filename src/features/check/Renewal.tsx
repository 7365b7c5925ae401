import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useJob } from '@/features/asking/useJob';
import { Working } from '@/features/asking/Working';
import { formatQuantity, type Band } from '@/core';
import type { Answer } from '@/server/failures';
import type { RenewalChanges } from '@/server/renewal';
import { Note } from '@/ui/Note';
import { STATUS_WORDS } from '@/ui/StatusMark';
import { renewSession, takeBackRenewal, whatRenewalChanges } from './actions';

interface Props {
  readonly sessionId: number;
  readonly outdated: boolean;
  /** It was renewed before, and that can be taken back. */
  readonly renewed: boolean;
}

/** Whether a session is judged by its lesson as it is now: asked with what would change, and taken back on wish. */
export function Renewal({ sessionId, outdated, renewed }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [changes, setChanges] = useState<RenewalChanges | undefined>();
  const looking = useJob<RenewalChanges>();
  const renewing = useJob<null>();
  const after = (answer: Answer<unknown>) => {
    if (answer.ok) router.refresh();
    else setProblem(answer.message);
  };
  const ask = () =>
    looking.run(
      () => whatRenewalChanges(sessionId),
      (answer) => {
        if (!answer.ok) return setProblem(answer.message);
        setProblem('');
        setChanges(answer.value);
      },
    );
  const renew = (version: number) => renewing.run(() => renewSession(sessionId, version), after);
  const share = looking.share ?? renewing.share;
  return (
    <>
      {outdated && (
        <Note>
          The lesson has changed since it was given; these bands are from before.{' '}
          {share !== undefined && (
            <Working
              label="Working out the bands"
              share={share}
              onStop={looking.share === undefined ? renewing.stop : looking.stop}
            />
          )}
          {!changes && share === undefined && (
            <Text onClick={ask}>What would change if it were judged by the lesson as it is now?</Text>
          )}
          {changes && share === undefined && (
            <Changes
              changes={changes}
              onRenew={() => renew(changes.version)}
              onLeave={() => setChanges(undefined)}
            />
          )}
          {problem}
        </Note>
      )}
      {renewed && !outdated && (
        <p className="small-print">
          This session took its lesson’s newest figures.{' '}
          <Text onClick={async () => after(await takeBackRenewal(sessionId))}>
            Judge by those from before again
          </Text>{' '}
          {problem}
        </p>
      )}
    </>
  );
}

function Text({ onClick, children }: { onClick: () => unknown; children: string }) {
  return (
    <Button variant="text" className="btn-text" onClick={() => void onClick()}>
      {children}
    </Button>
  );
}

function Changes({
  changes,
  onRenew,
  onLeave,
}: {
  changes: RenewalChanges;
  onRenew: () => unknown;
  onLeave: () => void;
}) {
  const { points, benches } = changes;
  return (
    <>
      <ul>
        {points.map(({ name, unit, before, after }) => (
          <li key={name}>
            {name}: {before ? band(before, unit) : 'not measured before'}, then{' '}
            {after ? band(after, unit) : 'measured no more'}
          </li>
        ))}
        {benches.map(({ bench, nickname, before, after }) => (
          <li key={bench}>
            bench {bench} {nickname}: {STATUS_WORDS[before]}, then {STATUS_WORDS[after]}
          </li>
        ))}
        {points.length === 0 && <li>no band</li>}
        {benches.length === 0 && <li>no bench would stand otherwise</li>}
      </ul>
      <div className="button-row">
        <Button size="sm" onClick={() => void onRenew()}>
          Judge by the lesson as it is now
        </Button>
        <Button size="sm" variant="quiet" onClick={onLeave}>
          Leave it as it is
        </Button>
      </div>
    </>
  );
}

function band({ low, high }: { low: number; high: number }, unit: Band['unit']): string {
  return `${formatQuantity(low, unit)} to ${formatQuantity(high, unit)}`;
}
