import { useRef, useState } from 'react';
import {
  accepted,
  bytesOf,
  finding,
  refused,
  wavHead,
  type Finding,
  type Music,
  type Outcome,
  type WavHead,
} from '@/core';
import { coreWorker } from '@/workers/client';

/** Seconds of a file that are followed at a time. */
export const FOLLOWED_SECONDS = 30;

export interface MusicFile {
  readonly name: string;
  /** Tells it from another file of the same name. */
  readonly id: string;
  readonly head: WavHead;
  /** From which second on it is followed. */
  readonly start: number;
  readonly music: Music;
  /** What is to be said of it: it breaks off, or is long. */
  readonly remarks: readonly Finding[];
}

/** A sound of one's own: only as much of the file is read as is followed, however large it is. */
export function useMusicFile() {
  const [file, setFile] = useState<MusicFile>();
  const [chosen, setChosen] = useState<File>();
  const [refusals, setRefusals] = useState<readonly Finding[]>([]);
  const [reading, setReading] = useState(false);
  /** Which was asked for last: an earlier one that is still being read counts no more. */
  const asked = useRef(0);
  const read = async (from: File, start: number) => {
    const own = ++asked.current;
    setReading(true);
    const found = await musicIn(from, start);
    if (own !== asked.current) return;
    setReading(false);
    setRefusals(found.ok ? [] : found.findings);
    if (!found.ok) return;
    setChosen(from);
    setFile(found.value);
  };
  return {
    file,
    refusals,
    reading,
    take: (from: File) => void read(from, 0),
    startAt: (seconds: number) => chosen && void read(chosen, seconds),
  };
}

/** What is followed of a file, or why it is no music; one that cannot be read any more breaks off. */
async function musicIn(from: File, start: number): Promise<Outcome<MusicFile>> {
  try {
    const read = async (at: number, to: number) => new Uint8Array(await from.slice(at, to).arrayBuffer());
    const found = await wavHead(read, from.size);
    if (!found.ok) return found;
    const head = found.value;
    const begin = Math.min(start, Math.max(0, head.there - 1));
    const [first, last] = bytesOf(head, begin, FOLLOWED_SECONDS);
    const bytes = await read(first, last);
    const id = `${from.name} ${from.size} ${from.lastModified}`;
    const music = await coreWorker('quick').music(head, bytes);
    return accepted({ name: from.name, id, head, start: begin, music, remarks: remarksOn(head) });
  } catch {
    return refused(finding('wav-headless', {}));
  }
}

function remarksOn({ said, there }: WavHead): Finding[] {
  return [
    ...(there < said - 0.05 ? [finding('wav-cut', { there, said }, 'note')] : []),
    ...(there > FOLLOWED_SECONDS
      ? [finding('wav-long', { seconds: there, most: FOLLOWED_SECONDS }, 'note')]
      : []),
  ];
}
