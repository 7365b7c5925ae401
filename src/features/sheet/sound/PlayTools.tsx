import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TEST_SOUNDS, type TestSound } from '@/core';
import { loudnessWords, SOUND_WORDS } from '@/messages/sound';

/** What may be played: a sound that is made here, or one of one's own. */
export type Piece = TestSound | 'file';

/** Loudness beside what is meant. */
const LOUD = ['0.25', '0.5', '1', '2'] as const;
export type Loudness = (typeof LOUD)[number];

interface Props {
  readonly piece: Piece;
  readonly loudness: Loudness;
  readonly busy: boolean;
  onPiece(piece: Piece): void;
  onLoudness(loudness: Loudness): void;
  onPlay(): void;
}

/** What is played, and how loud. */
export function PlayTools({ piece, loudness, busy, onPiece, onLoudness, onPlay }: Props) {
  return (
    <div className="day-tools no-print">
      <span>
        Play{' '}
        <Form.Select
          size="sm"
          className="w-auto d-inline-block"
          aria-label="What is played"
          value={piece}
          onChange={(event) => onPiece(event.target.value as Piece)}
        >
          {TEST_SOUNDS.map((name) => (
            <option key={name} value={name}>
              {SOUND_WORDS[name]}
            </option>
          ))}
          <option value="file">a sound of our own</option>
        </Form.Select>{' '}
        <Form.Select
          size="sm"
          className="w-auto d-inline-block"
          aria-label="Loudness"
          value={loudness}
          onChange={(event) => onLoudness(event.target.value as Loudness)}
        >
          {LOUD.map((share) => (
            <option key={share} value={share}>
              {loudnessWords(Number(share))}
            </option>
          ))}
        </Form.Select>
      </span>
      <Button variant="primary" size="sm" disabled={busy} onClick={onPlay}>
        Play it to the lamps
      </Button>
    </div>
  );
}
