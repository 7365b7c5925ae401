import { useEffect, useState, type RefObject } from 'react';
import Button from 'react-bootstrap/Button';
import type { Music, TestSound } from '@/core';
import { coreWorker } from '@/workers/client';

interface Props {
  readonly sound: TestSound | Music;
  readonly audio: RefObject<HTMLAudioElement | null>;
  onTime(seconds: number): void;
}

/** The sound to be heard, quieter than it is played to the lamps; made when it is asked for. */
export function HearIt({ sound, audio, onTime }: Props) {
  const [url, setUrl] = useState<string>();
  useEffect(() => () => void (url && URL.revokeObjectURL(url)), [url]);
  if (!url) {
    const make = async () => {
      const bytes = await coreWorker('quick').heardAs(sound);
      setUrl(URL.createObjectURL(new Blob([bytes], { type: 'audio/wav' })));
    };
    return (
      <Button variant="quiet" size="sm" onClick={() => void make()}>
        Hear it
      </Button>
    );
  }
  return (
    <audio
      ref={audio}
      src={url}
      controls
      aria-label="The sound, to be heard"
      onTimeUpdate={(event) => onTime(event.currentTarget.currentTime)}
    />
  );
}
