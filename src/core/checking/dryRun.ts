import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { LAMPS } from '../catalogue/lamps';
import type { MeterFigures } from '../catalogue/meter';
import { isKind, partOf, type Circuit, type Part } from '../circuit/circuit';
import type { Checkpoint } from '../patterns/pattern';
import type { Amps, Watts } from '../quantities/units';
import { solve, type Solved } from '../solver/solve';
import type { Candidate, FaultContext } from './faults/fault';
import { faultsOf } from './faults/index';
import { meterOhms, withMeter, withMeterAt } from './probes';

/** How long something lasts that is driven beyond what it stands. */
export type Lasting = 'at once' | 'seconds' | 'minutes' | 'weeks';

export interface Ruin {
  readonly part: string;
  readonly how: 'lamp' | 'reverse' | 'resistor' | 'supply';
  readonly lasting: Lasting;
  /** Current of a lamp or supply, volts against a lamp's direction, watts of a resistor. */
  readonly figure: number;
}

/** What a lamp does after a mistake, as one would say it beforehand. */
export type LampChange = 'dark' | 'dimmer' | 'as before' | 'brighter' | 'ruined';

export interface LampOutcome {
  readonly part: string;
  readonly before: Amps;
  readonly after: Amps;
  readonly brightness: Brightness;
  readonly change: LampChange;
}

/** A build damaged on purpose: what happens, what it ruins, and what a meter would show at each checkpoint. */
export interface DryRun {
  readonly code: Candidate['code'];
  readonly data: Candidate['data'];
  readonly lamps: readonly LampOutcome[];
  readonly ruins: readonly Ruin[];
  readonly warm: readonly { readonly part: string; readonly watts: Watts; readonly share: number }[];
  readonly readings: readonly { readonly id: string; readonly before: number; readonly after: number }[];
}

/**
 * Every fault that applies to a lesson, each solved with all parts at their nominal values.
 * Those whose circuits do not settle are left out.
 */
export function dryRuns(
  context: FaultContext,
  checkpoints: readonly Checkpoint[],
  meter: MeterFigures,
): DryRun[] {
  const right = solve(context.circuit);
  if (!right.ok) return [];
  const burden = meterOhms(meter, supplyAmps(context.circuit, right.value));
  const wanted = { circuit: context.circuit, solved: right.value };
  const before = checkpoints.map((point) => reading(wanted, 'right', point, burden) ?? 0);
  return faultsOf(context).flatMap((candidate): DryRun[] => {
    if (candidate.code === 'right') return [];
    const solved = solve(candidate.circuit);
    if (!solved.ok) return [];
    const { code, data } = candidate;
    const after = { circuit: candidate.circuit, solved: solved.value };
    const readings = checkpoints.map((point, i) => {
      const use = data.point === undefined || data.point === point.id ? candidate.use : 'right';
      return { id: point.id, before: before[i]!, after: reading(after, use, point, burden) ?? 0 };
    });
    return [
      {
        code,
        data,
        lamps: lampOutcomes(context.circuit, right.value, after),
        ruins: ruinsIn(after.circuit, after.solved),
        warm: warmIn(after.circuit, after.solved),
        readings,
      },
    ];
  });
}

interface Built {
  readonly circuit: Circuit;
  readonly solved: Solved;
}

function lampOutcomes(wanted: Circuit, right: Solved, after: Built): LampOutcome[] {
  return wanted.parts.flatMap((part): LampOutcome[] => {
    if (!isKind(part, 'led')) return [];
    const before = Math.max(0, right.parts[part.id]!.amps);
    const now = lampNow(part.id, after.circuit);
    const amps = now ? Math.max(0, after.solved.parts[now.id]?.amps ?? 0) : 0;
    const maxAmps = part.params.maxAmps;
    const brightness = brightnessAt(amps, maxAmps);
    return [{ part: part.id, before, after: amps, brightness, change: changeOf(before, amps, maxAmps) }];
  });
}

/** The lamp of a name as it is in a damaged circuit; a turned one goes under another name. */
function lampNow(id: string, circuit: Circuit): Part | undefined {
  const part = partOf(circuit, id);
  return part?.kind === 'led' ? part : partOf(circuit, `${id} turned`);
}

/** Changes smaller than this share nobody sees. */
const SEEN = 0.15;

function changeOf(before: Amps, after: Amps, maxAmps: Amps): LampChange {
  if (after > 1.5 * maxAmps) return 'ruined';
  if (after < 0.02e-3) return before < 0.02e-3 ? 'as before' : 'dark';
  if (after < before * (1 - SEEN)) return 'dimmer';
  return after > before * (1 + SEEN) ? 'brighter' : 'as before';
}

