import { useState } from 'react';
import { bytesOf, finding, wavHead, type Finding, type Music, type WavHead } from '@/core';
import { coreWorker } from '@/workers/client';

/** Seconds of a file that are followed at a time. */
export const FOLLOWED_SECONDS = 30;
/** Bytes at the head of a file in which its samples must begin. */
const HEAD_BYTES = 1 << 20;

export interface MusicFile {
  readonly name: string;
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
  const read = async (from: File, start: number) => {
    setReading(true);
    const found = await headOf(from);
    if (!found.ok) {
      setReading(false);
      return setRefusals(found.findings);
    }
    const head = found.value;
    const begin = Math.min(start, Math.max(0, head.there - 1));
    const [first, last] = bytesOf(head, begin, FOLLOWED_SECONDS);
    const bytes = new Uint8Array(await from.slice(first, last).arrayBuffer());
    const music = await coreWorker('quick').music(head, bytes);
    setRefusals([]);
    setChosen(from);
    setFile({ name: from.name, head, start: begin, music, remarks: remarksOn(head) });
    setReading(false);
  };
  return {
    file,
    refusals,
    reading,
    take: (from: File) => void read(from, 0),
    startAt: (seconds: number) => chosen && void read(chosen, seconds),
  };
}

async function headOf(file: File) {
  try {
    return wavHead(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()), file.size);
  } catch {
    return { ok: false, findings: [finding('wav-headless', {})] } as const satisfies ReturnType<
      typeof wavHead
    >;
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
