import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { FoundDialog } from '@/features/check/FoundDialog';
import { faultFound } from '@/features/check/actions';
import type { OwnBench } from '@/server/ownBench';
import { newKey } from '@/ui/newKey';
import { Problem } from '@/ui/Problem';
import { useAnswer } from '@/ui/useAnswer';

/** A student found what was wrong and mended it: it counts as found, and what is read from now on is of the mended bench. */
export function FoundIt({ own, onFound }: { own: OwnBench; onFound(): void }) {
  const [asks, setAsks] = useState(false);
  const { problem, pending, run } = useAnswer();
  return (
    <div className="bench-entry">
      <Button variant="quiet" size="lg" disabled={pending} onClick={() => setAsks(true)}>
        I found it and put it right
      </Button>
      <Problem>{problem}</Problem>
      {asks && (
        <FoundDialog
          title="What was it?"
          mistakes={own.mistakes}
          onHide={() => setAsks(false)}
          onFound={(cause, words) => {
            setAsks(false);
            run(async () => {
              const answer = await faultFound({
                sessionId: own.sessionId,
                studentId: own.studentId,
                cause,
                ...(words === undefined ? {} : { words }),
                foundBy: 'student',
                foundAt: new Date().toISOString(),
                entryKey: newKey(),
              });
              if (answer.ok) onFound();
              return answer;
            });
          }}
        />
      )}
    </div>
  );
}
