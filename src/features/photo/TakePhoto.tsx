'use client';

import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { heard } from '@/ui/heard';
import { newKey } from '@/ui/newKey';
import { Problem } from '@/ui/Problem';
import { keepPhoto, type SentPhoto } from './actions';
import { shrunk } from './shrink';

interface Props {
  readonly sessionId: number;
  readonly studentId: number;
  readonly label: string;
  readonly size?: 'sm' | 'lg';
  onKept?(id: number): void;
}

/** A picture of a bench, taken on a phone or given as a file; what could not be sent is at hand to be sent again. */
export function TakePhoto({ sessionId, studentId, label, size, onKept }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [waiting, setWaiting] = useState<SentPhoto>();
  const [busy, setBusy] = useState(false);
  const [kept, setKept] = useState(false);
  const [problem, setProblem] = useState('');
  const send = async (photo: SentPhoto) => {
    setBusy(true);
    const answer = await heard(keepPhoto(photo));
    setBusy(false);
    setWaiting(answer.ok ? undefined : photo);
    setKept(answer.ok);
    setProblem(answer.ok ? '' : answer.message);
    if (answer.ok) onKept?.(answer.value);
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    setKept(false);
    setProblem('');
    try {
      const { picture } = await shrunk(file);
      await send({ sessionId, studentId, picture, takenAt: new Date().toISOString(), entryKey: newKey() });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'That file is no picture.');
    }
  };
  return (
    <div className="take-photo">
      <input
        ref={field}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label={label}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Button
        variant="quiet"
        {...(size ? { size } : {})}
        disabled={busy}
        onClick={() => field.current?.click()}
      >
        {busy ? 'Sending the picture …' : label}
      </Button>{' '}
      {waiting && !busy && (
        <Button variant="text" className="btn-text" onClick={() => void send(waiting)}>
          Send it again
        </Button>
      )}
      {kept && <span role="status">Kept.</span>}
      <Problem>{problem}</Problem>
    </div>
  );
}
