'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { NewReading, Reading } from '@/server/repositories/readings';
import { keepReading } from './actions';
import { outbox, type Sent } from './outbox';

/** Waits between two tries while the program does not answer: doubled each time. */
const FIRST_WAIT_MS = 1000;
const LONGEST_WAIT_MS = 30_000;
const SILENT = 'The program does not answer; they are sent by themselves when it is back.';

/** A request that hangs is no answer: it is asked again under the same key, and kept once. */
const SILENCE_MS = 8000;

function silence(): Promise<undefined> {
  return new Promise((over) => setTimeout(() => over(undefined), SILENCE_MS));
}

interface Told {
  /** The database has it. */
  onKept(reading: Reading, entryKey: string): void;
  /** The database will not take it: it stands aside with the reason. */
  onRefused(reading: NewReading, message: string): void;
}

/**
 * Readings on their way to the database: each waits in this browser until it is kept, so that neither a closed page
 * nor a stopped program loses one. What cannot be sent now is tried again by itself; what is refused holds up no other.
 */
export function useOutbox(sessionId: number, told: Told) {
  const [waiting, setWaiting] = useState<readonly NewReading[]>([]);
  const [problem, setProblem] = useState('');
  /** This browser's store is full or blocked: what waits is in this page alone. */
  const [unkept, setUnkept] = useState(false);
  const queue = useRef<Sent[]>([]);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const wait = useRef(FIRST_WAIT_MS);
  const listener = useRef(told);
  useEffect(() => {
    listener.current = told;
  });

  const show = () => {
    const left = queue.current.filter((sent) => !sent.refused).map((sent) => sent.reading);
    setWaiting(left);
    if (left.length === 0) setUnkept(false);
  };

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    clearTimeout(timer.current);
    let left = queue.current.filter((sent) => !sent.refused);
    for (let next = left[0]; next; next = left[0]) {
      const { reading } = next;
      const answer = await Promise.race([keepReading(reading).catch(() => undefined), silence()]);
      if (!answer || (!answer.ok && answer.again)) {
        setProblem(answer?.message ?? SILENT);
        timer.current = setTimeout(() => void flush(), wait.current);
        wait.current = Math.min(2 * wait.current, LONGEST_WAIT_MS);
        break;
      }
      wait.current = FIRST_WAIT_MS;
      setProblem('');
      queue.current = queue.current.filter((sent) => sent !== next);
      if (answer.ok) {
        outbox.drop(reading);
        listener.current.onKept(answer.value, reading.entryKey);
      } else {
        const aside = { reading, refused: answer.message };
        queue.current.push(aside);
        outbox.put(aside);
        listener.current.onRefused(reading, answer.message);
      }
      show();
      left = queue.current.filter((sent) => !sent.refused);
    }
    busy.current = false;
  }, []);

  useEffect(() => {
    queue.current = outbox.all(sessionId);
    queueMicrotask(() => {
      for (const { reading, refused } of queue.current)
        if (refused) listener.current.onRefused(reading, refused);
      show();
      void flush();
    });
    const now = () => void flush();
    window.addEventListener('online', now);
    return () => {
      window.removeEventListener('online', now);
      clearTimeout(timer.current);
    };
  }, [sessionId, flush]);

  // A page that holds what nothing else does asks before it is left.
  const alone = unkept && waiting.length > 0;
  useEffect(() => {
    if (!alone) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [alone]);

  const send = (reading: NewReading) => {
    const sent = { reading };
    queue.current.push(sent);
    if (!outbox.put(sent)) setUnkept(true);
    show();
    void flush();
  };
  /** Drops what was refused in a cell: it has been corrected, or left out. */
  const settle = (studentId: number, point: string) => {
    for (const { reading, refused } of queue.current)
      if (refused && reading.studentId === studentId && reading.point === point) outbox.drop(reading);
    queue.current = queue.current.filter(
      ({ reading, refused }) => !refused || reading.studentId !== studentId || reading.point !== point,
    );
  };
  return { waiting, problem, unkept, send, settle, retry: flush };
}
