import { isArchedWire } from '../board/arches';
import type { AsBuilt } from '../board/asBuilt';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import type { Placement, Plan } from '../board/plan';
import { partOf, type Circuit } from '../circuit/circuit';
import { isSource } from '../circuit/source';
import { polarityOf, thingOf } from '../parts/thing';
import { reportOf } from '../observe/observe';
import { gateAt, isBesideLamp, NO_POWER, type GateGround } from './gates';
import { isolationOf } from './isolate';
import { blocksOf, wirePlaces, type Block } from './blocks';
import { PACE } from './pace';
import { idsOf, type Gate, type Isolation, type Piece, type Step } from './step';

/**
 * The build card of a plug-in board: block by block, wires and low parts first, a test after each that lights
 * something new, a look before power, and the supply last of all, minus first.
 */
export function pluggedSteps(ground: GateGround, built: AsBuilt): Step[] {
  const { plan, circuit } = ground;
  const blocks = blocksOf(plan, circuit);
  const steps: Step[] = [];
  const there = new Set<string>();
  let newest: string[] = [];
  let lit = 0;
  blocks.forEach((block, i) => {
    const own = blockSteps(block, ground, built);
    steps.push(...own);
    for (const id of own.flatMap(idsOf)) there.add(id);
    newest.push(...block.pieces.map(({ part }) => part));
    if (i === blocks.length - 1) return;
    const gate = gateAt(ground, there, newest);
    // A test that shows nothing new waits for the next block.
    const still = gate.readings.length === 0 && gate.swings.length === 0;
    const shown = gate.lit.length + gate.may.length;
    if (!gate.erratic && (shown > lit || !still)) {
      lit = shown;
      newest = [];
      steps.push(blockGate(block.number, blocks.length, gate));
    }
    steps.push(...halfAlone(ground, there, blocks[i + 1]!));
  });
  return [...steps, ...powerSteps(ground)];
}

/** The half that stands by itself, just before the other chip goes in: its lamps lead to where that will be. */
function halfAlone(ground: GateGround, there: ReadonlySet<string>, next: Block): Step[] {
  const { parkOhms } = ground;
  const chip = next.pieces.find(({ kind }) => kind === 'timer');
  if (parkOhms === undefined || !chip) return [];
  const isolation = isolationOf(ground, there, chip.part, parkOhms);
  return isolation ? [isolateStep(isolation)] : [];
}

export function isolateStep(isolation: Isolation): Step {
  const minutes = PACE['block-gate'] * isolation.parkings.length;
  return { id: `isolate-${isolation.chip}`, action: 'isolate', isolation, minutes };
}

/** The look before power, the supply, and the last test. */
export function powerSteps(ground: GateGround): Step[] {
  return [lookStep(), ...supplySteps(ground.plan, ground.circuit), lastGate(ground)];
}

export function lookStep(): Step {
  return { id: 'before-power', action: 'gate', at: 'before-power', gate: NO_POWER, minutes: PACE.gate };
}

/** What the finished build shows. */
export function lastGate(ground: GateGround): Step {
  const there = new Set(ground.plan.placements.map(({ part }) => part));
  const all = ground.circuit.parts.filter(({ kind }) => kind === 'resistor');
  const behind = all.filter(({ id }) => isBesideLamp(id, ground.circuit));
  // What guards a lamp tells more than what only holds a pin up.
  const resistors = (behind.length > 0 ? behind : all).map(({ id }) => id);
  const gate = gateAt(ground, there, resistors);
  return { id: 'after-power', action: 'gate', at: 'after-power', gate, minutes: PACE.gate };
}

