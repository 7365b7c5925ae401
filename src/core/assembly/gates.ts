import { readBack, soFar } from '../board/readBack';
import type { Plan } from '../board/plan';
import { brightnessAt } from '../catalogue/brightness';
import { isKind, partOf, type Circuit, type PartOf } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { floatingNodes } from '../circuit/structure';
import { withoutWires } from '../circuit/wires';
import { quantile } from '../numerics/quantile';
import type { Held, Probed, Shows } from '../observe/checkpoint';
import { ready } from '../observe/benches';
import { isFollowed } from '../observe/byTurns';
import { drawPoints } from '../observe/draws';
import { closedBy, hearsSound, withHeld } from '../observe/held';
import { lampsSeen, litIn } from '../observe/looks';
import type { Moving, Observation } from '../observe/observation';
import { observe, reportOf } from '../observe/observe';
import { pitchOf } from '../observe/sound';
import { isProgrammed } from '../observe/programmed';
import type { Hertz, Ohms } from '../quantities/units';
import { everyDraw } from '../tolerance/bands';
import { rowsSeen, type RowSeen } from './rowsSeen';
import type { Gate, GateReading } from './step';

/** What a gate hangs on: the plan, the circuit that is wanted, and what is held while power shows there. */
export interface GateGround {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly held: Held;
  /** In what the newest lamps are looked at instead, where each has its own. */
  readonly shows?: Shows | undefined;
  /** Of the resistor that parks the end of a lamp whose chip is not there yet; left out, none is at hand. */
  readonly parkOhms?: Ohms | undefined;
  /** For a first look: readings are typical ones, their bands come with the whole sheet. */
  readonly brief?: boolean | undefined;
}

/** A look without power. */
export const NO_POWER: Gate = {
  power: false,
  lit: [],
  may: [],
  looks: {},
  blinks: {},
  swings: [],
  held: {},
  readings: [],
};

/** Draws for the band of a reading half-way: it is said to two digits. */
const DRAWS = { samples: 120, seed: 1 } as const;
const TAILS = 0.025;
/** Less than this across a resistor says nothing. */
const TELLS_VOLTS = 0.02;

/**
 * What power shows with these pieces on the board and the supply on it, as read back from the plan: which lamps light,
 * what must be held for it, and what the meter reads across the newest resistor.
 *
 * @param before pieces of the gate before, where the current that is added since is worth reading
 */
export function gateAt(
  ground: GateGround,
  there: ReadonlySet<string>,
  newest: readonly string[],
  before?: ReadonlySet<string>,
): Gate {
  const built = builtSoFar(ground, there);
  const held = heldBy(built, shownIn(ground, newest) ?? ground.held);
  if (hangsOpen(built)) return { ...NO_POWER, power: true, held, erratic: true };
  const seen = observe(withHeld(built, held));
  if (!seen.ok) return { ...NO_POWER, power: true, held };
  const added = before && addedAmps(ground, built, before, held);
  const rows = isProgrammed(seen.value.circuit) ? rowsSeen(seen.value.circuit) : [];
  const own =
    rows.length > 0
      ? rowReading(rows, newest, ground.brief === true)
      : ownReadings(seen.value, newest, ground.brief);
  const readings = [...own, ...(added ? [added] : [])];
  const lamps = litIn(seen.value);
  const shown = lampsSeen(seen.value).filter(({ part }) => lamps.lit.includes(part));
  return {
    power: true,
    ...lamps,
    looks: Object.fromEntries(
      shown.map(({ part, glow }) => [part, brightnessAt(glow, maxAmpsOf(built, part))]),
    ),
    blinks: Object.fromEntries(
      shown.flatMap(({ part, hertz }) => (hertz === undefined ? [] : [[part, hertz]])),
    ),
    bursts: Object.fromEntries(shown.flatMap(({ part, bursts }) => (bursts ? [[part, bursts]] : []))),
    ...(rows.length > 0 ? { turns: rows.map((row) => litIn(row.seen).lit) } : {}),
    swings: swingsOf(seen.value, newest),
    ...(seen.value.kind === 'moving' && seen.value.erratic ? { erratic: true } : {}),
    held,
    readings,
  };
}

