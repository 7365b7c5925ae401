import { isBesideLamp } from '../assembly/gates';
import { idsOf, type Step } from '../assembly/step';
import type { LampType } from '../catalogue/lamps';
import type { Kind } from '../devices/index';
import { isKind, type Circuit } from '../circuit/circuit';
import { hearsSound } from '../observe/held';
import { lampsSeen } from '../observe/looks';
import type { Observation } from '../observe/observation';
import { FLASHES_MOST, FLASHES_QUIET } from '../patterns/timed/flashes';
import { SUPPLIES, type SourceChoice } from '../catalogue/supplies';
import type { LampFigure } from '../patterns/steady/ages';

export const CAUTION_CODES = [
  'extra-low-voltage',
  'limit-guards',
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
  /** Things that it is about: it stands where the first of them goes in. */
  readonly about?: readonly string[];
}

interface Facts {
  readonly supply: SourceChoice;
  readonly circuit: Circuit;
  readonly lamps: readonly Pick<LampFigure, 'part' | 'type' | 'amps'>[];
  readonly hottest: { readonly part: string; readonly watts: number } | undefined;
  readonly rating: number;
  readonly ratingShare: number;
  readonly standsInFor?: 'mains lamp' | undefined;
  /** The supply is in its current limit: nothing else holds the current. */
  readonly onLimit: boolean;
  readonly build: 'plugged' | 'soldered' | 'taped';
  readonly seen?: Observation;
}

/** Lamps that are unpleasant to look into, from a current on. */
const GLARING: ReadonlySet<LampType> = new Set(['green', 'blue', 'white']);

/** From this current up a nitride or white lamp is unpleasant to look into at arm's length. */
const GLARE_AMPS = 5e-3;

/** The cautions that apply to a lesson, each at its place. */
export function cautionsFor(facts: Facts): Caution[] {
  const { supply, lamps, build } = facts;
  const style = SUPPLIES[supply.kind].style;
  const { parts } = facts.circuit;
  const when = (applies: boolean, code: CautionCode, place: CautionPlace): Caution[] =>
    applies ? [{ code, place }] : [];
  // A lamp of a three-colour house goes in with its house.
  const bodyOf = (id: string) => parts.find((part) => part.id === id)?.body?.id ?? id;
  const about = (ids: readonly string[], code: CautionCode, place: CautionPlace): Caution[] =>
    ids.length > 0 ? [{ code, place, about: [...new Set(ids.map(bodyOf))] }] : [];
  const sorts = (...types: readonly LampType[]) =>
    lamps.filter(({ type }) => types.includes(type)).map(({ part }) => part);
  const glaring = lamps
    .filter(({ type, amps }) => GLARING.has(type) && amps >= GLARE_AMPS)
    .map(({ part }) => part);
  const ofKind = (kind: Kind) => parts.filter((part) => part.kind === kind).map(({ id }) => id);
  const holds = (kind: Kind) => ofKind(kind).length > 0;
  const electrolytics = parts.flatMap((part) =>
    isKind(part, 'capacitor') && part.params.polarised ? [part.id] : [],
  );
  const resistors = ofKind('resistor');
  const guards = resistors.filter((id) => isBesideLamp(id, facts.circuit));
  const { hottest } = facts;
  const warm = hottest && hottest.watts > facts.rating * facts.ratingShare ? [hottest.part] : [];
  const coin = supply.kind === 'coin-20mm';
  return [
    ...when(true, 'extra-low-voltage', 'start'),
    ...when(flashing(facts.seen), 'flashing-light', 'start'),
    ...when(facts.standsInFor === 'mains lamp', 'mains-stand-in', 'start'),
    ...when(coin, 'coin-cells', 'kit'),
    ...when(build === 'soldered', 'soldering-iron', 'solder'),
    ...when(build === 'soldered', 'clippings-fly', 'solder'),
    ...when(build === 'taped', 'tapes-apart', 'tape'),
    ...about(guards.length > 0 ? guards : resistors, 'never-without-resistor', 'resistor'),
    ...about(coin && !holds('resistor') ? ofKind('led') : [], 'coin-cell-only', 'lamp'),
    ...when(facts.onLimit && lamps.length > 0, 'limit-guards', 'kit'),
    ...about(warm, 'warm-resistor', 'resistor'),
    ...about(glaring, 'bright-lamp', 'lamp'),
    ...about(sorts('violet'), 'violet-eyes', 'lamp'),
    ...about(sorts('infrared'), 'infrared-unseen', 'lamp'),
    ...about(ofKind('timer'), 'chip-notch', 'chip'),
    ...about(electrolytics, 'electrolytic-way-round', 'capacitor'),
    ...about(ofKind('speaker'), 'loud-tone', 'speaker'),
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

/**
 * The cautions that belong to a step of the build card. Those about parts stand where the first of them goes in.
 *
 * @param steps the card; left out, the step is looked at by itself
 */
export function cautionsAt(
  step: Step,
  cautions: readonly Caution[],
  steps: readonly Step[] = [step],
): Caution[] {
  const place = placeOf(step);
  const isFirst = steps.find((other) => placeOf(other) === place)?.id === step.id;
  return cautions.filter((caution) => {
    const { about } = caution;
    if (about) return steps.find((other) => puts(other, about))?.id === step.id;
    return place !== undefined && caution.place === place && (isFirst || step.action === 'gate');
  });
}

function puts(step: Step, parts: readonly string[]): boolean {
  return idsOf(step).some((id) => parts.includes(id));
}

function placeOf(step: Step): CautionPlace | undefined {
  if (step.action === 'gate') return step.at;
  if (step.action === 'solder-batch') return 'solder';
  return step.action === 'lay-tape' ? 'tape' : undefined;
}

/** Whether a lamp flashes as fast as troubles some eyes. */
function flashing(seen: Observation | undefined): boolean {
  // What follows music follows its beat.
  if (seen?.circuit.parts.some(hearsSound)) return true;
  const lamps = seen ? lampsSeen(seen) : [];
  return lamps.some(({ hertz = 0 }) => hertz > FLASHES_QUIET && hertz < FLASHES_MOST);
}
