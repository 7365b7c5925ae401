'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { NewReading, Reading } from '@/server/repositories/readings';
import { kept } from '@/features/hooks/kept';
import { keepReading } from './actions';

const keyOf = (sessionId: number) => `mivvet.readings.${sessionId}`;

/**
 * Readings on their way to the database: each waits in this browser until it is kept, so that neither a closed
 * page nor a stopped program loses one.
 */
export function useOutbox(sessionId: number, onKept: (reading: Reading, entryKey: string) => void) {
  const [waiting, setWaiting] = useState<readonly NewReading[]>([]);
  const [problem, setProblem] = useState('');
  const queue = useRef<NewReading[]>([]);
  const busy = useRef(false);
  const told = useRef(onKept);
  useEffect(() => {
    told.current = onKept;
  });

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    for (let next = queue.current[0]; next; next = queue.current[0]) {
      const answer = await keepReading(next).catch(() => undefined);
      if (!answer?.ok) {
        setProblem(answer?.message ?? 'The program does not answer.');
        break;
      }
      setProblem('');
      queue.current.shift();
      store(sessionId, queue.current);
      setWaiting([...queue.current]);
      told.current(answer.value, next.entryKey);
    }
    busy.current = false;
  }, [sessionId]);

  useEffect(() => {
    queue.current = kept.read<NewReading[]>(keyOf(sessionId)) ?? [];
    if (queue.current.length === 0) return;
    queueMicrotask(() => setWaiting([...queue.current]));
    void flush();
  }, [sessionId, flush]);

  const send = (reading: NewReading) => {
    queue.current.push(reading);
    store(sessionId, queue.current);
    setWaiting([...queue.current]);
    void flush();
  };
  return { waiting, problem, send, retry: () => void flush() };
}

function store(sessionId: number, queue: readonly NewReading[]): void {
  if (queue.length === 0) kept.forget(keyOf(sessionId));
  else kept.write(keyOf(sessionId), queue);
}