/** How often something comes on, where that is seen; else the volts of the newest resistor, of pulses their mean. */
function ownReadings(seen: Observation, newest: readonly string[], brief = false): GateReading[] {
  if (seen.kind === 'still') return resistorReading(seen, newest, 'volts', brief);
  const timed = seen.circuit.parts.some((part) => isKind(part, 'timer'));
  const rates = rateReading(seen);
  return timed || rates.length > 0 ? rates : resistorReading(seen, newest, 'meanVolts', brief);
}

/** The volts of the newest resistor in the row of the program in which it carries most, and which lamps are lit then. */
function rowReading(rows: readonly RowSeen[], newest: readonly string[], brief: boolean): GateReading[] {
  const volts = ({ seen }: RowSeen) => Math.max(0, ...newest.map((id) => Math.abs(voltsOver(seen, id))));
  const steady = rows.filter(({ seen }) => seen.kind === 'still' && newest.length > 0);
  const best = steady.reduce<RowSeen | undefined>(
    (most, row) => (volts(row) > (most ? volts(most) : 0) ? row : most),
    undefined,
  );
  if (!best) return [];
  const { seen, pins } = best;
  const during = litIn(seen).lit;
  return resistorReading(seen, newest, 'volts', brief).map((reading) => ({ ...reading, during, pins }));
}

/** Volts over a resistor; none over anything else. */
function voltsOver(seen: Observation, id: string): number {
  const part = partOf(seen.circuit, id);
  return part && isKind(part, 'resistor') ? reportOf(seen, id).volts : 0;
}

/** Whether a resistor shares a net, that is no end of the supply, with a lamp. */
export function isBesideLamp(id: string, circuit: Circuit): boolean {
  const resistor = partOf(circuit, id);
  if (resistor?.kind !== 'resistor') return false;
  const ends = new Set(Object.values(sourceOf(circuit)?.pins ?? {}));
  const own = Object.values(resistor.pins).filter((net) => !ends.has(net));
  return circuit.parts.some(
    ({ kind, pins }) => kind === 'led' && Object.values(pins).some((net) => own.includes(net)),
  );
}

function isEnd(circuit: Circuit, net: string): boolean {
  return Object.values(sourceOf(circuit)?.pins ?? {}).includes(net);
}

function maxAmpsOf(circuit: Circuit, id: string): number {
  const lamp = partOf(circuit, id);
  return lamp && isKind(lamp, 'led') ? lamp.params.maxAmps : 0.02;
}

/** How often the first lamp blinks; the band is that of the check, where there is one of the finished build. */
function rateReading(seen: Moving): GateReading[] {
  const lamp = lampsSeen(seen).find(({ hertz }) => hertz !== undefined);
  if (!lamp) return [];
  const typical = lamp.hertz!;
  const { part } = lamp;
  const { bursts } = lamp;
  return [
    {
      id: `${part} rate`,
      part,
      kind: 'led',
      measure: 'hertz',
      typical,
      low: typical,
      high: typical,
      ...(bursts ? { bursts } : {}),
    },
  ];
}

/** What the outputs of the newest chips do, where they go up and down. */
function swingsOf(seen: Observation, newest: readonly string[]): Gate['swings'] {
  if (seen.kind === 'still') return [];
  const { run, window } = seen;
  return seen.circuit.parts.flatMap((part) => {
    const output = isKind(part, 'timer') && newest.includes(part.id) ? part.pins['output']! : undefined;
    const period = output === undefined ? null : run.cycles[output]?.period;
    if (output === undefined || !period) return [];
    const volts = run.nodes[output]!.filter((_, i) => run.time[i]! >= window[0]);
    const low = volts.reduce((least, v) => Math.min(least, v), Infinity);
    const high = volts.reduce((most, v) => Math.max(most, v), -Infinity);
    const mean = isFollowed(period) ? {} : { mean: seen.nodes[output] ?? 0 };
    return [{ chip: part.id, low, high, period, ...mean, ...heardIn(seen) }];
  });
}

/** The pitch that is heard of a speaker, where one is on the board by then and something comes and goes through it. */
function heardIn(seen: Moving): { heard?: Hertz } {
  const speaker = seen.circuit.parts.find((part) => isKind(part, 'speaker'));
  const hertz = speaker && pitchOf(speaker.id, seen);
  return hertz === undefined ? {} : { heard: hertz };
}

/** Pins by which a chip decides: one that leads nowhere picks up whatever is near. */
const DECIDES = ['trigger', 'threshold', 'reset'] as const;

