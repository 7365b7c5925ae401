import { useEffect, useRef, useState } from 'react';
import type { Found } from './useFound';
import type { Attendance } from '@/server/repositories/attendance';
import type { LiveReading } from '@/server/repositories/readings';

/**
 * Follows a session: readings that others enter come in as they are kept. The browser asks again by itself when the
 * program was away, from the last one that it heard of.
 *
 * @param after number of the newest reading that the page came with
 * @returns whether the page hears of what others enter
 */
export function useLive(
  sessionId: number,
  after: number,
  onReading: (reading: LiveReading) => void,
  onFound: (found: readonly Found[]) => void,
  onJudgedBy: (word: string) => void,
  onAttendance: (attendance: readonly Attendance[]) => void,
  onRoster: (tag: string) => void,
): boolean {
  const [on, setOn] = useState(false);
  const first = useRef(after);
  const listener = useRef({ onReading, onFound, onJudgedBy, onAttendance, onRoster });
  useEffect(() => {
    listener.current = { onReading, onFound, onJudgedBy, onAttendance, onRoster };
  });
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let source: EventSource | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const open = () => {
      source = new EventSource(`/check/${sessionId}/live?after=${first.current}`);
      source.onopen = () => setOn(true);
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const reading = JSON.parse(data) as LiveReading;
        first.current = Math.max(first.current, reading.id);
        listener.current.onReading(reading);
      };
      source.addEventListener('found', ({ data }: MessageEvent<string>) =>
        listener.current.onFound(JSON.parse(data) as Found[]),
      );
      source.addEventListener('judged-by', ({ data }: MessageEvent<string>) =>
        listener.current.onJudgedBy(data),
      );
      source.addEventListener('attendance', ({ data }: MessageEvent<string>) =>
        listener.current.onAttendance(JSON.parse(data) as Attendance[]),
      );
      source.addEventListener('roster', ({ data }: MessageEvent<string>) => listener.current.onRoster(data));
      source.onerror = () => {
        setOn(false);
        // What was refused for good is tried again too: the program may have been started anew.
        if (source?.readyState !== EventSource.CLOSED) return;
        source.close();
        timer = setTimeout(open, AGAIN_MS);
      };
    };
    open();
    return () => {
      source?.close();
      clearTimeout(timer);
    };
  }, [sessionId]);
  return on;
}

const AGAIN_MS = 2000;
