import { idealTimes, type Times, type TimingForm } from '../../catalogue/timing';
import { TIMERS, type TimerFamily } from '../../catalogue/timers';
import type { SupplyChoice } from '../../catalogue/supplies';
import { isKind, partOf, type Circuit } from '../../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import { asFollowed } from '../../observe/byTurns';
import type { Checkpoint, Held } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { lampsSeen } from '../../observe/looks';
import { fromSwitchOn, type Observation } from '../../observe/observation';
import { observe, reportOf } from '../../observe/observe';
import type { Design, Means } from '../pattern';
import { finish } from '../steady/finish';
import type { StringSum } from '../steady/figures';
import { MINUS, PLUS, type LampSorts } from '../steady/parts';
import type { TimingNames } from './chip';
import { nodesOf } from './chip';
import { flashFindings } from './flashes';
import type { ChipTimes, Helper, LampTurn, TimingOption, TimingReason, TimingValues } from './figures';

/** One chip of a lesson before it is solved. */
export interface PlannedChip {
  readonly number: number;
  readonly form: TimingForm;
  readonly family: TimerFamily;
  readonly names: TimingNames;
  readonly values: TimingValues;
  readonly wanted: ChipTimes['wanted'];
  readonly options: readonly TimingOption[];
  readonly closed: Times;
  /** Its time by the rule of thumb, where it is another one than its form's. */
  readonly ideal?: Times;
  /** It is fed from another chip's output, so many volts under the rail. */
  readonly fedFrom?: string;
}

/** A lesson that moves, before it is solved. */
export interface PlannedLesson {
  readonly circuit: Circuit;
  readonly supply: SupplyChoice;
  readonly sorts: LampSorts;
  readonly strings: readonly StringSum[];
  readonly chips: readonly PlannedChip[];
  readonly checkpoints: readonly Checkpoint[];
  /** What is held while a gate is looked at. */
  readonly held?: Held;
  /** The circuit as its figures are told, where at rest it would show nothing. */
  readonly shown?: Circuit;
  /** What starts it, where it waits for a hand. */
  readonly started?: Held;
  readonly findings?: readonly Finding[];
  /** Flashes that are wished of a burst. */
  readonly burst?: number;
  readonly helpers?: readonly Helper[];
  /** Seconds for which each lamp is wished to be lit, where that is said lamp by lamp. */
  readonly turns?: Readonly<Record<string, number>>;
}

/** By how much the wish of each chip is changed before its values are looked for. */
export type Factors = Readonly<Record<string, number>>;

/** A lesson as planned, followed over time. */
interface Followed {
  readonly lesson: PlannedLesson;
  readonly seen: Observation;
  readonly timing: readonly ChipTimes[];
}

/** Solved times this near to the wish are left as they are. */
const NEAR = 0.02;
/** A closed form this near to the solver foresaw what was found. */
const FORESEEN = 0.03;

/**
 * Solves a lesson that moves and says what every such lesson says about it. Values are chosen by closed forms, which know
 * nothing of what else hangs on the chips: where the solver finds another time, they are chosen once more for a wish that
 * makes up for it.
 */
export function finishTimed(
  plan: (factors: Factors) => Outcome<PlannedLesson>,
  means: Means,
): Outcome<Design> {
  const first = followed(plan({}));
  if (!first.ok) return first;
  const better = first.value.timing.every(isAsGood) ? first : nearer(plan, first.value);
  const { lesson, seen, timing } = better.value;
  const found = [
    ...(lesson.findings ?? []),
    ...chipFindings(seen),
    ...burstFindings(lesson, seen),
    ...steadyLamps(lesson, seen),
  ];
  const over = found.filter(({ severity }) => severity === 'refusal');
  if (over.length > 0) return refused(...over);
  const { circuit, started, held = {}, shown = circuit } = lesson;
  const finished = finish(
    {
      ...lesson,
      checkpoints: seen.kind === 'moving' ? asFollowed(lesson.checkpoints, seen) : lesson.checkpoints,
      held,
      shown,
      findings: found,
      own: {
        family: 'timed',
        timing,
        flashes: isFlashing(lesson),
        helpers: [...(lesson.helpers ?? []), ...quietOf(circuit)],
        turns: turnsFor(lesson.turns ?? {}, seen),
      },
      ...(started ? {} : { seen }),
    },
    means,
  );
  if (!finished.ok) return finished;
  return accepted({
    ...finished.value,
    ...(started ? { started } : {}),
    ...(seen.kind === 'moving' ? { seen } : {}),
  });
}

