import type { Step } from '../assembly/step';
import type { Kind } from '../devices/index';
import { isKind, type ThingKind } from '../circuit/circuit';
import { hearsSound } from '../observe/held';
import { lampsSeen } from '../observe/looks';
import type { Observation } from '../observe/observation';
import { FLASHES_MOST, FLASHES_QUIET } from '../patterns/timed/flashes';
import { SUPPLIES, type SourceChoice } from '../catalogue/supplies';
import type { LampFigure } from '../patterns/steady/ages';

export const CAUTION_CODES = [
  'extra-low-voltage',
  'flashing-light',
  'power-off-first',
  'hot-smell-stop',
  'cable-out-first',
  'hot-smell-cable',
  'coin-cells',
  'block-terminals',
  'accumulator-fuse',
  'cells-not-shorted',
  'bright-lamp',
  'violet-eyes',
  'infrared-unseen',
  'warm-resistor',
  'never-without-resistor',
  'coin-cell-only',
  'mains-stand-in',
  'soldering-iron',
  'clippings-fly',
  'tapes-apart',
  'chip-notch',
  'electrolytic-way-round',
  'loud-tone',
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

/** Where on the sheet and card a caution stands: before anything, at the kit, at a part's step, at a gate. */
export type CautionPlace =
  | 'start'
  | 'kit'
  | 'lamp'
  | 'resistor'
  | 'chip'
  | 'capacitor'
  | 'speaker'
  | 'solder'
  | 'tape'
  | 'before-power'
  | 'after-power';

export interface Caution {
  readonly code: CautionCode;
  readonly place: CautionPlace;
}

interface Facts {
  readonly supply: SourceChoice;
  readonly lamps: readonly Pick<LampFigure, 'type' | 'amps'>[];
  readonly hottestWatts: number;
  readonly rating: number;
  readonly ratingShare: number;
  readonly standsInFor?: 'mains lamp' | undefined;
  readonly build: 'plugged' | 'soldered' | 'taped';
  readonly resistors: number;
  readonly seen?: Observation;
}

/** From this current up a nitride or white lamp is unpleasant to look into at arm's length. */
const GLARE_AMPS = 5e-3;

/** The cautions that apply to a lesson, each at its place. */
export function cautionsFor(facts: Facts): Caution[] {
  const { supply, lamps, build } = facts;
  const style = SUPPLIES[supply.kind].style;
  const has = (...types: string[]) => lamps.some(({ type }) => types.includes(type));
  const when = (applies: boolean, code: CautionCode, place: CautionPlace): Caution[] =>
    applies ? [{ code, place }] : [];
  const glaring = lamps.some(
    ({ type, amps }) => ['green', 'blue', 'white'].includes(type) && amps >= GLARE_AMPS,
  );
  const parts = facts.seen?.circuit.parts ?? [];
  const holds = (kind: Kind) => parts.some((part) => part.kind === kind);
  const electrolytics = parts.some((part) => isKind(part, 'capacitor') && part.params.polarised);
  const coin = supply.kind === 'coin-20mm';
  return [
    ...when(true, 'extra-low-voltage', 'start'),
    ...when(flashing(facts.seen), 'flashing-light', 'start'),
    ...when(facts.standsInFor === 'mains lamp', 'mains-stand-in', 'start'),
    ...when(coin, 'coin-cells', 'kit'),
    ...when(build === 'soldered', 'soldering-iron', 'solder'),
    ...when(build === 'soldered', 'clippings-fly', 'solder'),
    ...when(build === 'taped', 'tapes-apart', 'tape'),
    ...when(facts.resistors > 0, 'never-without-resistor', 'resistor'),
    ...when(coin && facts.resistors === 0, 'coin-cell-only', 'lamp'),
    ...when(facts.hottestWatts > facts.rating * facts.ratingShare, 'warm-resistor', 'resistor'),
    ...when(glaring, 'bright-lamp', 'lamp'),
    ...when(has('violet'), 'violet-eyes', 'lamp'),
    ...when(has('infrared'), 'infrared-unseen', 'lamp'),
    ...when(holds('timer'), 'chip-notch', 'chip'),
    ...when(electrolytics, 'electrolytic-way-round', 'capacitor'),
    ...when(holds('speaker'), 'loud-tone', 'speaker'),
    ...when(supply.kind === 'block-9v', 'block-terminals', 'before-power'),
    ...when(style === 'accumulator', 'accumulator-fuse', 'before-power'),
    ...when(
      (style === 'cell' || style === 'pulsed') && supply.kind !== 'block-9v',
      'cells-not-shorted',
      'before-power',
    ),
    // What is fed by a board has no plus lead that could be pulled.
    ...when(true, holds('pin') ? 'cable-out-first' : 'power-off-first', 'before-power'),
    ...when(true, holds('pin') ? 'hot-smell-cable' : 'hot-smell-stop', 'after-power'),
  ];
}

/** The cautions that belong to a step of the build card; those of a part stand at its first step only. */
export function cautionsAt(step: Step, cautions: readonly Caution[], steps?: readonly Step[]): Caution[] {
  const place = placeOf(step);
  if (place === undefined) return [];
  const there = steps?.filter((other) => placeOf(other) === place) ?? [];
  // Of resistors it is the one that guards a lamp, where one is told apart.
  const first = there.find((other) => 'guards' in other && other.guards) ?? there[0];
  if (first && first.id !== step.id && step.action !== 'gate') return [];
  return cautions.filter((caution) => caution.place === place);
}

function placeOf(step: Step): CautionPlace | undefined {
  if (step.action === 'gate') return step.at;
  if (step.action === 'solder-batch') return 'solder';
  if (step.action === 'lay-tape') return 'tape';
  if (step.action !== 'place-part') return undefined;
  return PLACES[step.kind];
}

const PLACES: Readonly<Partial<Record<ThingKind, CautionPlace>>> = {
  led: 'lamp',
  rgb: 'lamp',
  resistor: 'resistor',
  timer: 'chip',
  capacitor: 'capacitor',
  speaker: 'speaker',
};

/** Whether a lamp flashes as fast as troubles some eyes. */
function flashing(seen: Observation | undefined): boolean {
  // What follows music follows its beat.
  if (seen?.circuit.parts.some(hearsSound)) return true;
  const lamps = seen ? lampsSeen(seen) : [];
  return lamps.some(({ hertz = 0 }) => hertz > FLASHES_QUIET && hertz < FLASHES_MOST);
}
