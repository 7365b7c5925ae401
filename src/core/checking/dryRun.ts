import type { MeterFigures } from '../catalogue/meter';
import { isKind, partOf, type Circuit, type ThingKind } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import { isProbed, type Checkpoint, type Held } from '../observe/checkpoint';
import { withHeld } from '../observe/held';
import { GLOW_AMPS } from '../observe/looks';
import type { Observation } from '../observe/observation';
import { typicalReadings } from '../observe/draws';
import { mayMove, observe, reportOf } from '../observe/observe';
import { readingsIn } from '../observe/responses';
import { read } from '../observe/read';
import type { Overload } from '../parts/overload';
import { overloadOf } from '../parts/index';
import type { Watts } from '../quantities/units';
import { lampOutcomes, soundOutcome, type LampOutcome, type SoundOutcome } from './changes';
import { ASKED_STATES, meterUseAt, type Candidate, type FaultContext } from './faults/fault';
import { faultsOf } from './faults/index';

/** How long something lasts that is driven beyond what it stands. */
export type Lasting = 'at once' | 'seconds' | 'minutes' | 'weeks';

export interface Ruin extends Overload {
  readonly part: string;
  readonly kind: ThingKind;
  readonly lasting: Lasting;
}

/** A build damaged on purpose: what happens, what it ruins, and what a meter would show at each checkpoint. */
export interface DryRun {
  readonly code: Candidate['code'];
  readonly data: Candidate['data'];
  /** Where the meter does the harm, for slips of the meter. */
  readonly where?: Checkpoint;
  readonly lamps: readonly LampOutcome[];
  /** Of a lesson that sounds, with its beam cut where it has one. */
  readonly sound?: SoundOutcome;
  readonly ruins: readonly Ruin[];
  readonly warm: readonly { readonly part: string; readonly watts: Watts; readonly share: number }[];
  readonly readings: readonly { readonly id: string; readonly before: number; readonly after: number }[];
  /** How likely it is beside the others, by what one knows beforehand. */
  readonly prior: number;
  /** Mistakes that do and read just the same, likeliest first. */
  readonly alike: readonly { readonly code: Candidate['code']; readonly data: Candidate['data'] }[];
}

/**
 * Every fault that applies to a lesson, each observed with all parts at their nominal values, likeliest first; those that
 * do and read the same stand together. Those whose circuits do not settle are left out.
 */
export function dryRuns(context: FaultContext, meter: MeterFigures): DryRun[] {
  const right = observe(context.circuit);
  if (!right.ok) return [];
  const before = readings(right.value, context.points, () => 'right', meter);
  const begun = startedBy(context.started);
  const lit = begun(right.value);
  const sounding = soundsBy(context.circuit);
  const heard = sounding(right.value);
  const runs = faultsOf(context).flatMap((candidate): DryRun[] => {
    const { code, data, prior, alike: same = [] } = candidate;
    // A right build with its knob elsewhere is no mistake to be made, and turned probes do nothing to it.
    if (ASKED_STATES.has(code) && code !== 'button-open' && code !== 'switch-off') return [];
    if (data.byRows) return [];
    const seen = observe(withoutWires(candidate.circuit));
    if (!seen.ok) return [];
    const after = readings(seen.value, context.points, meterUseAt(candidate), meter);
    const harm = candidate.use === 'right' ? undefined : harmOf(right.value, after);
    const shown = harm?.during ?? seen.value;
    // Of a build that cannot be followed with its beam cut nothing is told.
    const now = heard && sounding(shown);
    const sound = now && soundOutcome(heard, now);
    return [
      {
        code,
        data,
        ...(harm ? { where: harm.point } : {}),
        prior,
        alike: same.map(({ code: other, data: at }) => ({ code: other, data: at })),
        lamps: lampOutcomes(lit, begun(shown)),
        ...(sound ? { sound } : {}),
        ruins: ruinsIn(shown),
        warm: warmIn(shown),
        readings: after.map(({ point, value }, i) => ({
          id: point.id,
          before: before[i]!.value,
          after: value,
        })),
      },
    ];
  });
  return together(runs);
}

/** Runs that do and read the same as one, led by the likeliest; likeliest first. */
function together(runs: readonly DryRun[]): DryRun[] {
  const ranked = [...runs].sort((a, b) => b.prior - a.prior);
  const groups = new Map<string, DryRun[]>();
  for (const run of ranked) {
    const shown = [
      run.lamps.map(({ change }) => change),
      run.sound?.change,
      run.ruins.map(({ part }) => part),
    ];
    const read = run.readings.map(({ after }) => Number(after.toPrecision(3)));
    const key = JSON.stringify([...shown, read.map((value) => (Math.abs(value) < UNREAD ? 0 : value))]);
    groups.set(key, [...(groups.get(key) ?? []), run]);
  }
  return [...groups.values()].map(([first, ...others]) => ({
    ...first!,
    alike: [...first!.alike, ...others.flatMap(({ code, data, alike }) => [{ code, data }, ...alike])],
  }));
}

/** Below what any meter shows. */
const UNREAD = 1e-6;

