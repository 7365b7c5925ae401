import type { PatternId } from '@/core';
import { classAtOnce } from '../tests/support/classAtOnce';
import { ms, type Line } from './measure';

const PORT = 4292;
const MINUTE = 60_000;

interface Asked {
  readonly pattern: PatternId;
  readonly clients: number;
  readonly listeners?: number;
  readonly kill: boolean;
}

/** Lessons that a class has at once: a usual one, one that blinks, and the largest. */
const LESSONS: readonly Asked[] = [
  { pattern: 'rgb', clients: 10, kill: false },
  { pattern: 'rgb', clients: 10, kill: true },
  { pattern: 'rgb', clients: 1, kill: false },
  { pattern: 'rgb', clients: 40, kill: false },
  { pattern: 'rgb', clients: 10, listeners: 300, kill: false },
  { pattern: 'blink', clients: 10, kill: false },
  { pattern: 'sound-lights', clients: 10, kill: false },
];

/** Forty benches with twelve figures each, entered by some clients over a minute; `npm run build` first. */
export async function benchClass(): Promise<Line[]> {
  const build = process.env['MIVVET_BUILD'] ?? '.next';
  const lines: Line[] = [];
  const only = process.env['MIVVET_BENCH_LISTENERS'];
  for (const { pattern, clients, listeners = 0, kill } of LESSONS) {
    if (only !== undefined && listeners !== Number(only)) continue;
    const { sent, kept, delays, acknowledged, judgedAfter, opened, memory } = await classAtOnce({
      port: PORT,
      build,
      clients,
      listeners,
      overMs: MINUTE,
      kill,
      pattern,
    });
    const among = (times: readonly number[], share: number) =>
      ms(times[Math.floor(share * (times.length - 1))]!);
    const at = (share: number) => among(delays, share);
    lines.push(
      {
        work: `${pattern}: ${sent} readings by ${clients} clients${listeners > 0 ? `, ${listeners} who listen` : ''}${kill ? ', the server killed in the middle' : ''}`,
        figure: `${kept} kept; heard of by all after ${at(0.5)} usually, ${at(0.99)} for 99 %, ${at(1)} at most`,
      },
      {
        work: '… acknowledged to who sent it (goal 300 ms)',
        figure: `${among(acknowledged, 0.5)} usually, ${among(acknowledged, 0.99)} for 99 %, ${among(acknowledged, 1)} at most`,
      },
      {
        work: '… every bench judged after the last reading (goal 2,000 ms)',
        figure: `${ms(judgedAfter)}; the grid opened meanwhile in ${ms(opened)}; ${Math.round(memory)} MB`,
      },
    );
  }
  return lines;
}