/** The supply's leads, minus first and plus last of all; those of a controller's pins between them, and its cable at the end. */
export function supplySteps(plan: Plan, circuit: Circuit): Step[] {
  const supply = plan.placements.find((p) => isSource(circuit, p.part));
  const thing = supply && thingOf(circuit, supply.part);
  if (!supply || !thing) return [];
  const cues = polarityOf(thing).pins;
  const order = (pin: string) => (pin === 'minus' ? 0 : pin === 'plus' ? 2 : 1);
  const pins = Object.keys(supply.legs).sort((a, b) => order(a) - order(b));
  const leads = pins.map((pin): Step => ({
    id: `${supply.part}-${pin}`,
    action: 'connect-supply',
    part: supply.part,
    pin,
    legs: [{ pin, hole: supply.legs[pin]!, cue: cues[pin] ?? 'none' }],
    minutes: PACE['connect-supply'],
  }));
  if (thing.parts.length === 1) return leads;
  const cable: Step = {
    id: `${supply.part}-cable`,
    action: 'plug-in',
    part: supply.part,
    minutes: PACE['connect-supply'],
  };
  return [...leads, cable];
}

function blockSteps(block: Block, { plan, circuit }: GateGround, built: AsBuilt): Step[] {
  if (block.like !== undefined) return [repeatStep(block, plan)];
  const arched = block.jumpers.filter((wire) => isArchedWire(plan, wire));
  const flat = block.jumpers.filter((wire) => !arched.includes(wire));
  // Flat wires lie under nothing; what stands in an arch over a chip comes after it.
  return [
    ...flat.map(jumperStep),
    ...block.pieces.map((piece) => partStep(piece, circuit, built)),
    ...arched.map(jumperStep),
  ];
}

export function jumperStep(placement: Placement): Step {
  const { part, colour = 'green' } = placement;
  const legs = wirePlaces(placement);
  return { id: part, action: 'place-jumper', part, legs, colour, minutes: PACE['place-jumper'] };
}

export function partStep(piece: Piece, circuit: Circuit, built: AsBuilt): Step {
  const { part, kind, legs } = piece;
  const positive = positiveEnd(piece, built);
  const thing = thingOf(circuit, part);
  return {
    id: part,
    action: 'place-part',
    part,
    kind,
    legs,
    polarised: thing ? polarityOf(thing).polarised : false,
    minutes: PACE['place-part'],
    ...(isBesideLamp(part, circuit) ? { guards: true as const } : {}),
    ...(positive ? { positive } : {}),
  };
}

function repeatStep(block: Block, plan: Plan): Step {
  const wires = block.jumpers.map((p): Piece => ({ part: p.part, kind: 'wire', legs: wirePlaces(p) }));
  const pieces = [...wires, ...block.pieces];
  const board = boardOf(plan);
  const rows = pieces
    .flatMap(({ legs }) => legs.map(({ hole }) => holeOf(board, hole)))
    .flatMap((hole) => (hole && !hole.rail ? [hole.row] : []));
  return {
    id: `block-${block.number}`,
    action: 'repeat',
    block: block.number,
    like: block.like!,
    pieces,
    rows: [Math.min(...rows), Math.max(...rows)],
    minutes: PACE.repeated * pieces.length,
  };
}

export function blockGate(block: number, of: number, gate: Gate): Step {
  return { id: `gate-${block}`, action: 'block-gate', block, of, gate, minutes: PACE['block-gate'] };
}

/** Less than this lights no lamp. */
const DARK_AMPS = 1e-6;

function positiveEnd(piece: Piece, built: AsBuilt) {
  const pins = partOf(built.circuit, piece.part)?.pins;
  if (!pins || built.seen?.kind !== 'still' || piece.legs.length !== 2) return undefined;
  // What a dark lamp has across it is nothing to build by.
  if (piece.kind === 'led' && Math.abs(reportOf(built.seen, piece.part).amps) < DARK_AMPS) return undefined;
  const [one, other] = piece.legs.map(({ pin, hole }) => ({
    hole,
    volts: built.seen!.nodes[pins[pin]!] ?? 0,
  }));
  const [low, high] = one!.volts < other!.volts ? [one!, other!] : [other!, one!];
  return { hole: high.hole, volts: high.volts - low.volts };
}
