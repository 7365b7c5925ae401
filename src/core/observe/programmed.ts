import { isKind, type Circuit, type Part, type PartOf } from '../circuit/circuit';
import { endOf, nextSpell, roundOf, shareAt, type PinTable } from '../devices/pinTable';
import { accepted, refused, type Outcome } from '../findings/finding';
import type { Seconds } from '../quantities/units';
import { prepare, unsettled, type Prepared } from '../solver/prepare';
import { readSolution, type PartReport, type Solution } from '../solver/report';
import { restOf } from '../solver/resting';
import type { Moving } from './observation';

/** Rounds of a program that are followed, and how long it is looked at once it has ended: a share of its round. */
const ROUNDS_MOST = 4;
const TAIL = 0.1;
/** Places along a fade that are looked at. */
const FADED = 8;

/** Whether all that moves are the pins of a program: nothing keeps anything between one state and the next. */
export function isProgrammed({ parts }: Circuit): boolean {
  const moved = (part: Part) =>
    isKind(part, 'capacitor') ||
    isKind(part, 'inductor') ||
    isKind(part, 'timer') ||
    isKind(part, 'signal') ||
    (isKind(part, 'switch') && part.params.pressAt !== undefined);
  return parts.some((part) => isKind(part, 'pin') && part.params.drive === 'table') && !parts.some(moved);
}

/**
 * A program on its way: each state that it comes to is solved at rest, once. A pin between its levels is at either for
 * its share of a round, all of them from the round's beginning, so that means are exact without following a pulse.
 *
 * @param circuit with nothing hanging in the air
 * @param shown the same without what ties it down
 */
export function followProgram(circuit: Circuit, shown: Circuit): Outcome<Moving> {
  const pins = circuit.parts.flatMap((part) => (isKind(part, 'pin') && tableOf(part) ? [part] : []));
  const tables = pins.map((pin) => tableOf(pin)!);
  const states = new States(circuit, pins);
  const { ended, window } = spanOf(tables);
  const time: Seconds[] = [];
  const seen: Solution[] = [];
  for (const [from, until] of intervalsOf(tables, ended)) {
    const shares = (at: Seconds, side: 'from' | 'until') => tables.map((table) => shareAt(table, at, side));
    const [first, last] = [shares(from, 'from'), shares(until, 'until')];
    const places = first.every((share, i) => share === last[i]) ? 1 : FADED;
    for (let k = 0; k <= places; k++) {
      const along = k / places;
      const state = states.at(first.map((share, i) => evened(share + along * (last[i]! - share))));
      if (!state.ok) return state;
      time.push(from + along * (until - from));
      seen.push(state.value);
    }
  }
  return accepted(assembled(shown, time, seen, window, ended));
}

/** The same share in every round, whatever rounding has left of it. */
function evened(share: number): number {
  return Math.round(share * 1e9) / 1e9;
}

/** What a program does with a pin: of one that only pulses, one spell without end. */
function tableOf({ params }: PartOf<'pin'>): PinTable | undefined {
  if (params.drive === 'table') return params;
  if (params.drive !== 'pwm') return undefined;
  return { spells: [], rounds: 1, after: params.duty };
}

function spanOf(tables: readonly PinTable[]): { ended: Seconds; window: readonly [Seconds, Seconds] } {
  const round = Math.max(...tables.map(roundOf));
  const end = Math.max(...tables.map((table) => (roundOf(table) > 0 ? endOf(table) : 0)));
  const whole = end <= ROUNDS_MOST * round;
  const followed = whole ? end : ROUNDS_MOST * round;
  return { ended: whole ? end + TAIL * round : followed, window: [0, followed] };
}

/** The spans of time in which every pin keeps its spell. */
function intervalsOf(tables: readonly PinTable[], ended: Seconds): [Seconds, Seconds][] {
  const found: [Seconds, Seconds][] = [];
  for (let time = 0; time < ended;) {
    const next = Math.min(ended, ...tables.map((table) => nextSpell(table, time)));
    found.push([time, next]);
    time = next;
  }
  return found;
}

/** The states of a circuit whose pins are at their levels for shares of the time; each pair of levels is solved once. */
class States {
  private readonly known = new Map<string, Outcome<Solution>>();

  /** The circuit placed once: at rest a pin that pulses stands at its share, and at nothing or all of it at a level. */
  private readonly bench: Outcome<Prepared>;

