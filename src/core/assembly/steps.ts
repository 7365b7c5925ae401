import type { AsBuilt } from '../board/asBuilt';
import type { Placement, Plan, WireColour } from '../board/plan';
import { POLARITY, type PolarityCue } from '../catalogue/polarity';
import { partOf, type Circuit, type Part } from '../circuit/circuit';
import { AGE_FACTORS, PACE, type AgeGroup } from './pace';

/** Where one leg goes, and how to know the leg. */
export interface LegPlace {
  readonly pin: string;
  readonly hole: string;
  readonly cue: PolarityCue;
}

interface StepBase {
  readonly id: string;
  readonly minutes: number;
}

export type Step = StepBase &
  (
    | {
        readonly action: 'place-jumper';
        readonly part: string;
        readonly legs: readonly LegPlace[];
        readonly colour: WireColour;
      }
    | {
        readonly action: 'place-part';
        readonly part: string;
        readonly kind: Part['kind'];
        readonly legs: readonly LegPlace[];
        readonly polarised: boolean;
        /** The hole that will be the more positive, and by how many volts, as computed. */
        readonly positive?: { readonly hole: string; readonly volts: number };
      }
    | {
        readonly action: 'connect-supply';
        readonly part: string;
        readonly pin: 'plus' | 'minus';
        readonly legs: readonly LegPlace[];
      }
    | { readonly action: 'gate'; readonly gate: 'before-power' | 'after-power' }
  );

/** Height over the board decides the order: what lies flat goes in before what stands. */
const HEIGHT: Readonly<Partial<Record<Part['kind'], number>>> = {
  wire: 0,
  resistor: 1,
  diode: 1,
  potentiometer: 3,
  switch: 3,
  led: 4,
};

/**
 * The build card of a plan: low parts first, power last and minus first, a gate before power and one after.
 *
 * @param built the plan as read back and solved, for which end of a part is the more positive
 */
export function buildSteps(plan: Plan, circuit: Circuit, built: AsBuilt, age: AgeGroup): Step[] {
  const factor = AGE_FACTORS[age];
  const kindOf = (p: Placement) => (p.kind === 'jumper' ? 'wire' : partOf(circuit, p.part)!.kind);
  const supply = plan.placements.find((p) => kindOf(p) === 'supply');
  const placed = plan.placements
    .filter((p) => p !== supply)
    .map((placement, i) => ({ placement, i, height: HEIGHT[kindOf(placement)] ?? 2 }))
    .sort((a, b) => a.height - b.height || a.i - b.i)
    .map(({ placement }) => placeStep(placement, kindOf(placement), built, factor));
  const power = supply
    ? (['minus', 'plus'] as const).map((pin): Step => ({
        id: `${supply.part}-${pin}`,
        action: 'connect-supply',
        part: supply.part,
        pin,
        legs: [{ pin, hole: supply.legs[pin]!, cue: POLARITY['supply']!.pins[pin]! }],
        minutes: PACE['connect-supply'] * factor,
      }))
    : [];
  return [...placed, gate('before-power', factor), ...power, gate('after-power', factor)];
}

function gate(name: 'before-power' | 'after-power', factor: number): Step {
  return { id: name, action: 'gate', gate: name, minutes: PACE.gate * factor };
}

function placeStep(placement: Placement, kind: Part['kind'], built: AsBuilt, factor: number): Step {
  const marks = POLARITY[kind]!;
  const legs = Object.entries(placement.legs).map(([pin, hole]) => ({
    pin,
    hole,
    cue: marks.pins[pin] ?? ('none' as const),
  }));
  const id = placement.part;
  if (placement.kind === 'jumper') {
    const minutes = PACE['place-jumper'] * factor;
    return { id, action: 'place-jumper', part: id, legs, colour: placement.colour ?? 'green', minutes };
  }
  const positive = positiveEnd(placement, built);
  return {
    id,
    action: 'place-part',
    part: id,
    kind,
    legs,
    polarised: marks.polarised,
    minutes: PACE['place-part'] * factor,
    ...(positive ? { positive } : {}),
  };
}

function positiveEnd(placement: Placement, built: AsBuilt) {
  const pins = partOf(built.circuit, placement.part)?.pins;
  if (!pins || !built.solved) return undefined;
  const holes = Object.entries(placement.legs).map(([pin, hole]) => ({
    hole,
    volts: built.solved!.nodes[pins[pin]!] ?? 0,
  }));
  const [low, high] = [...holes].sort((a, b) => a.volts - b.volts) as [(typeof holes)[0], (typeof holes)[0]];
  return { hole: high.hole, volts: high.volts - low.volts };
}

export function totalMinutes(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => sum + step.minutes, 0);
}
