import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { accepted, type Outcome } from '../findings/finding';
import type { PartReport } from '../solver/report';
import type { Run } from '../solver/run/passage';
import { run } from '../solver/run/run';
import type { Moving } from './observation';

/** Seconds that are tried one after another until every timer has gone round. */
const SPANS = [0.02, 0.2, 2, 10, 50, 500];
/** Share of a run that may still be starting up. */
const STARTING = 0.3;
const CYCLES_WANTED = 3;
const SAMPLES = 2001;

/** Follows a circuit for as long as it takes to see a few of its rounds. */
export function follow(circuit: Circuit, shown: Circuit): Outcome<Moving> {
  let last: Outcome<Moving> | undefined;
  for (const seconds of SPANS) {
    const settle = STARTING * seconds;
    const gone = run(circuit, { seconds, settle, samples: SAMPLES });
    if (!gone.ok) return last ?? gone;
    last = accepted(meansOf(gone.value, shown, [settle, seconds]));
    if (sawEnough(circuit, gone.value, seconds - settle)) return last;
  }
  return last!;
}

function sawEnough(circuit: Circuit, { cycles }: Run, seconds: number): boolean {
  const counted = Object.values(cycles);
  if (counted.length > 0) return counted.every((cycle) => cycle.cycles >= CYCLES_WANTED);
  const slowest = Math.max(0, ...circuit.parts.map(periodOf));
  return seconds >= 3 * slowest;
}

function periodOf(part: Part): number {
  if (isKind(part, 'signal') || isKind(part, 'pin')) return 1 / part.params.hertz;
  return 0;
}

/** Means over the last whole rounds of the slowest that goes round. */
function meansOf(gone: Run, circuit: Circuit, [settle, end]: readonly [number, number]): Moving {
  const slowest = Math.max(
    0,
    ...Object.values(gone.cycles).map(({ period }) => period ?? 0),
    ...circuit.parts.map(periodOf),
  );
  const rounds = slowest > 0 ? Math.floor((end - settle) / slowest) : 0;
  const from = rounds > 0 ? end - rounds * slowest : settle;
  const inside = gone.time.reduce<number[]>((kept, time, i) => (time >= from ? [...kept, i] : kept), []);
  const mean = (values: Float64Array) => inside.reduce((sum, i) => sum + values[i]!, 0) / inside.length;
  const nodes = Object.fromEntries(Object.entries(gone.nodes).map(([name, volts]) => [name, mean(volts)]));
  const parts = Object.fromEntries(
    circuit.parts.map((part): [string, PartReport] => {
      const [first, second] = Object.values(part.pins);
      const across = (i: number) => (gone.nodes[first!]?.[i] ?? 0) - (gone.nodes[second!]?.[i] ?? 0);
      const amps = gone.parts[part.id]!.amps;
      const watts = inside.reduce((sum, i) => sum + across(i) * amps[i]!, 0) / inside.length;
      const volts = inside.reduce((sum, i) => sum + across(i), 0) / inside.length;
      return [part.id, { volts, amps: gone.means[part.id]!, watts, pins: {} }];
    }),
  );
  return { kind: 'moving', circuit, run: gone, nodes, parts, window: [from, end] };
}