  constructor(
    circuit: Circuit,
    private readonly pins: readonly PartOf<'pin'>[],
  ) {
    const own = new Set(pins.map(({ id }) => id));
    const parts = circuit.parts.map((part) =>
      own.has(part.id) && isKind(part, 'pin')
        ? { ...part, params: { ...part.params, drive: 'pwm' as const } }
        : part,
    );
    this.bench = prepare({ ...circuit, parts });
  }

  at(shares: readonly number[]): Outcome<Solution> {
    const key = shares.join(' ');
    const known = this.known.get(key);
    if (known) return known;
    const state = shares.every((share) => share <= 0 || share >= 1) ? this.rest(shares) : this.mean(shares);
    this.known.set(key, state);
    return state;
  }

  private rest(shares: readonly number[]): Outcome<Solution> {
    const { bench } = this;
    if (!bench.ok) return bench;
    const { placed } = bench.value.compiled;
    this.pins.forEach(({ id }, i) => {
      placed.find(({ part }) => part.id === id)!.instance.knobs['duty']!(shares[i]!);
    });
    const { settling } = restOf(bench.value);
    return settling.converged
      ? accepted(readSolution(bench.value.compiled))
      : refused(unsettled(bench.value, settling));
  }

  /** Up from the beginning of each round for its share of it: the round falls into stretches of fixed levels. */
  private mean(shares: readonly number[]): Outcome<Solution> {
    const ends = [...new Set([...shares.filter((share) => share > 0 && share < 1), 1])].sort((a, b) => a - b);
    const weighed: { weight: number; state: Solution }[] = [];
    let from = 0;
    for (const end of ends) {
      const state = this.at(shares.map((share) => (share >= end ? 1 : 0)));
      if (!state.ok) return state;
      weighed.push({ weight: end - from, state: state.value });
      from = end;
    }
    return accepted(meanOf(weighed));
  }
}

function meanOf(weighed: readonly { weight: number; state: Solution }[]): Solution {
  const { nodes, parts } = weighed[0]!.state;
  const sumOf = (names: readonly string[], read: (state: Solution) => Readonly<Record<string, number>>) => {
    const sums = new Float64Array(names.length);
    for (const { weight, state } of weighed) {
      const values = read(state);
      for (let i = 0; i < names.length; i++) sums[i]! += weight * values[names[i]!]!;
    }
    return Object.fromEntries(names.map((name, i) => [name, sums[i]!]));
  };
  const report = (id: string): PartReport => {
    const [pins, own] = [sumOf(Object.keys(parts[id]!.pins), (state) => state.parts[id]!.pins), [0, 0, 0]];
    for (const { weight, state } of weighed) {
      const { volts, amps, watts } = state.parts[id]!;
      own[0]! += weight * volts;
      own[1]! += weight * amps;
      own[2]! += weight * watts;
    }
    const [volts, amps, watts] = own as [number, number, number];
    return { volts, amps, watts, pins };
  };
  return {
    nodes: sumOf(Object.keys(nodes), (state) => state.nodes),
    parts: Object.fromEntries(Object.keys(parts).map((id) => [id, report(id)])),
  };
}

/** States in the order of their times, as the run of a build that moves. */
function assembled(
  circuit: Circuit,
  time: readonly Seconds[],
  seen: readonly Solution[],
  window: readonly [Seconds, Seconds],
  ended: Seconds,
): Moving {
  const inside = time.flatMap((at, i) => {
    const length = (time[i + 1] ?? at) - at;
    return at >= window[0] && at + length <= window[1] * (1 + 1e-12) && length > 0 ? [{ i, length }] : [];
  });
  const whole = inside.reduce((sum, { length }) => sum + length, 0);
  const mean = meanOf(
    inside.flatMap(({ i, length }) => {
      const weight = length / whole / 2;
      return [
        { weight, state: seen[i]! },
        { weight, state: seen[i + 1]! },
      ];
    }),
  );
  const column = (read: (state: Solution) => number) => Float64Array.from(seen, read);
  const ids = Object.keys(seen[0]!.parts);
  return {
    kind: 'moving',
    circuit,
    nodes: mean.nodes,
    parts: mean.parts,
    window,
    run: {
      time: Float64Array.from(time),
      nodes: Object.fromEntries(
        Object.keys(mean.nodes).map((name) => [name, column(({ nodes }) => nodes[name]!)]),
      ),
      parts: Object.fromEntries(ids.map((id) => [id, { amps: column(({ parts }) => parts[id]!.amps) }])),
      cycles: {},
      means: Object.fromEntries(ids.map((id) => [id, mean.parts[id]!.amps])),
      nodeMeans: mean.nodes,
      window,
      events: [],
      ended,
      steps: time.length,
    },
  };
}
