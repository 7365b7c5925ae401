import type { Check, Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import type { Outcome } from '../findings/finding';
import { isGapped, isProbed, type Checkpoint, type Held } from './checkpoint';
import { setByHand, withHeld } from './held';
import { METER, metered, nodeAt, VOLTMETER_OHMS, type MeterUse } from './meter';
import type { Moving, Observation } from './observation';
import { mayMove, observe, reportOf, tied } from './observe';
import { decided } from './ruled';

/** A circuit whose checks are the readings of some checkpoints, so that one draw gives all of them. */
export interface Bench {
  readonly circuit: Circuit;
  /** Places of its checkpoints in the list that was asked for, in the order of the checks. */
  readonly points: readonly number[];
  readonly sign: 1 | -1;
}

/** Meters that move a reading by less than this do not disturb one another and are put in together. */
const UNDISTURBED = { share: 2e-4, volts: 1e-4 } as const;

/** A checkpoint, and where it stands in the list that was asked for. */
export type Place = { readonly point: Checkpoint; readonly i: number };

export function* benchesFor(
  circuit: Circuit,
  places: readonly Place[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  burdens: readonly number[],
): Generator<Bench> {
  for (const group of byHeld(places)) {
    const held = setByHand(withHeld(circuit, group[0]!.point.held));
    const volts = group.filter(({ point }) => isProbed(point));
    yield* voltBenches(held, volts, meterUseAt);
    for (const { point, i } of group) {
      if (!isGapped(point)) continue;
      const put = metered(held, point, meterUseAt(point), burdens[i]!);
      if (!put) continue;
      const checks: Check[] = [{ id: point.id, measure: 'amps', part: METER }];
      yield { circuit: ready({ ...put.circuit, checks }), points: [i], sign: put.sign };
    }
  }
}

/** One bench for all probes that do not disturb one another, and one each for those that would. */
function* voltBenches(
  circuit: Circuit,
  places: readonly Place[],
  meterUseAt: (point: Checkpoint) => MeterUse,
): Generator<Bench> {
  const there = places.filter(({ point }) => endsOf(circuit, point) !== undefined);
  const together = withMeters(circuit, there);
  const all = observe(together);
  const none = observe(circuit);
  const calm = there.filter(
    (place) =>
      all.ok &&
      ((none.ok && unmoved(circuit, place, none.value, all.value)) || undisturbed(circuit, place, all.value)),
  );
  const signs = new Map([1, -1].map((sign) => [sign, [] as Place[]]));
  for (const place of calm) signs.get(meterUseAt(place.point) === 'swapped' ? -1 : 1)!.push(place);
  for (const [sign, group] of signs) {
    if (group.length === 0) continue;
    const checks = group.map((place) => voltCheck(circuit, place));
    const points = group.map(({ i }) => i);
    yield { circuit: ready({ ...withMeters(circuit, calm), checks }), points, sign: sign as 1 | -1 };
  }
  for (const place of there.filter((one) => !calm.includes(one))) {
    const circuits = { ...withMeters(circuit, [place]), checks: [voltCheck(circuit, place)] };
    yield {
      circuit: ready(circuits),
      points: [place.i],
      sign: meterUseAt(place.point) === 'swapped' ? -1 : 1,
    };
  }
}

/** A circuit as it is drawn many times: nothing hangs in the air, and wires are looked through. */
export function ready(circuit: Circuit): Circuit {
  return decided(tied(withoutWires(circuit)));
}

function byHeld(places: readonly Place[]): Place[][] {
  const groups = new Map<string, Place[]>();
  for (const place of places) {
    const key = JSON.stringify(place.point.held ?? {});
    groups.set(key, [...(groups.get(key) ?? []), place]);
  }
  return [...groups.values()];
}

function endsOf(circuit: Circuit, point: Checkpoint): readonly [string, string] | undefined {
  if (!isProbed(point)) return undefined;
  const [from, to] = [nodeAt(circuit, point.from), nodeAt(circuit, point.to)];
  return from === undefined || to === undefined ? undefined : [from, to];
}

function withMeters(circuit: Circuit, places: readonly Place[]): Circuit {
  const meters = places.map(({ point, i }) => {
    const [a, b] = endsOf(circuit, point)!;
    const params = { ohms: VOLTMETER_OHMS, tolerance: 0, watts: 1e3 };
    return { id: `${METER} ${i}`, kind: 'resistor' as const, pins: { a, b }, params };
  });
  return { ...circuit, parts: [...circuit.parts, ...meters] };
}

function voltCheck(circuit: Circuit, { point }: Place): Check {
  const [from, to] = endsOf(circuit, point)!;
  return { id: point.id, measure: 'volts', from, to };
}

/** Whether all meters together leave the volts at a probe as they are without any: then each alone does. */
function unmoved(circuit: Circuit, { point }: Place, none: Observation, all: Observation): boolean {
  const [from, to] = endsOf(circuit, point)!;
  const between = ({ nodes }: Observation) => (nodes[from] ?? 0) - (nodes[to] ?? 0);
  return isNear(between(none), between(all));
}

function isNear(own: number, among: number): boolean {
  return Math.abs(own - among) < UNDISTURBED.share * Math.abs(own) + UNDISTURBED.volts;
}

/** Whether a probe reads with all the others in place what it reads alone. */
function undisturbed(circuit: Circuit, place: Place, all: Observation): boolean {
  const alone = observe(withMeters(circuit, [place]));
  if (!alone.ok) return false;
  const own = reportOf(alone.value, `${METER} ${place.i}`).volts;
  const among = reportOf(all, `${METER} ${place.i}`).volts;
  return isNear(own, among);
}

export interface MovingGroup {
  readonly held: Circuit;
  readonly seen: Moving;
  readonly places: readonly Place[];
}

/** The places at which a build rests while it is held as they say, and those at which it moves, held alike. */
export function byMotion(
  circuit: Circuit,
  places: readonly Place[],
): { readonly still: readonly Place[]; readonly moving: readonly MovingGroup[] } {
  const still: Place[] = [];
  const moving: MovingGroup[] = [];
  for (const group of byHeld(places)) {
    const { as, seen } = heldOf(circuit, group[0]!.point.held);
    if (seen?.ok && seen.value.kind === 'moving') moving.push({ held: as, seen: seen.value, places: group });
    else still.push(...group);
  }
  return { still, moving };
}

/** A build while it is held in one way, and what it does then, where it may move. */
interface HeldBuild {
  readonly as: Circuit;
  readonly seen: Outcome<Observation> | undefined;
}

/** What was last seen of a build: its readings and its lamps are looked at in the same ways, one after another. */
let last: { readonly circuit: Circuit; readonly known: Map<string, HeldBuild> } | undefined;

function heldOf(circuit: Circuit, held: Held = {}): HeldBuild {
  if (last?.circuit !== circuit) last = { circuit, known: new Map() };
  const { known } = last;
  const key = JSON.stringify(held);
  const before = known.get(key);
  if (before) return before;
  const as = withoutWires(setByHand(withHeld(circuit, held)));
  const found = { as, seen: mayMove(as) ? observe(as) : undefined };
  known.set(key, found);
  return found;
}

/** What a build does while it is held in one way. */
export function observeHeld(circuit: Circuit, held: Held | undefined): Outcome<Observation> {
  const { as, seen } = heldOf(circuit, held);
  return seen ?? observe(as);
}
