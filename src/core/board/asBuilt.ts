import { brightnessAt } from '../catalogue/brightness';
import { isKind, partOf, type Circuit } from '../circuit/circuit';
import { cutOffParts } from '../circuit/structure';
import { joinedByWires } from '../circuit/wires';
import { finding, type Finding } from '../findings/finding';
import { observeHeld } from '../observe/benches';
import type { Held, Shows } from '../observe/checkpoint';
import { withHeld } from '../observe/held';
import { GLOW_AMPS, lampsSeen, type LampSeen } from '../observe/looks';
import { fromSwitchOn, type Observation } from '../observe/observation';
import { observe, reportOf } from '../observe/observe';
import { pitchOf } from '../observe/sound';
import { overloadOf } from '../parts/index';
import { thingOf } from '../parts/thing';
import { inTheWay } from './inTheWay';
import { placementProblems, type Plan } from './plan';
import { readBack } from './readBack';
import { sameCircuit } from './sameCircuit';

/** What a plan makes, and what would happen if it were powered. */
export interface AsBuilt {
  readonly circuit: Circuit;
  /** Whether it is the circuit that the lesson wants. */
  readonly asWanted: boolean;
  readonly seen?: Observation;
  readonly lamps: readonly LampSeen[];
  readonly findings: readonly Finding[];
}

const OPEN_AMPS = 1e-7;

/**
 * Reads a plan back, observes it as read, and names what is out of order on the board and in the figures.
 *
 * @param shows in what each lamp is looked at, where that is not the same for all
 */
export function asBuilt(plan: Plan, wanted: Circuit, shows: Shows = {}): AsBuilt {
  const rules = placementProblems(plan);
  const circuit = readBack(plan, wanted);
  if (rules.length) return { circuit, asWanted: false, lamps: [], findings: rules };
  const board = [...cutOff(circuit), ...boardFaults(plan, circuit, wanted), ...inTheWay(plan, wanted)];
  const asWanted = sameCircuit(circuit, wanted);
  const outcome = observe(circuit);
  if (!outcome.ok) return { circuit, asWanted, lamps: [], findings: [...board, ...outcome.findings] };
  const seen = outcome.value;
  const there = distinctly((held) => lookedAt(circuit, seen, held));
  const seenFor = (lamp: string) => there(shows[lamp]);
  const shown = electrical(circuit, seen, wanted, seenFor);
  const findings = [...board, ...(asWanted ? shown.map((one) => asProgrammed(one, wanted)) : shown)];
  const lamps = there(undefined).lamps.map(
    (lamp) => seenFor(lamp.part).lamps.find(({ part }) => part === lamp.part) ?? lamp,
  );
  return { circuit, asWanted, seen, lamps, findings };
}

/** A build that has been observed, and each of its lamps. */
interface Looked {
  readonly seen: Observation;
  readonly lamps: readonly LampSeen[];
}

/** Each way of holding a build, looked at once. */
function distinctly(look: (held: Held | undefined) => Observation): (held: Held | undefined) => Looked {
  const found = new Map<string, Looked>();
  return (held) => {
    const key = JSON.stringify(held ?? null);
    const known = found.get(key);
    if (known) return known;
    const seen = look(held);
    const looked = { seen, lamps: lampsSeen(seen) };
    found.set(key, looked);
    return looked;
  };
}

/** The build while it is held as one of its lamps wants it; as it stands where that lamp wants nothing, or does not settle. */
function lookedAt(circuit: Circuit, seen: Observation, held: Held | undefined): Observation {
  if (!held) return seen;
  const there = observeHeld(circuit, held);
  return there.ok ? { ...there.value, circuit } : seen;
}

/** A lamp that its program leaves dark is dark as wanted. */
function asProgrammed(found: Finding, { parts }: Circuit): Finding {
  const programmed = parts.some(({ kind }) => kind === 'pin');
  return programmed && found.code === 'dark' ? { ...found, severity: 'note' } : found;
}

function cutOff(circuit: Circuit): Finding[] {
  const cut = cutOffParts(circuit).filter((part) => part.kind !== 'wire');
  return cut.map((part) => finding('cut-off', { part: part.id }, 'warning'));
}

/** Legs that share a strip with their own part, and legs that share it with nothing. */
function boardFaults(plan: Plan, circuit: Circuit, wanted: Circuit): Finding[] {
  const joined = joinedByWires(circuit);
  const pinsAt = new Map<string, number>();
  for (const part of circuit.parts) {
    if (part.kind === 'wire' && partOf(circuit, part.id)) continue;
    for (const node of Object.values(part.pins)) {
      pinsAt.set(joined(node), (pinsAt.get(joined(node)) ?? 0) + 1);
    }
  }
  return plan.placements.flatMap((placement): Finding[] => {
    const part = partOf(circuit, placement.part);
    if (!part || part.kind === 'wire') return [];
    const nodes = Object.values(part.pins).map(joined);
    if (nodes.every((node) => node === nodes[0])) {
      const hole = Object.values(placement.legs)[0]!;
      const strip = Object.values(part.pins)[0]!;
      return [finding('shorted-by-row', { part: part.id, hole, strip }, 'warning')];
    }
    return Object.entries(placement.legs)
      .filter(([pin]) => pinsAt.get(joined(part.pins[pin]!)) === 1 && isUsed(wanted, part.id, pin))
      .map(([pin, hole]) =>
        finding(
          'open-leg',
          {
            part: part.id,
            kind: thingOf(wanted, part.body?.id ?? part.id)?.kind ?? part.kind,
            pin,
            hole,
            strip: part.pins[pin]!,
          },
          'warning',
        ),
      );
  });
}

