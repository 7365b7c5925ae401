import { isKind, type Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import { keyOf, uniform } from '../numerics/random';
import type { Look } from '../observe/looks';
import { looksIn } from '../observe/looksIn';
import { mayMove, observe, supplyAmps } from '../observe/observe';
import type { Amps, Volts } from '../quantities/units';
import { RIGHT_STATES, type Candidate, type FaultContext } from './faults/fault';
import { everyFault } from './faults/index';
import type { Chance } from './simulated';

/** One bench of a made-up class: nobody knows what is wrong with it, but the same class is always the same. */
export interface MadeUp {
  /** Which class: any whole number. */
  readonly seed: number;
  readonly bench: number;
  /** What was wrong has been put right; parts and meter are the same ones. */
  readonly mended: boolean;
}

/** Of so many benches nothing is wrong. */
const RIGHTS = 0.35;

/** What stands on a made-up bench: the right build, or one with a mistake drawn by how often it is made. */
export function madeUpBuild(
  context: FaultContext,
  { seed, bench, mended }: MadeUp,
): { readonly candidate: Candidate; readonly chance: Chance } {
  const all = everyFault(context);
  const own = (what: string) => uniform(seed, bench, keyOf(what));
  const chance = { seed: Math.floor(own('parts') * 2 ** 31), gain: 2 * own('meter') - 1 };
  const right = all.find(({ code }) => code === 'right')!;
  // Whoever practises holds the probes: slips of the meter are theirs.
  const wrong = all.filter(({ code, use }) => use === 'right' && !RIGHT_STATES.has(code));
  if (mended || own('right') < RIGHTS) return { candidate: right, chance };
  return { candidate: byPrior(wrong, own('mistake')) ?? right, chance };
}

function byPrior(all: readonly Candidate[], share: number): Candidate | undefined {
  let left = share * all.reduce((sum, { prior }) => sum + prior, 0);
  return all.find(({ prior }) => (left -= prior) <= 0);
}

/** What a build takes from a supply set to some volts, and how its lamps look then. */
export interface AtVolts {
  readonly volts: Volts;
  readonly amps: Amps;
  readonly looks: Readonly<Record<string, Look>>;
}

/** Whether a build may be watched while its supply is turned: it rests, and a supply feeds it. */
export function canBeSwept({ circuit, shows }: Pick<FaultContext, 'circuit' | 'shows'>): boolean {
  return circuit.parts.some((part) => isKind(part, 'supply')) && !shows && !mayMove(circuit);
}

/**
 * A build on a bench supply in the place of its own.
 *
 * @param volts settings of the supply
 * @returns one for each setting; undefined where the circuit does not settle
 */
export function sweptSupply(circuit: Circuit, volts: readonly Volts[]): (AtVolts | undefined)[] {
  return volts.map((setting) => {
    const seen = observe(withoutWires(onSupply(circuit, setting)));
    if (!seen.ok) return undefined;
    return { volts: setting, amps: supplyAmps(seen.value), looks: looksIn(circuit, undefined, seen) };
  });
}

/** The first supply gives way to one that is set, dead or tired as it may be; leads that were turned round stay so. */
function onSupply(circuit: Circuit, volts: Volts): Circuit {
  const first = circuit.parts.find((part) => isKind(part, 'supply'));
  return {
    ...circuit,
    parts: circuit.parts.map((part) =>
      part === first && isKind(part, 'supply')
        ? { ...part, params: { ...part.params, volts: part.params.volts < 0 ? -volts : volts, ohms: 0 } }
        : part,
    ),
  };
}
