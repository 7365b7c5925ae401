'use client';

import { formatDistanceToNow, parseISO } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useJob } from '@/features/asking/useJob';
import type { BackupState } from '@/server/backup/backUp';
import { Note } from '@/ui/Note';
import { backUpNow } from './actions';

interface Made {
  readonly file: string;
  readonly bytes: number;
  readonly readings: number;
}

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

/** The copies that the house keeps of its database, when the last one was made, and a way to make one now. */
export function Backups({ state, daily }: { state: BackupState; daily: boolean }) {
  const router = useRouter();
  const job = useJob<Made>();
  const [problem, setProblem] = useState('');
  const [made, setMade] = useState<Made | undefined>();
  const [newest] = state.backups;
  const now = () =>
    job.run(backUpNow, (answer) => {
      setProblem(answer.ok ? '' : `No backup was made. ${answer.message}`);
      setMade(answer.ok ? answer.value : undefined);
      router.refresh();
    });
  return (
    <div>
      <h2>Backups</h2>
      <p className="pt-2">
        {newest ? (
          <>
            The last one was made{' '}
            <span suppressHydrationWarning>
              {formatDistanceToNow(parseISO(newest.instant), { addSuffix: true })}
            </span>
            , {megabytes(newest.bytes)}.
          </>
        ) : (
          'None yet.'
        )}{' '}
        {daily
          ? 'One is made every day the program runs; a week of days and eight weeks are kept.'
          : 'The demo makes none by itself.'}
      </p>
      <p className="small-print">
        They stand in {state.folder}. <code>npm run restore FILE</code> puts one back and keeps what it
        replaces.
      </p>
      <div className="button-row">
        <Button size="sm" disabled={job.share !== undefined} onClick={now}>
          {job.share === undefined ? 'Make a backup now' : 'Copying and verifying…'}
        </Button>
        {newest && (
          <a className="btn btn-quiet btn-sm" href="/settings/backup.sqlite">
            Save the newest elsewhere
          </a>
        )}
      </div>
      {made && (
        <p role="status" className="pt-2">
          Made and verified: {made.file}, {megabytes(made.bytes)}, {made.readings} readings.
        </p>
      )}
      {(problem || state.problem) && (
        <Note kind="refusal" live>
          {problem || `The last backup failed: ${state.problem}`}
        </Note>
      )}
    </div>
  );
}