/** How a build is looked at for its lamps: pressed, where it waits for that; as it stands, where it does not settle so. */
function startedBy(started: Held | undefined): (seen: Observation) => Observation {
  if (!started) return (seen) => seen;
  return (seen) => {
    const pressed = observe(withHeld(seen.circuit, started));
    return pressed.ok ? pressed.value : seen;
  };
}

/** How a build is looked at for its sound: with its beams cut, where it waits for that. */
function soundsBy({ parts }: Circuit): (seen: Observation) => Observation | undefined {
  if (!parts.some((part) => isKind(part, 'speaker'))) return () => undefined;
  const beams = parts.flatMap((part) =>
    isKind(part, 'ldr') ? part.params.litBy.map((light) => light.part) : [],
  );
  if (beams.length === 0) return (seen) => seen;
  const held = Object.fromEntries(beams.map((lamp) => [lamp, 'cut' as const]));
  return ({ circuit }) => {
    const cut = observe(withHeld(circuit, held));
    return cut.ok ? cut.value : undefined;
  };
}

interface Read {
  readonly point: Checkpoint;
  readonly value: number;
  /** The build while the meter is in it. */
  readonly during?: Observation;
}

function readings(
  seen: Observation,
  points: readonly Checkpoint[],
  use: ReturnType<typeof meterUseAt>,
  meter: MeterFigures,
): Read[] {
  if (mayMove(seen.circuit)) return movingReadings(seen, points, use, meter);
  return points.map((point) => {
    const found = read(seen, point, use(point), meter);
    if (!found.ok || found.value.kind === 'look') return { point, value: 0 };
    return { point, value: found.value.value, during: found.value.during };
  });
}

/** The same of a build that may move, off as few runs as will do; only a slip of the meter is run by itself. */
function movingReadings(
  seen: Observation,
  points: readonly Checkpoint[],
  use: ReturnType<typeof meterUseAt>,
  meter: MeterFigures,
): Read[] {
  const values =
    seen.kind === 'moving' && points.every(({ held }) => !held)
      ? readingsIn(seen, points, { meterUseAt: use, burdens: [] })
      : typicalReadings(seen.circuit, points, use, meter);
  return points.map((point, i): Read => {
    const value = values?.[i] ?? 0;
    const slips = use(point) !== 'right' && use(point) !== 'swapped';
    const found = slips ? read(seen, point, use(point), meter) : undefined;
    return found?.ok && found.value.kind === 'figure'
      ? { point, value: found.value.value, during: found.value.during }
      : { point, value };
  });
}

/** Lamp current beyond which a meter in the circuit has changed it for all to see. */
const CHANGED = 0.15;

/** The checkpoint at which a slip of the meter does most to the lamps; undefined where it does nothing. */
function harmOf(
  right: Observation,
  after: readonly Read[],
): { point: Checkpoint; during: Observation } | undefined {
  let worst: { point: Checkpoint; during: Observation } | undefined;
  let most = CHANGED;
  for (const { point, during } of after) {
    if (!during) continue;
    const change = Math.max(
      0,
      ...lampOutcomes(right, during).map(({ before, after: now }) =>
        now > before ? now / Math.max(before, GLOW_AMPS) - 1 : (before - now) / Math.max(before, GLOW_AMPS),
      ),
    );
    // A lamp that gets more than it stands outweighs any that only goes dark.
    const weight = change + (ruinsIn(during).length ? 1000 : 0) + (isProbed(point) ? 1 : 0);
    if (change > CHANGED && weight > most) {
      most = weight;
      worst = { point, during };
    }
  }
  return worst;
}

/** Times beyond a limit from which something lasts so long: starting figures, meant as orders of magnitude. */
const LASTS: Readonly<Record<Overload['how'], readonly (readonly [number, Lasting])[]>> = {
  current: [
    [10, 'at once'],
    [3, 'seconds'],
    [1.5, 'minutes'],
    [1, 'weeks'],
  ],
  heat: [
    [8, 'at once'],
    [3, 'seconds'],
    [1, 'minutes'],
  ],
  reverse: [[1, 'weeks']],
  volts: [[1, 'seconds']],
  shorted: [[0, 'minutes']],
};

function ruinsIn(seen: Observation): Ruin[] {
  return seen.circuit.parts.flatMap((part): Ruin[] => {
    const over = overloadOf(part, reportOf(seen, part.id));
    if (!over || isStandIn(part.id, seen.circuit)) return [];
    const share = over.limit > 0 ? over.figure / over.limit : Infinity;
    const lasting = LASTS[over.how].find(([from]) => share > from)?.[1];
    return lasting ? [{ part: part.id, kind: part.kind, lasting, ...over }] : [];
  });
}

/** Breaks and meters are resistors that nothing heats. */
function isStandIn(id: string, circuit: Circuit): boolean {
  const part = partOf(circuit, id);
  return part !== undefined && isKind(part, 'resistor') && part.params.watts >= 100;
}

/** Resistors that are warm to the touch: above half of their rating. */
function warmIn(seen: Observation): DryRun['warm'] {
  return seen.circuit.parts.flatMap((part) => {
    if (!isKind(part, 'resistor') || part.params.watts >= 100) return [];
    const { watts } = reportOf(seen, part.id);
    const share = watts / part.params.watts;
    return share > 0.5 && share <= 1 ? [{ part: part.id, watts, share }] : [];
  });
}
