import type { PatternId } from '@/core';
import { classAtOnce } from '../tests/support/classAtOnce';
import { ms, type Line } from './measure';

const PORT = 4292;
const MINUTE = 60_000;

/** Lessons that a class has at once: a usual one, one that blinks, and the largest. */
const LESSONS: readonly { readonly pattern: PatternId; readonly clients: number; readonly kill: boolean }[] =
  [
    { pattern: 'rgb', clients: 10, kill: false },
    { pattern: 'rgb', clients: 10, kill: true },
    { pattern: 'rgb', clients: 1, kill: false },
    { pattern: 'rgb', clients: 40, kill: false },
    { pattern: 'blink', clients: 10, kill: false },
    { pattern: 'sound-lights', clients: 10, kill: false },
  ];

/** Forty benches with twelve figures each, entered by some clients over a minute; `npm run build` first. */
export async function benchClass(): Promise<Line[]> {
  const build = process.env['MIVVET_BUILD'] ?? '.next';
  const lines: Line[] = [];
  for (const { pattern, clients, kill } of LESSONS) {
    const { sent, kept, delays, judgedAfter, opened, memory } = await classAtOnce({
      port: PORT,
      build,
      clients,
      overMs: MINUTE,
      kill,
      pattern,
    });
    const at = (share: number) => ms(delays[Math.floor(share * (delays.length - 1))]!);
    lines.push(
      {
        work: `${pattern}: ${sent} readings by ${clients} clients${kill ? ', the server killed in the middle' : ''}`,
        figure: `${kept} kept; heard of by all after ${at(0.5)} usually, ${at(0.99)} for 99 %, ${at(1)} at most`,
      },
      {
        work: '… every bench judged after the last reading (goal 2,000 ms)',
        figure: `${ms(judgedAfter)}; the grid opened meanwhile in ${ms(opened)}; ${Math.round(memory)} MB`,
      },
    );
  }
  return lines;
}
