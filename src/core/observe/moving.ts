import { TIMERS } from '../catalogue/timers';
import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { withoutWires } from '../circuit/wires';
import { roundOf } from '../devices/pinTable';
import { pressOf } from '../devices/switch';
import { accepted, type Outcome } from '../findings/finding';
import type { Seconds } from '../quantities/units';
import type { PartReport } from '../solver/report';
import type { Run } from '../solver/run/passage';
import type { Switching } from '../solver/run/plan';
import { run } from '../solver/run/run';
import { solve } from '../solver/solve';
import { asCoupled } from './coupled';
import type { Moving } from './observation';

/**
 * Follows a circuit for as long as it takes to see a few of its rounds.
 *
 * @param long enough of what does not come to an end by itself
 */
export function follow(circuit: Circuit, shown: Circuit, long: Long = { rounds: OFTEN }): Outcome<Moving> {
  const timed = circuit.parts.some((part) => isKind(part, 'timer') || releasedAt(part) > 0);
  return timed ? followTimers(circuit, shown, long) : followSources(circuit, shown);
}

/** Longest time that a timer is waited for, in seconds, and in time constants of the slowest capacitor. */
const LONGEST = 1000;
const CONSTANTS = 12;
/** Rounds of one timer after which another that has not gone round is taken to stay as it is; and steps, where so many are enough. */
interface Long {
  readonly rounds: number;
  readonly steps?: number;
}

/** Rounds of the slowest timer that are counted after its first, which starts from an empty capacitor. */
const ROUNDS = 2;
/** A timer that has gone round so often while another has not once: that other one stays as it is. */
const OFTEN = 250;
/** What rests after a press is followed for a little longer than it moves. */
const AFTERWARDS = 1.25;

/** Timers set their own pace, hands theirs: each is followed until it has gone round a few times. Every step is recorded. */
function followTimers(
  circuit: Circuit,
  shown: Circuit,
  long: Long,
  chattered: Seconds = Math.max(0, ...circuit.parts.map((part) => chatterOf(part, circuit))),
): Outcome<Moving> {
  const timers = circuit.parts.filter((part) => isKind(part, 'timer')).length;
  const enough = (events: readonly Switching[]) => seenEnough(events, timers, long.rounds, chattered);
  const ending = { enough, most: long.steps };
  const released = Math.max(0, ...circuit.parts.map(releasedAt));
  const longest = released + Math.min(LONGEST, CONSTANTS * slowestOf(withoutWires(circuit)));
  const plan = { seconds: longest, settle: chattered, skip: 1, samples: 'steps' } as const;
  const first = run(circuit, plan, ending);
  if (!first.ok) return first;
  // What goes round so often within that time chatters for good.
  if (first.value.ended < chattered) return followTimers(circuit, shown, long, 0);
  // What was stopped for going round so often has had time to settle.
  const stopped = isOften(first.value.events, long.rounds) || first.value.steps > (long.steps ?? Infinity);
  const gone = stopped ? first.value : asRepeating(circuit, first.value, (from) => run(from, plan, ending));
  const told = (): Moving => {
    const seen = seenIn(gone, shown);
    return gone === first.value ? seen : { ...seen, startUp: first.value };
  };
  if (gone.ended < longest) return accepted(told());
  if (isSlow(gone.events)) {
    const longer = run(circuit, { ...plan, seconds: LONGER * longest }, { enough });
    if (longer.ok && longer.value.ended < LONGER * longest) return accepted(seenIn(longer.value, shown));
  }
  if (gone.events.length > FEW) return accepted(told());
  // It moves once and rests: what it does after a press, or at power-up, is all there is.
  const { events } = gone;
  const last = Math.max(released, events[events.length - 1]?.time ?? 0);
  const seconds = Math.min(longest, Math.max(AFTERWARDS * last, SHORTEST));
  const again = run(circuit, { ...plan, settle: 0, seconds });
  return again.ok ? accepted(seenIn(again.value, shown)) : again;
}

/** Times that a build is followed again, each from where its capacitors seemed to be going. */
const TRIES = 5;

/** A run that begins where every round is like the one before, or as near to that as a few tries come. */
function asRepeating(circuit: Circuit, first: Run, followed: (from: Circuit) => Outcome<Run>): Run {
  let [from, gone] = [circuit, first];
  for (let tries = 0; tries < TRIES; tries++) {
    const coupled = asCoupled(from, gone);
    const next = coupled && followed(coupled);
    if (!next?.ok) return gone;
    [from, gone] = [coupled!, next.value];
  }
  return gone;
}

