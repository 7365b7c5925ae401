import type { Seconds } from '../quantities/units';
import type { Moving } from './observation';

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