/** A pin that the lesson leaves alone may sit in a row by itself. */
function isUsed(wanted: Circuit, id: string, pin: string): boolean {
  const part = partOf(wanted, id);
  return part === undefined || part.pins[pin] !== undefined;
}

function electrical(
  circuit: Circuit,
  seen: Observation,
  wanted: Circuit,
  seenFor: (lamp: string) => Looked,
): Finding[] {
  return circuit.parts.flatMap((part): Finding[] => {
    const now = reportOf(seen, part.id);
    if (isKind(part, 'led')) {
      const there = seenFor(part.id);
      return lampFindings(part.id, reportOf(there.seen, part.id), part.params.maxAmps, there);
    }
    if (part.kind === 'wire' && partOf(wanted, part.id)?.kind === 'resistor') {
      return [finding('no-resistor', { part: part.id }, 'warning')];
    }
    const over = overloadOf(part, now);
    if (!over) return isKind(part, 'speaker') ? soundIn(part.id, seen) : [];
    const { figure, limit, how } = over;
    if (isKind(part, 'supply'))
      return [finding('supply-shorted', { part: part.id, amps: figure }, 'warning')];
    if (isKind(part, 'resistor')) {
      return [finding('resistor-over-rating', { part: part.id, watts: figure, rating: limit }, 'warning')];
    }
    return [finding('overloaded', { part: part.id, how, figure, limit }, 'warning')];
  });
}

/** What is heard of a speaker: now, or once the beam is cut that keeps it silent. */
function soundIn(part: string, seen: Observation): Finding[] {
  const hertz = pitchOf(part, seen);
  if (hertz !== undefined) return [finding('sounds', { part, hertz }, 'note')];
  const beams = seen.circuit.parts.flatMap((one) =>
    isKind(one, 'ldr') ? one.params.litBy.map((light) => light.part) : [],
  );
  if (beams.length === 0) return [];
  for (const lamp of beams) {
    const cut = observe(withHeld(seen.circuit, { [lamp]: 'cut' }));
    if (!cut.ok) return [];
    const then = pitchOf(part, cut.value);
    if (then !== undefined) return [finding('sound-waits', { part, lamp, hertz: then }, 'note')];
  }
  return [finding('stays-silent', { part }, 'warning')];
}

function lampFindings(
  part: string,
  now: { volts: number; amps: number },
  maxAmps: number,
  { seen, lamps }: Looked,
): Finding[] {
  const lamp = lamps.find((one) => one.part === part)!;
  // A limit holds at every instant, whatever the mean is.
  const volts = Math.min(now.volts, -backwardsPeak(part, seen));
  const over = overloadOf(partOf(seen.circuit, part)!, { ...now, volts, watts: 0, pins: {} });
  if (over?.how === 'reverse') {
    return [finding('reverse-limit', { part, volts: over.figure, limit: over.limit }, 'warning')];
  }
  if (now.volts < -0.3 && Math.abs(now.amps) < OPEN_AMPS) {
    return [finding('reversed', { part, volts: -now.volts }, 'warning')];
  }
  const { peak, glow: amps, hertz } = lamp;
  const brightness = brightnessAt(amps, maxAmps);
  const share = amps / maxAmps;
  const most = peak / maxAmps;
  if (most > 1.5) return [finding('will-fail', { part, amps: peak, limit: maxAmps, share: most }, 'warning')];
  if (share > 1) return [finding('over-current', { part, amps, limit: maxAmps, share }, 'warning')];
  if (brightness === 'dark') return [waiting(part, seen) ?? finding('dark', { part, amps }, 'warning')];
  if (hertz !== undefined) return [finding('lamp-blinks', { part, amps, hertz, brightness }, 'note')];
  return [finding('lamp-glow', { part, amps, brightness, share }, 'note')];
}

/** The most volts that ever stand backwards across a lamp, V; 0 where none do, or where nothing moves. */
function backwardsPeak(part: string, seen: Observation): number {
  if (seen.kind === 'still') return 0;
  const { pins } = partOf(seen.circuit, part)!;
  const [anode, cathode] = [pins['anode'], pins['cathode']].map((net) => fromSwitchOn(seen).nodes[net ?? '']);
  if (!anode || !cathode) return 0;
  return cathode.reduce((most, volts, i) => Math.max(most, volts - anode[i]!), 0);
}

/** A dark lamp that lights while a button is held only waits for it. */
function waiting(part: string, { circuit }: Observation): Finding | undefined {
  const open = circuit.parts.filter((one) => isKind(one, 'switch') && !one.params.closed);
  for (const { id: button } of open) {
    const pressed = observe(withHeld(circuit, { [button]: 'closed' }));
    const lamp = pressed.ok ? lampsSeen(pressed.value).find((one) => one.part === part) : undefined;
    if (lamp && lamp.peak >= GLOW_AMPS) return finding('lamp-waits', { part, button }, 'note');
  }
  return undefined;
}
