import { classAtOnce } from '../tests/support/classAtOnce';
import { ms, type Line } from './measure';

const PORT = 4292;
const MINUTE = 60_000;

/** Forty benches with twelve figures each, entered by ten clients over a minute; `npm run build` first. */
export async function benchClass(): Promise<Line[]> {
  const build = process.env['MIVVET_BUILD'] ?? '.next';
  const lines: Line[] = [];
  for (const kill of [false, true]) {
    const { sent, kept, delays } = await classAtOnce({
      port: PORT,
      build,
      clients: 10,
      overMs: MINUTE,
      kill,
    });
    const at = (share: number) => ms(delays[Math.floor(share * (delays.length - 1))]!);
    lines.push({
      work: `${sent} readings by ten clients${kill ? ', the server killed in the middle' : ''}`,
      figure: `${kept} kept; heard of by all after ${at(0.5)} usually, ${at(0.99)} for 99 %, ${at(1)} at most`,
    });
  }
  return lines;
}
