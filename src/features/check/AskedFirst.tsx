import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Answer } from '@/server/failures';
import { Problem } from '@/ui/Problem';
import { useAnswer } from '@/ui/useAnswer';

interface Props {
  readonly name: string;
  /** The name in full, where several stand in a list. */
  readonly label?: string;
  /** Whom it touches, in a sentence. */
  readonly touches: string;
  work(): Promise<Answer<unknown>>;
}

/** Something that changes matters for others: it says for whom before it is done. */
export function AskedFirst({ name, label = name, touches, work }: Props) {
  const [asks, setAsks] = useState(false);
  const { problem, pending, run } = useAnswer();
  if (!asks)
    return (
      <Button size="sm" variant="quiet" aria-label={label} onClick={() => setAsks(true)}>
        {name}
      </Button>
    );
  return (
    <div className="asked-first" role="group" aria-label={label}>
      {touches}{' '}
      <Button
        size="sm"
        disabled={pending}
        onClick={() =>
          run(async () => {
            const answer = await work();
            if (answer.ok) setAsks(false);
            return answer;
          })
        }
      >
        {name}
      </Button>{' '}
      <Button size="sm" variant="quiet" onClick={() => setAsks(false)}>
        Leave it
      </Button>
      <Problem>{problem}</Problem>
    </div>
  );
}