/** How long each lamp is lit, beside how long it is wished to be. */
function turnsFor(wanted: Readonly<Record<string, number>>, seen: Observation): LampTurn[] {
  const lamps = lampsSeen(seen);
  return Object.entries(wanted).map(([part, seconds]) => ({
    part,
    wanted: seconds,
    solved: lamps.find((lamp) => lamp.part === part)?.litFor ?? 0,
  }));
}

/** The small capacitors that keep chips quiet. */
function quietOf({ parts }: Circuit): Helper[] {
  return parts.flatMap((part): Helper[] => {
    if (!isKind(part, 'capacitor')) return [];
    const { farads } = part.params;
    const nets = Object.values(part.pins);
    if (nets.includes(PLUS) && nets.includes(MINUS)) return [{ part: part.id, farads, job: 'quiet-supply' }];
    const control = nets.some((net) => net === nodesOf(1).control || net === nodesOf(2).control);
    return control ? [{ part: part.id, farads, job: 'quiet-control' }] : [];
  });
}

function followed(planned: Outcome<PlannedLesson>): Outcome<Followed> {
  if (!planned.ok) return planned;
  const lesson = planned.value;
  const outcome = observe(withHeld(lesson.circuit, lesson.started));
  if (!outcome.ok) return outcome;
  const seen = outcome.value;
  const timing = lesson.chips.map((chip) => timesOf(chip, seen));
  const stuck = timing.find(({ solved }) => !(solved.high > 0));
  if (stuck) return refused(finding('timer-stuck', { part: stuck.chip }));
  return accepted({ lesson, seen, timing });
}

function nearer(plan: (factors: Factors) => Outcome<PlannedLesson>, first: Followed): { value: Followed } {
  const factors = Object.fromEntries(
    first.timing.map((chip) => [chip.chip, spanOf(chip.closed, chip) / spanOf(chip.solved, chip)]),
  );
  const second = followed(plan(factors));
  const worst = ({ timing }: Followed) => Math.max(...timing.map(offBy));
  return second.ok && worst(second.value) < worst(first) ? second : { value: first };
}

/** The time that was wished: a round, or one light. */
function spanOf(times: Times, { wanted }: ChipTimes): number {
  return wanted.period !== undefined || wanted.low !== undefined ? times.high + times.low : times.high;
}

/** Near its wish, or where its closed form said that it would be: looking again would find the same values. */
function isAsGood(chip: ChipTimes): boolean {
  const { closed, solved } = chip;
  return offBy(chip) < NEAR || Math.abs(Math.log(spanOf(closed, chip) / spanOf(solved, chip))) < FORESEEN;
}

function offBy(chip: ChipTimes): number {
  const { high = 0, low = 0, period = high + low } = chip.wanted;
  return Math.abs(Math.log(spanOf(chip.solved, chip) / period));
}

function timesOf(chip: PlannedChip, seen: Observation): ChipTimes {
  const { number, form, family, names, values, wanted, options, closed } = chip;
  const { output, timing } = nodesOf(number);
  const cycle = seen.kind === 'moving' ? seen.run.cycles[output] : undefined;
  const solved = { high: cycle?.high ?? 0, low: cycle?.period ? (cycle.low ?? 0) : 0 };
  const [lower, upper] = turnsOf(seen, timing);
  return {
    chip: `U${number}`,
    form,
    family,
    parts: names,
    values,
    wanted,
    ideal: chip.ideal ?? idealTimes(form, { ra: values.ra ?? 0, r: values.r, farads: values.farads }),
    closed,
    solved,
    hertz: cycle?.hertz ?? 0,
    lower,
    upper,
    reason: reasonOf(chip, seen),
    options,
  };
}

/** The volts between which a capacitor goes up and down, once it has started. */
function turnsOf(seen: Observation, node: string): readonly [number, number] {
  if (seen.kind === 'still') return [0, 0];
  const { time, nodes } = seen.run;
  const inside = nodes[node]!.filter((_, i) => time[i]! >= seen.window[0]);
  return [inside.reduce((a, b) => Math.min(a, b), Infinity), inside.reduce((a, b) => Math.max(a, b), 0)];
}

