import type { Amps, Hertz, Seconds } from '../quantities/units';
import type { Moving, Observation } from './observation';

/** What comes and goes by less than this through a speaker is not heard. */
const HEARD_AMPS: Amps = 1e-4;

/** The pitch of a speaker through which something comes and goes; undefined where it is silent, or is not there. */
export function pitchOf(part: string, seen: Observation): Hertz | undefined {
  if (seen.kind === 'still') return undefined;
  const { run, window } = seen;
  const amps = run.parts[part]?.amps;
  const hertz = Object.values(run.cycles).find((cycle) => cycle.hertz)?.hertz;
  if (!amps || !hertz) return undefined;
  let [least, most] = [Infinity, -Infinity];
  for (const [i, at] of run.time.entries()) {
    if (at < window[0] || at > window[1]) continue;
    least = Math.min(least, amps[i]!);
    most = Math.max(most, amps[i]!);
  }
  return most - least > HEARD_AMPS ? hertz : undefined;
}

/**
 * What a part's current sounds like: its rounds one after another, about their mean, the largest swing at `volume`.
 *
 * @param rate samples a second
 * @returns samples from −volume to volume; undefined where it does not go round
 */
export function soundOf(
  { run, window: [from] }: Pick<Moving, 'run' | 'window'>,
  part: string,
  { seconds, rate, volume }: { seconds: Seconds; rate: number; volume: number },
): Float64Array | undefined {
  const period = Object.values(run.cycles).find((cycle) => cycle.period)?.period;
  const amps = run.parts[part]?.amps;
  if (!period || !amps) return undefined;
  let at = 0;
  const valueAt = (time: number) => {
    if (time < run.time[at]!) at = 0;
    while (at + 1 < run.time.length && run.time[at + 1]! <= time) at++;
    const [start, end] = [run.time[at]!, run.time[at + 1] ?? run.time[at]!];
    const share = end > start ? (time - start) / (end - start) : 0;
    return amps[at]! + share * ((amps[at + 1] ?? amps[at]!) - amps[at]!);
  };
  const samples = Float64Array.from({ length: Math.round(seconds * rate) }, (_, i) =>
    valueAt(from + ((i / rate) % period)),
  );
  const mean = samples.reduce((sum, value) => sum + value, 0) / samples.length;
  const most = samples.reduce((largest, value) => Math.max(largest, Math.abs(value - mean)), 0);
  return most > 0 ? samples.map((value) => ((value - mean) / most) * volume) : undefined;
}
