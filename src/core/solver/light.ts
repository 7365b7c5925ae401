import type { Compiled } from '../circuit/compile';

/** Looked up once: these stand in the innermost loops. */
const { abs, max, min, sign } = Math;

/** Rounds of relaxation after which light and lamps are said not to settle. */
const ROUNDS = 400;
/** Amps between what a sensor sees and what its lamp draws that count as settled, before the last Newton steps. */
const SETTLED_AMPS = 1e-9;

/** Where the relaxation of light starts: every lamp dark, as it stands, or every sensor in full light. */
export type LightStart = 'dark' | 'standing' | 'lit';

/**
 * Lets lamps and the sensors they shine on find their state as they do on the bench: the sensor follows the light
 * slowly, so the state is the first one on the way from where it starts. A sensor that sees `s` lets a lamp draw
 * I(s); s moves towards I(s) by a share that is halved when it overshoots.
 *
 * @param settle solves the circuit with what the sensors see held
 * @returns whether it settled; x then holds the state
 */
export function relaxLight(compiled: Compiled, start: LightStart, settle: () => boolean): boolean {
  const { equations, sensed, size } = compiled;
  const branches = [...sensed.values()];
  const seen = new Float64Array(size + 1);
  for (const branch of branches) {
    seen[branch] = start === 'dark' ? 0 : start === 'lit' ? Infinity : equations.x[branch]!;
  }
  const share = branches.map(() => 1);
  const before = branches.map(() => 0);
  equations.seen = seen;
  let done = false;
  for (let round = 0; round < ROUNDS && !done; round++) {
    if (!settle()) break;
    done = true;
    branches.forEach((branch, i) => {
      const away = equations.x[branch]! - seen[branch]!;
      if (abs(away) > SETTLED_AMPS) done = false;
      if (away * before[i]! < 0) share[i]! /= 2;
      else share[i] = min(1, share[i]! * 1.2);
      before[i] = sign(away);
      seen[branch] = away === -Infinity ? max(0, equations.x[branch]!) : seen[branch]! + share[i]! * away;
    });
  }
  equations.seen = undefined;
  return done;
}