/** Times beyond a limit from which something lasts so long: starting figures, meant as orders of magnitude. */
const LAMP_LASTS: readonly (readonly [number, Lasting])[] = [
  [10, 'at once'],
  [3, 'seconds'],
  [1.5, 'minutes'],
  [1, 'weeks'],
];
const RESISTOR_LASTS: readonly (readonly [number, Lasting])[] = [
  [8, 'at once'],
  [3, 'seconds'],
  [1, 'minutes'],
];
/** Share of its volts at which a supply counts as shorted. */
const SHORTED = 0.2;

function ruinsIn(circuit: Circuit, solved: Solved): Ruin[] {
  return circuit.parts.flatMap((part): Ruin[] => {
    const figures = solved.parts[part.id];
    if (!figures) return [];
    if (isKind(part, 'led')) {
      // All lamps of the part table stand the same in reverse.
      if (figures.volts < -LAMPS.red.reverseLimit)
        return [{ part: named(part.id), how: 'reverse', lasting: 'weeks', figure: -figures.volts }];
      const lasting = LAMP_LASTS.find(([share]) => figures.amps > share * part.params.maxAmps)?.[1];
      return lasting ? [{ part: named(part.id), how: 'lamp', lasting, figure: figures.amps }] : [];
    }
    if (isKind(part, 'resistor') && part.params.watts < 100) {
      const lasting = RESISTOR_LASTS.find(([share]) => figures.watts > share * part.params.watts)?.[1];
      return lasting ? [{ part: part.id, how: 'resistor', lasting, figure: figures.watts }] : [];
    }
    if (isKind(part, 'supply') && part.params.volts !== 0 && part.params.limitAmps === undefined) {
      const shorted = Math.abs(figures.volts) < SHORTED * Math.abs(part.params.volts);
      const amps = Math.abs(figures.amps);
      return shorted && amps > 0.05
        ? [{ part: part.id, how: 'supply', lasting: 'minutes', figure: amps }]
        : [];
    }
    return [];
  });
}

/** A turned lamp goes under its own name. */
function named(id: string): string {
  return id.replace(' turned', '');
}

/** Resistors that are warm to the touch: above half of their rating. */
function warmIn(circuit: Circuit, solved: Solved): DryRun['warm'] {
  return circuit.parts.flatMap((part) => {
    if (!isKind(part, 'resistor') || part.params.watts >= 100) return [];
    const { watts } = solved.parts[part.id] ?? { watts: 0 };
    const share = watts / part.params.watts;
    return share > 0.5 && share <= 1 ? [{ part: part.id, watts, share }] : [];
  });
}

function supplyAmps(circuit: Circuit, solved: Solved): Amps {
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  return supply ? Math.abs(solved.parts[supply.id]!.amps) : 0;
}

/** What the meter shows at a checkpoint, used as it is used; undefined when that circuit does not settle. */
function reading(
  { circuit, solved }: Built,
  use: Candidate['use'],
  point: Checkpoint,
  burden: number,
): number | undefined {
  if (point.measure === 'volts') {
    if (use === 'current-jack') return 0;
    const volts = nodeAt(circuit, solved, point.from) - nodeAt(circuit, solved, point.to);
    return use === 'swapped' ? -volts : volts;
  }
  if (use === 'fuse-blown') return 0;
  const lamp = circuit.parts.find((part) => isKind(part, 'led'));
  const metered =
    use === 'across-lamp' && lamp
      ? withMeter(circuit, lamp.pins['anode']!, lamp.pins['cathode']!, point.id, burden)
      : withMeterAt(circuit, point, burden);
  const withIt = solve(metered);
  const check = metered.checks.find(({ id }) => id === point.id);
  if (!withIt.ok || check?.measure !== 'amps') return undefined;
  const amps = withIt.value.parts[check.part]?.amps;
  return use === 'swapped' && amps !== undefined ? -amps : amps;
}

function nodeAt(circuit: Circuit, solved: Solved, { part, pin }: { part: string; pin: string }): number {
  const held = partOf(circuit, part);
  const node = held?.pins[pin] ?? (held ? endOf(held, pin) : undefined);
  return node === undefined || node === circuit.ground ? 0 : (solved.nodes[node] ?? 0);
}

/** A part that stands in for another has a and b where that had its first and second pin. */
function endOf(held: Part, pin: string): string | undefined {
  return ['anode', 'plus', 'a'].includes(pin) ? held.pins['a'] : held.pins['b'];
}