/** What goes round more slowly than its capacitors let expect, as near to a stall, is waited for so many times as long. */
const LONGER = 4;

/** Whether something has gone round, and not yet often enough to say how fast it does. */
function isSlow(events: readonly Switching[]): boolean {
  const counts = [...risesOf(events).values()];
  return counts.some((count) => count >= 2) && counts.every((count) => count < 2 + ROUNDS);
}

/** Time constants in which a capacitor has all but a thousandth of its volts. */
const FULL_CONSTANTS = 7;

/**
 * Seconds from switching on within which a chip may chatter: while the capacitor at its control pin fills through the
 * divider, both of its levels lie near zero, and it goes round between them ever more slowly. These are none of its rounds.
 */
function chatterOf(part: Part, { parts }: Circuit): Seconds {
  if (!isKind(part, 'timer') || part.pins['control'] === undefined) return 0;
  const at = part.pins['control'];
  const farads = parts.reduce(
    (sum, one) =>
      sum + (isKind(one, 'capacitor') && Object.values(one.pins).includes(at) ? one.params.farads : 0),
    0,
  );
  return FULL_CONSTANTS * farads * ((2 / 3) * TIMERS[part.params.family].dividerOhms);
}

const SHORTEST = 1e-3;
/** More switchings than these are no single light after a press. */
const FEW = 6;
/** Ohms beyond these are breaks. */
const BREAK_OHMS = 5e7;

/** The longest time constant: the largest capacitor through all resistors that lead to it, or to their other ends. */
function slowestOf({ parts }: Circuit): number {
  const resistors = parts.filter((part) => isKind(part, 'resistor') && part.params.ohms < BREAK_OHMS);
  const constants = parts.map((part) => {
    if (!isKind(part, 'capacitor')) return SHORTEST;
    const near = new Set(Object.values(part.pins));
    const touching = resistors.filter(({ pins }) => Object.values(pins).some((net) => near.has(net)));
    const further = new Set([...near, ...touching.flatMap(({ pins }) => Object.values(pins))]);
    const through = resistors.filter(({ pins }) => Object.values(pins).some((net) => further.has(net)));
    return part.params.farads * through.reduce((sum, { params }) => sum + ohmsOf(params), 0);
  });
  return Math.max(SHORTEST, ...constants);
}

function ohmsOf(params: object): number {
  return 'ohms' in params && typeof params.ohms === 'number' ? params.ohms : 0;
}

function seenEnough(
  events: readonly Switching[],
  timers: number,
  often: number,
  chattered: Seconds,
): boolean {
  if (isOften(events, often)) return true;
  const counts = [...risesOf(events.filter(({ time }) => time >= chattered)).values()];
  return counts.length === timers && counts.every((count) => count >= 2 + ROUNDS);
}

function isOften(events: readonly Switching[], often: number): boolean {
  return [...risesOf(events).values()].some((count) => count >= often);
}

/** How often each output has gone up. */
function risesOf(events: readonly Switching[]): Map<string, number> {
  const rises = new Map<string, number>();
  for (const { output, high } of events) if (high) rises.set(output, (rises.get(output) ?? 0) + 1);
  return rises;
}

function releasedAt(part: Part): number {
  return isKind(part, 'switch') ? (pressOf(part.params)?.[1] ?? 0) : 0;
}

/** Seconds that are tried one after another until a driven circuit has seen enough of its sources. */
const SPANS = [0.002, 0.006, 0.02, 0.06, 0.2, 0.6, 2, 10, 50, 500];
/** Share of a run that may still be starting up. */
const STARTING = 0.3;

function followSources(circuit: Circuit, shown: Circuit): Outcome<Moving> {
  const slowest = Math.max(0, ...circuit.parts.map(periodOf));
  if (jumpsOnly(circuit)) {
    const plan = { seconds: JUMPS * slowest, settle: slowest, samples: 'steps' } as const;
    const jumped = run(circuit, plan);
    return jumped.ok ? accepted(seenIn(jumped.value, shown)) : jumped;
  }
  const span = SPANS.find((seconds) => (1 - STARTING) * seconds >= 3 * slowest) ?? SPANS[SPANS.length - 1]!;
  const plan = { seconds: span, settle: STARTING * span, samples: 'steps' } as const;
  const gone = run(rested(circuit), plan);
  return gone.ok ? accepted(seenIn(gone.value, shown)) : gone;
}

