import type { Check, Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import { isGapped, isProbed, type Checkpoint } from './checkpoint';
import { setByHand, withHeld } from './held';
import { METER, metered, nodeAt, VOLTMETER_OHMS, type MeterUse } from './meter';
import type { Observation } from './observation';
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
  const calm = there.filter((place) => all.ok && undisturbed(circuit, place, all.value));
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

/** Whether a probe reads with all the others in place what it reads alone. */
function undisturbed(circuit: Circuit, place: Place, all: Observation): boolean {
  const alone = observe(withMeters(circuit, [place]));
  if (!alone.ok) return false;
  const own = reportOf(alone.value, `${METER} ${place.i}`).volts;
  const among = reportOf(all, `${METER} ${place.i}`).volts;
  return Math.abs(own - among) < UNDISTURBED.share * Math.abs(own) + UNDISTURBED.volts;
}

export interface MovingGroup {
  readonly held: Circuit;
  readonly places: readonly Place[];
}

/** The places at which a build rests while it is held as they say, and those at which it moves, held alike. */
export function byMotion(
  circuit: Circuit,
  places: readonly Place[],
): { readonly still: readonly Place[]; readonly moving: readonly MovingGroup[] } {
  const groups = byHeld(places).map((group) => ({
    held: withoutWires(setByHand(withHeld(circuit, group[0]!.point.held))),
    places: group,
  }));
  const moving = groups.filter(({ held }) => moves(held));
  return { still: groups.filter((one) => !moving.includes(one)).flatMap((one) => one.places), moving };
}

function moves(circuit: Circuit): boolean {
  if (!mayMove(circuit)) return false;
  const seen = observe(circuit);
  return seen.ok && seen.value.kind === 'moving';
}
