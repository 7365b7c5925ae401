import { LAMPS } from '../catalogue/lamps';
import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { isKind, partOf, type Circuit } from '../circuit/circuit';
import { cutOffParts } from '../circuit/structure';
import { finding, type Finding } from '../findings/finding';
import { solve, type Solved } from '../solver/solve';
import { placementProblems, type Plan } from './plan';
import { readBack } from './readBack';
import { joinedByWires, sameCircuit } from './sameCircuit';

/** What a plan makes, and what would happen if it were powered. */
export interface AsBuilt {
  readonly circuit: Circuit;
  /** Whether it is the circuit that the lesson wants. */
  readonly asWanted: boolean;
  readonly solved?: Solved;
  readonly lamps: readonly {
    readonly part: string;
    readonly amps: number;
    readonly brightness: Brightness;
  }[];
  readonly findings: readonly Finding[];
}

/** Current from a battery that counts as shorted: its volts at the terminals have fallen below a fifth. */
const SHORTED_SHARE = 0.2;
const OPEN_AMPS = 1e-7;

/** Reads a plan back, solves it as read, and names what is out of order on the board and in the figures. */
export function asBuilt(plan: Plan, wanted: Circuit): AsBuilt {
  const rules = placementProblems(plan);
  const circuit = readBack(plan, wanted);
  if (rules.length) return { circuit, asWanted: false, lamps: [], findings: rules };
  const cut = cutOffParts(circuit);
  const live = { ...circuit, parts: circuit.parts.filter((part) => !cut.includes(part)) };
  const outcome = solve(live);
  const board = [
    ...cut.filter((p) => p.kind !== 'wire').map((p) => finding('cut-off', { part: p.id }, 'warning')),
    ...boardFaults(plan, circuit),
  ];
  const asWanted = sameCircuit(circuit, wanted);
  if (!outcome.ok) {
    return { circuit, asWanted, lamps: [], findings: [...board, ...outcome.findings] };
  }
  const solved = outcome.value;
  const lamps = lampsOf(circuit, solved);
  const findings = [...board, ...electrical(circuit, solved, wanted)];
  return { circuit, asWanted, solved, lamps, findings };
}

function lampsOf(circuit: Circuit, solved: Solved): AsBuilt['lamps'] {
  return circuit.parts
    .filter((part) => isKind(part, 'led'))
    .map((part) => {
      const amps = Math.max(0, solved.parts[part.id]?.amps ?? 0);
      return { part: part.id, amps, brightness: brightnessAt(amps, part.params.maxAmps) };
    });
}

/** Legs that share a strip with their own part, and legs that share it with nothing. */
function boardFaults(plan: Plan, circuit: Circuit): Finding[] {
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
      .filter(([pin]) => pinsAt.get(joined(part.pins[pin]!)) === 1)
      .map(([pin, hole]) =>
        finding('open-leg', { part: part.id, pin, hole, strip: part.pins[pin]! }, 'warning'),
      );
  });
}

function electrical(circuit: Circuit, solved: Solved, wanted: Circuit): Finding[] {
  return circuit.parts.flatMap((part): Finding[] => {
    const figures = solved.parts[part.id];
    if (!figures) return [];
    if (isKind(part, 'supply')) {
      const shorted = Math.abs(figures.volts) < SHORTED_SHARE * Math.abs(part.params.volts);
      const amps = -figures.amps;
      return shorted ? [finding('supply-shorted', { part: part.id, amps }, 'warning')] : [];
    }
    if (isKind(part, 'led')) return lampFindings(part.id, figures, part.params.maxAmps);
    if (isKind(part, 'resistor') && figures.watts > part.params.watts) {
      const { watts } = figures;
      return [
        finding('resistor-over-rating', { part: part.id, watts, rating: part.params.watts }, 'warning'),
      ];
    }
    if (part.kind === 'wire' && partOf(wanted, part.id)?.kind === 'resistor') {
      return [finding('no-resistor', { part: part.id }, 'warning')];
    }
    return [];
  });
}

function lampFindings(
  part: string,
  { volts, amps }: { volts: number; amps: number },
  maxAmps: number,
): Finding[] {
  const limit = LAMPS.red.reverseLimit;
  if (volts < -limit) return [finding('reverse-limit', { part, volts: -volts, limit }, 'warning')];
  if (volts < -0.3 && Math.abs(amps) < OPEN_AMPS) {
    return [finding('reversed', { part, volts: -volts }, 'warning')];
  }
  const share = amps / maxAmps;
  if (share > 1.5) return [finding('will-fail', { part, amps, limit: maxAmps, share }, 'warning')];
  if (share > 1) return [finding('over-current', { part, amps, limit: maxAmps, share }, 'warning')];
  const brightness = brightnessAt(Math.max(0, amps), maxAmps);
  if (brightness === 'dark') return [finding('dark', { part, amps: Math.max(0, amps) }, 'warning')];
  return [finding('lamp-glow', { part, amps, brightness, share }, 'note')];
}