function hangsOpen(built: Circuit): boolean {
  const open = new Set(floatingNodes(built));
  return built.parts.some(
    (part) => isKind(part, 'timer') && DECIDES.some((pin) => open.has(part.pins[pin] ?? '')),
  );
}

/** The circuit that the pieces on the board make by then; the supply is put to it for the test. */
function builtSoFar({ plan, circuit }: GateGround, there: ReadonlySet<string>): Circuit {
  const source = sourceOf(circuit)?.id ?? '';
  return withoutWires(readBack(soFar(plan, new Set([...there, source])), circuit));
}

/** In what the lamps are looked at that are new, or that the newest parts are beside. */
function shownIn({ shows = {}, circuit }: GateGround, newest: readonly string[]): Held | undefined {
  const nets = new Set(
    newest
      .flatMap((id) => Object.values(partOf(circuit, id)?.pins ?? {}))
      .filter((net) => !isEnd(circuit, net)),
  );
  const lamp = circuit.parts.find(
    ({ id, pins }) => shows[id] && (newest.includes(id) || Object.values(pins).some((net) => nets.has(net))),
  );
  return lamp && shows[lamp.id];
}

/** Only what is on the board by now can be held; buttons are always pressed for a test. */
function heldBy(built: Circuit, wished: Held): Held {
  const found: Record<string, Held[string]> = {};
  for (const part of built.parts) {
    const wish = wished[part.id];
    if (wish !== undefined) found[part.id] = wish;
    else if (isKind(part, 'switch')) found[part.id] = closedBy(part);
  }
  return found;
}

/** The volts across the newest resistor that carries anything, from its more positive end. */
function resistorReading(
  seen: Observation,
  newest: readonly string[],
  measure: 'volts' | 'meanVolts',
  brief: boolean,
): GateReading[] {
  const telling = seen.circuit.parts.filter(
    (one): one is PartOf<'resistor'> =>
      isKind(one, 'resistor') &&
      newest.includes(one.id) &&
      Math.abs(reportOf(seen, one.id).volts) > TELLS_VOLTS,
  );
  // Of what comes and goes, the lamps' own resistor tells what they get.
  const part =
    telling.find(({ id }) => measure === 'meanVolts' && isBesideLamp(id, seen.circuit)) ?? telling[0];
  if (!part) return [];
  const [from, to] = reportOf(seen, part.id).volts > 0 ? (['a', 'b'] as const) : (['b', 'a'] as const);
  const point: Probed = {
    id: part.id,
    part: part.id,
    kind: 'resistor',
    measure,
    from: { part: part.id, pin: from },
    to: { part: part.id, pin: to },
  };
  const typical = Math.abs(reportOf(seen, part.id).volts);
  // What a sound does takes long to follow: it spreads as at the check of the finished build.
  if (brief || (seen.circuit.parts.some(hearsSound) && measure === 'meanVolts'))
    return [{ id: part.id, part: part.id, kind: 'resistor', measure, typical, low: typical, high: typical }];
  const [drawn] = drawPoints(seen.circuit, [point], () => 'right', [0], DRAWS);
  return drawn ? [{ id: part.id, part: part.id, kind: 'resistor', measure, typical, ...bandOf(drawn) }] : [];
}

/** How much more current is drawn than at the gate before, draw by draw with the same parts. */
function addedAmps(
  ground: GateGround,
  built: Circuit,
  before: ReadonlySet<string>,
  held: Held,
): GateReading | undefined {
  const supply = sourceOf(built);
  if (!supply) return undefined;
  const draw = (circuit: Circuit) => {
    const checks = [{ id: 'amps', measure: 'amps', part: supply.id }] as const;
    return everyDraw(ready({ ...withHeld(circuit, held), checks }), DRAWS)?.[0];
  };
  const earlier = builtSoFar(ground, before);
  const now = draw(built);
  const then = partOf(earlier, supply.id) ? draw(earlier) : undefined;
  if (!now || !then) return undefined;
  const added = now.map((amps, i) => then[i]! - amps);
  const typical = quantile(added.slice().sort(), 0.5);
  return { id: 'added', part: supply.id, kind: supply.kind, measure: 'amps', typical, ...bandOf(added) };
}

function bandOf(draws: Float64Array): { low: number; high: number } {
  const sorted = draws.slice().sort();
  return { low: quantile(sorted, TAILS), high: quantile(sorted, 1 - TAILS) };
}