function reasonOf({ number, form, family, fedFrom }: PlannedChip, seen: Observation): TimingReason {
  if (seen.kind === 'still') return { why: 'rounding' };
  const { run } = seen;
  const chip = partOf(seen.circuit, `U${number}`)!;
  const [rail, output] = [run.nodes[chip.pins['supply']!]!, run.nodes[chip.pins['output']!]!];
  const short = output.reduce((least, volts, i) => Math.min(least, rail[i]! - volts), Infinity);
  if (fedFrom !== undefined) return { why: 'fed-from-output', volts: short };
  if (form === 'output-driven') {
    return { why: TIMERS[family].highDrop > 0 ? 'output-short' : 'output-loaded', volts: short };
  }
  const discharge = run.nodes[chip.pins['discharge'] ?? '']!;
  // One that waits is emptied at its end; it begins from nothing at all.
  const last = discharge[discharge.length - 1]!;
  const foot =
    form === 'one-shot' ? last : discharge.reduce((least, volts) => Math.min(least, volts), Infinity);
  const { time } = run;
  const inside = rail.filter((_, i) => time[i]! >= seen.window[0]);
  const sag = inside.reduce((a, b) => Math.max(a, b), 0) - inside.reduce((a, b) => Math.min(a, b), Infinity);
  return { why: 'discharge-ohms', volts: Math.max(0, foot), sag: Math.max(0, sag) };
}

/** Lamps that were to blink and never go out: that is not what was wished. */
function steadyLamps(lesson: PlannedLesson, seen: Observation): Finding[] {
  if (!isFlashing(lesson)) return [];
  const turns =
    seen.kind === 'moving' && Object.values(seen.run.cycles).some(({ period }) => period !== null);
  const why = turns ? 'short-of-rail' : 'overloaded';
  return lampsSeen(seen).flatMap(({ part, hertz }) =>
    hertz === undefined ? [finding('never-goes-out', { part, amps: leastOf(part, seen), why })] : [],
  );
}

/** The least that a lamp carries while it is followed, A. */
function leastOf(part: string, seen: Observation): number {
  if (seen.kind === 'still') return reportOf(seen, part).amps;
  const { run, window } = seen;
  return run.parts[part]!.amps.reduce(
    (least, amps, i) => (run.time[i]! >= window[0] ? Math.min(least, amps) : least),
    Infinity,
  );
}

/** Whether its lamps are to come on and go out by themselves. */
function isFlashing({ checkpoints }: PlannedLesson): boolean {
  return checkpoints.some(({ kind, measure }) => kind === 'led' && measure === 'hertz');
}

/** How many flashes come out of those that were wished of a burst. */
function burstFindings({ burst }: PlannedLesson, seen: Observation): Finding[] {
  if (burst === undefined) return [];
  return lampsSeen(seen).flatMap(({ part, hertz, bursts }) =>
    hertz !== undefined && bursts
      ? [finding('bursts', { part, hertz, wished: burst, ...bursts }, 'note')]
      : [],
  );
}

function chipFindings(seen: Observation): Finding[] {
  const found: Finding[] = [];
  for (const part of seen.circuit.parts) {
    if (!isKind(part, 'timer') || seen.kind === 'still') continue;
    const { sourceMost, sinkMost } = TIMERS[part.params.family];
    const { amps } = fromSwitchOn(seen).parts[part.id]!;
    const out = amps.reduce((most, a) => Math.max(most, a), 0);
    const into = amps.reduce((most, a) => Math.max(most, -a), 0);
    if (out > sourceMost) {
      found.push(finding('chip-over-current', { part: part.id, amps: out, limit: sourceMost, way: 'out' }));
    }
    if (into > sinkMost) {
      found.push(finding('chip-over-current', { part: part.id, amps: into, limit: sinkMost, way: 'in' }));
    }
  }
  return [...found, ...flashFindings(seen)];
}

/** Amps out of a chip's output while it is up and into it while it is down, with these lamps on it. */
export function loadOf(strings: readonly StringSum[]): { up: number; down: number } {
  const sum = (level: 'up' | 'down') =>
    strings
      .filter(({ output }) => output?.level === level || output?.level === 'across')
      .reduce((amps, { wanted }) => amps + wanted, 0);
  return { up: sum('up'), down: sum('down') };
}
