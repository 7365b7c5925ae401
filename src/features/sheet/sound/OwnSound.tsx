import Form from 'react-bootstrap/Form';
import { formatEntered, formatQuantity, readWithin } from '@/core';
import { Typed } from '@/features/wish/Words';
import { sentences } from '@/messages/findings';
import { Note } from '@/ui/Note';
import { FOLLOWED_SECONDS, type useMusicFile } from './useMusicFile';

/** A file of one's own, and from where in it the music is taken. */
export function OwnSound({
  own,
  onProblem,
}: {
  own: ReturnType<typeof useMusicFile>;
  onProblem: (text: string) => void;
}) {
  const { file, refusals, reading } = own;
  const last = file ? Math.max(0, Math.floor(file.head.there) - 1) : 0;
  return (
    <div className="pt-2">
      <Form.Control
        type="file"
        size="sm"
        accept=".wav,audio/wav,audio/x-wav"
        aria-label="A sound of our own, as WAV"
        onChange={(event) => {
          const chosen = (event.target as HTMLInputElement).files?.[0];
          if (chosen) own.take(chosen);
        }}
      />
      {reading && <p className="soft mb-0">Reading…</p>}
      {refusals.length > 0 && (
        <Note kind="refusal" live>
          {sentences(refusals)} {file ? `${file.name} stays as it is.` : ''}
        </Note>
      )}
      {file && (
        <p className="small-print pt-1 mb-0">
          {file.name}: {formatEntered(file.head.rate, 'Hz')}, {file.head.bits} bits,{' '}
          {file.head.channels === 1 ? 'one channel' : `${file.head.channels} channels`},{' '}
          {formatQuantity(file.head.there, 's', 3)}.{' '}
          {file.remarks.length > 0 && `${sentences(file.remarks)} `}
          {file.head.there > FOLLOWED_SECONDS && (
            <>
              Begin at{' '}
              <Typed
                label="Second at which it begins"
                value={formatEntered(file.start, 's')}
                read={readWithin('A beginning', 's', 0, last)}
                onValue={own.startAt}
                onProblem={onProblem}
                width={5}
              />
            </>
          )}
        </p>
      )}
    </div>
  );
}
