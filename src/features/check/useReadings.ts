import { useMemo, useState } from 'react';
import type { Attendance } from '@/server/repositories/attendance';
import type { NewReading, Reading } from '@/server/repositories/readings';
import type { Found } from './useFound';
import { useLive } from './useLive';
import { useOutbox } from './useOutbox';

/** What else is followed beside readings. */
export interface Followed {
  onJudgedBy(word: string): void;
  onAttendance(attendance: readonly Attendance[]): void;
  onRoster(tag: string): void;
}

/**
 * All readings of a session as this page knows them: those it came with, those that others enter, and its own on their
 * way, each once.
 */
export function useReadings(
  sessionId: number,
  first: readonly Reading[],
  onRefused: (reading: NewReading, message: string) => void,
  onFound: (found: readonly Found[]) => void,
  follow: Followed,
) {
  const [taken, setTaken] = useState(first);
  /** Keys of readings that were heard of before the answer to who sent them. */
  const [heard, setHeard] = useState<ReadonlySet<string>>(new Set());
  const add = (reading: Reading) =>
    setTaken((before) =>
      before.some(({ id }) => id === reading.id) ? before : [...before, reading].sort((a, b) => a.id - b.id),
    );
  const outbox = useOutbox(sessionId, { onKept: add, onRefused });
  const live = useLive(
    sessionId,
    newestOf(first),
    ({ entryKey, ...reading }) => {
      setHeard((before) => new Set([...before, entryKey]));
      add(reading);
    },
    onFound,
    follow.onJudgedBy,
    follow.onAttendance,
    follow.onRoster,
  );
  const all = useMemo(() => {
    const waiting = outbox.waiting
      .filter(({ entryKey }) => !heard.has(entryKey))
      .map((reading) => ({ ...reading, id: localId(reading.entryKey), arrivedAt: '' }));
    return [...taken, ...waiting];
  }, [taken, heard, outbox.waiting]);
  return { all, live, outbox };
}

/** Until the database has numbered it, a reading goes by a negative number made from its key. */
function localId(entryKey: string): number {
  return -Number.parseInt(entryKey.slice(0, 8), 16) - 1;
}

/** Number of the newest reading that the database has numbered. */
function newestOf(readings: readonly Reading[]): number {
  return readings.reduce((most, { id }) => Math.max(most, id), 0);
}