/** Rounds of the slowest source that are followed where nothing has to settle. */
const JUMPS = 5;

/** Whether all that moves jumps from one rest to another, and nothing keeps anything in between. */
function jumpsOnly({ parts }: Circuit): boolean {
  return parts.every(
    (part) =>
      !isKind(part, 'capacitor') &&
      !isKind(part, 'inductor') &&
      !(isKind(part, 'signal') && part.params.shape === 'sine'),
  );
}

function periodOf(part: Part): number {
  if (isKind(part, 'pin') && part.params.drive === 'table') return roundOf(part.params);
  if (isKind(part, 'signal') || isKind(part, 'pin')) return 1 / part.params.hertz;
  return 0;
}

/**
 * The circuit with its capacitors as they stand where it has rested, with its sources in the middle of their swing: what
 * comes into a build that is switched on already. Of one that has no rest, as it was.
 */
export function rested(circuit: Circuit): Circuit {
  if (sourceOf(circuit)?.kind !== 'supply') return circuit;
  const rest = solve(circuit);
  if (!rest.ok) return circuit;
  const { nodes } = rest.value;
  return charged(circuit, (net) => nodes[net] ?? 0);
}

/** The circuit with every capacitor charged to the volts between its nets. */
export function charged(circuit: Circuit, voltsOf: (net: string) => number): Circuit {
  const parts = circuit.parts.map((part): Part => {
    if (!isKind(part, 'capacitor')) return part;
    const volts = voltsOf(part.pins['a']!) - voltsOf(part.pins['b']!);
    return { ...part, params: { ...part.params, volts } };
  });
  return { ...circuit, parts };
}

/** What every node and part does on average, over the last whole rounds of the slowest that goes round. */
function seenIn(gone: Run, circuit: Circuit): Moving {
  const weights = weightsOf(gone);
  const parts = circuit.parts.map((part): [string, PartReport] => {
    const [first, second] = Object.values(part.pins);
    const [over, under] = [gone.nodes[first!], gone.nodes[second!]];
    const { amps } = gone.parts[part.id]!;
    // Of what a pin of a board gives, its own ohms alone turn into heat.
    const inside = isKind(part, 'pin') && part.pins['rail'] !== undefined ? part.params.ohms : undefined;
    let watts = 0;
    for (let i = 0; i < weights.length; i++) {
      const volts = inside === undefined ? (over?.[i] ?? 0) - (under?.[i] ?? 0) : inside * amps[i]!;
      watts += weights[i]! * volts * amps[i]!;
    }
    const volts = (gone.nodeMeans[first!] ?? 0) - (gone.nodeMeans[second!] ?? 0);
    return [part.id, { volts, amps: gone.means[part.id]!, watts, pins: {} }];
  });
  return {
    kind: 'moving',
    circuit,
    run: gone,
    nodes: gone.nodeMeans,
    parts: Object.fromEntries(parts),
    window: gone.window,
  };
}

/** The share of the window that each sample stands for, by the trapezoidal rule. */
function weightsOf({ time, window: [from, to] }: Run): Float64Array {
  const weights = new Float64Array(time.length);
  const inside = (i: number) => time[i]! >= from && time[i]! <= to;
  for (let i = 1; i < time.length; i++) {
    if (!inside(i - 1) || !inside(i)) continue;
    const half = (time[i]! - time[i - 1]!) / 2;
    weights[i - 1]! += half;
    weights[i]! += half;
  }
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  return whole > 0 ? weights.map((weight) => weight / whole) : weights.fill(1 / time.length);
}

/** A moving build without the samples of its run, for whoever only keeps what it came to. */
export function withoutSamples(seen: Moving): Moving {
  const none = new Float64Array(0);
  const emptied = <T>(columns: Readonly<Record<string, unknown>>, empty: T) =>
    Object.fromEntries(Object.keys(columns).map((name) => [name, empty]));
  const { run } = seen;
  const samples = { time: none, nodes: emptied(run.nodes, none), parts: emptied(run.parts, { amps: none }) };
  const { startUp: _samples, ...kept } = seen;
  return { ...kept, run: { ...run, ...samples, events: [] } };
}
