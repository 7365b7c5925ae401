import { useEffect, useRef, useState } from 'react';
import { proxy } from 'comlink';
import type { Circuit, Finding, Heard, Music, TestSound } from '@/core';
import { coreWorker, stopWorker } from '@/workers/client';

/** What the lamps do along a piece: roughly at first, then frame by frame as it has been followed. */
export interface Listening {
  readonly state: 'idle' | 'following' | 'done' | 'stopped';
  readonly frame: number;
  /** Mean current of every lamp in each frame. */
  readonly lamps: Readonly<Record<string, Float32Array>>;
  /** How far the piece swings in each frame, of 1. */
  readonly loud: Float32Array;
  /** Frames that have been followed; behind them it is the rough picture. */
  readonly followed: number;
  readonly refusals: readonly Finding[];
  readonly failure: string;
}

const NOTHING: Listening = {
  state: 'idle',
  frame: 0,
  lamps: {},
  loud: new Float32Array(0),
  followed: 0,
  refusals: [],
  failure: '',
};

/**
 * Plays a piece to a circuit in a worker.
 *
 * @param key what the picture belongs to: when it changes, the work ends and the picture goes
 */
export function useListening(key: string) {
  const [shown, setShown] = useState<{ key: string; listening: Listening }>({ key, listening: NOTHING });
  const running = useRef(0);
  const listening = shown.key === key ? shown.listening : NOTHING;
  useEffect(
    () => () => {
      if (running.current > 0) stopWorker('waves');
      running.current = 0;
    },
    [key],
  );
  const change = (number: number, next: (before: Listening) => Listening) => {
    // What comes from work that has been given up is nothing.
    if (running.current === number) setShown((before) => ({ key, listening: next(before.listening) }));
  };
  const start = (circuit: Circuit, sound: TestSound | Music, loudness: number) => {
    const number = Date.now();
    running.current = number;
    setShown({ key, listening: { ...NOTHING, state: 'following' } });
    const onRough = (heard: Heard, loud: Float32Array) =>
      change(number, (before) => ({ ...before, frame: heard.frame, lamps: heard.lamps, loud }));
    const onFrames = (heard: Heard, from: number) =>
      change(number, (before) => withFrames(before, heard, from));
    coreWorker('waves')
      .hear(circuit, sound, loudness, proxy(onRough), proxy(onFrames))
      .then(
        (outcome) => {
          change(number, (before) => ({
            ...before,
            state: 'done',
            refusals: outcome.ok ? [] : outcome.findings,
          }));
          if (running.current === number) running.current = 0;
        },
        (error: unknown) =>
          change(number, (before) => ({
            ...before,
            state: 'stopped',
            failure: `The work stopped: ${String(error)}. Reload the page.`,
          })),
      );
  };
  const stop = () => {
    stopWorker('waves');
    setShown((before) => ({ key, listening: { ...before.listening, state: 'stopped' } }));
    running.current = 0;
  };
  return { listening, start, stop };
}

/** The picture with some frames in the place of its rough ones. */
function withFrames(before: Listening, heard: Heard, from: number): Listening {
  const lamps = Object.fromEntries(
    Object.entries(before.lamps).map(([id, rough]) => {
      const amps = rough.slice();
      const own = heard.lamps[id];
      if (own) amps.set(own.subarray(0, Math.max(0, amps.length - from)), from);
      return [id, amps];
    }),
  );
  const count = Object.values(heard.lamps)[0]?.length ?? 0;
  return { ...before, lamps, followed: Math.min(before.loud.length, from + count) };
}
