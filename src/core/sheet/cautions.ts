import type { Step } from '../assembly/steps';
import type { LampType } from '../catalogue/lamps';
import { SUPPLIES, type SupplyChoice } from '../catalogue/supplies';

export const CAUTION_CODES = [
  'extra-low-voltage',
  'power-off-first',
  'hot-smell-stop',
  'coin-cells',
  'block-terminals',
  'accumulator-fuse',
  'cells-not-shorted',
  'bright-lamp',
  'violet-eyes',
  'infrared-unseen',
  'warm-resistor',
  'never-without-resistor',
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

/** Where on the sheet and card a caution stands: before anything, at the kit, at a part's step, at a gate. */
export type CautionPlace = 'start' | 'kit' | 'lamp' | 'resistor' | 'before-power' | 'after-power';

export interface Caution {
  readonly code: CautionCode;
  readonly place: CautionPlace;
}

interface Facts {
  readonly supply: SupplyChoice;
  readonly lamp: LampType;
  readonly amps: number;
  readonly hottestWatts: number;
  readonly rating: number;
  readonly ratingShare: number;
}

/** From this current up a nitride or white lamp is unpleasant to look into at arm's length. */
const GLARE_AMPS = 5e-3;

/** The cautions that apply to a lesson, each at its place. */
export function cautionsFor(facts: Facts): Caution[] {
  const { supply, lamp, amps } = facts;
  const style = SUPPLIES[supply.kind].style;
  const when = (applies: boolean, code: CautionCode, place: CautionPlace): Caution[] =>
    applies ? [{ code, place }] : [];
  const glaring = ['green', 'blue', 'white'].includes(lamp) && amps >= GLARE_AMPS;
  return [
    ...when(true, 'extra-low-voltage', 'start'),
    ...when(supply.kind === 'coin-20mm', 'coin-cells', 'kit'),
    ...when(true, 'never-without-resistor', 'resistor'),
    ...when(facts.hottestWatts > facts.rating * facts.ratingShare, 'warm-resistor', 'resistor'),
    ...when(glaring, 'bright-lamp', 'lamp'),
    ...when(lamp === 'violet', 'violet-eyes', 'lamp'),
    ...when(lamp === 'infrared', 'infrared-unseen', 'lamp'),
    ...when(supply.kind === 'block-9v', 'block-terminals', 'before-power'),
    ...when(style === 'accumulator', 'accumulator-fuse', 'before-power'),
    ...when(style === 'cell' && supply.kind !== 'block-9v', 'cells-not-shorted', 'before-power'),
    ...when(true, 'power-off-first', 'before-power'),
    ...when(true, 'hot-smell-stop', 'after-power'),
  ];
}

/** The cautions that belong to a step of the build card. */
export function cautionsAt(step: Step, cautions: readonly Caution[]): Caution[] {
  return cautions.filter(({ place }) => {
    if (step.action === 'gate') return place === step.gate;
    if (step.action !== 'place-part') return false;
    return (place === 'lamp' && step.kind === 'led') || (place === 'resistor' && step.kind === 'resistor');
  });
}
