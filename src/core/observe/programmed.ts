import { isKind, type Circuit, type Part, type PartOf } from '../circuit/circuit';
import { endOf, nextSpell, roundOf, shareAt, type PinTable } from '../devices/pinTable';
import { accepted, type Outcome } from '../findings/finding';
import type { Seconds } from '../quantities/units';
import type { PartReport, Solution } from '../solver/report';
import { solve } from '../solver/solve';
import type { Moving } from './observation';

/** Rounds of a program that are followed, and how long it is looked at once it has ended: a share of its round. */
const ROUNDS_MOST = 4;
const TAIL = 0.1;
/** Places along a fade that are looked at. */
const FADED = 12;

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
      const state = states.at(first.map((share, i) => share + along * (last[i]! - share)));
      if (!state.ok) return state;
      time.push(from + along * (until - from));
      seen.push(state.value);
    }
  }
  return accepted(assembled(shown, time, seen, window, ended));
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

  constructor(
    private readonly circuit: Circuit,
    private readonly pins: readonly PartOf<'pin'>[],
  ) {}

  at(shares: readonly number[]): Outcome<Solution> {
    const key = shares.join(' ');
    const known = this.known.get(key);
    if (known) return known;
    const state = shares.every((share) => share <= 0 || share >= 1) ? this.rest(shares) : this.mean(shares);
    this.known.set(key, state);
    return state;
  }

  private rest(shares: readonly number[]): Outcome<Solution> {
    const drives = new Map(this.pins.map(({ id }, i) => [id, shares[i]! >= 1 ? 'high' : 'low'] as const));
    const parts = this.circuit.parts.map((part) => {
      const drive = drives.get(part.id);
      return drive && isKind(part, 'pin') ? { ...part, params: { ...part.params, drive } } : part;
    });
    return solve({ ...this.circuit, parts });
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
  const sum = (read: (state: Solution) => number) =>
    weighed.reduce((total, { weight, state }) => total + weight * read(state), 0);
  const { nodes, parts } = weighed[0]!.state;
  return {
    nodes: Object.fromEntries(Object.keys(nodes).map((name) => [name, sum((state) => state.nodes[name]!)])),
    parts: Object.fromEntries(
      Object.entries(parts).map(([id, { pins }]): [string, PartReport] => {
        const of = (read: (part: PartReport) => number) => sum((state) => read(state.parts[id]!));
        return [
          id,
          {
            volts: of(({ volts }) => volts),
            amps: of(({ amps }) => amps),
            watts: of(({ watts }) => watts),
            pins: Object.fromEntries(Object.keys(pins).map((pin) => [pin, of((part) => part.pins[pin]!)])),
          },
        ];
      }),
    ),
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
