import { batteryLife, DIM_AMPS, type BatteryLife } from '../../answers/battery';
import type { Brightness } from '../../catalogue/brightness';
import type { LampType } from '../../catalogue/lamps';
import { ratingFor } from '../../catalogue/ratings';
import {
  AGES,
  supplyFigures,
  type Age,
  type SupplyChoice,
  type SupplyFigures,
} from '../../catalogue/supplies';
import { isKind, type Circuit } from '../../circuit/circuit';
import { accepted, type Outcome } from '../../findings/finding';
import type { Amps, Hours, Ohms, Volts, Watts } from '../../quantities/units';
import { withHeld } from '../../observe/held';
import { lampsSeen } from '../../observe/looks';
import { observe, reportOf, supplyAmps } from '../../observe/observe';
import type { LoopSums } from '../single/working';
import { heldToShow } from './checkpoints';
import { atAge, type LampSorts } from './parts';
import type { Way } from './way';

export interface LampFigure {
  readonly part: string;
  readonly type: LampType;
  readonly amps: Amps;
  readonly volts: Volts;
  readonly brightness: Brightness;
  /** Of the lamp's continuous maximum. */
  readonly share: number;
}

/** A circuit at one age of its supply, solved. */
export interface AgeRow {
  readonly age: Age;
  /** At the supply's own terminals. */
  readonly supplyVolts: Volts;
  readonly amps: Amps;
  readonly lamps: readonly LampFigure[];
  /** Heat in all resistors, potentiometers and zeners. */
  readonly lostWatts: Watts;
  readonly hottest?: {
    readonly part: string;
    readonly watts: Watts;
    readonly volts: Volts;
    readonly amps: Amps;
  };
}

/** The sum for one string: its lamps' volts, what is left, and the resistor that takes it. */
export interface StringSum {
  readonly resistor: string;
  /** Resistors of all strings that are sums like this one, this one included. */
  readonly alike: readonly string[];
  readonly lamps: readonly { readonly part: string; readonly type: LampType; readonly volts: Volts }[];
  readonly wanted: Amps;
  readonly lampVolts: Volts;
  /** A zener in the string, which takes its volts first. */
  readonly zener?: { readonly part: string; readonly volts: Volts };
  readonly voltsLeft: Volts;
  /** What the supply's own ohms, with the currents of all strings in them, take off. */
  readonly lessOhms: Ohms;
  readonly exactOhms: Ohms;
  /** Less is not fitted, whatever the sum says: it guards the lamp where the volts rise. */
  readonly guardOhms?: Ohms;
  readonly chosen: Ohms;
  /** The lamps are not one behind the other but all on this resistor: their volts do not add up, their currents do. */
  readonly sideBySide?: boolean;
}

/** A resistor of the row that a class walks down. */
export interface WalkRow {
  /** The resistor that is changed. */
  readonly part: string;
  readonly ohms: Ohms;
  readonly amps: Amps;
  readonly brightness: Brightness;
  /** Below the floor: not to be tried. */
  readonly beyond: boolean;
}

/** A dimmer with its knob at one place. */
export interface KnobRow {
  readonly position: number;
  readonly ohms: Ohms;
  readonly amps: Amps;
  readonly brightness: Brightness;
}

export interface RungRow {
  readonly lamp: string;
  readonly zener: string;
  readonly wanted: Volts;
  /** Supply volts at which the lamp reaches a milliamp. */
  readonly lit?: Volts;
  readonly fullAmps: Amps;
}

/** All figures of a steady-light lesson. */
export interface LessonSums {
  readonly supply: SupplyChoice;
  readonly supplyFigures: SupplyFigures;
  readonly strings: readonly StringSum[];
  readonly ages: readonly AgeRow[];
  /** The row of `ages` that the lesson designs for. */
  readonly design: AgeRow;
  /** The row in which the resistors run hottest: at the worst age of the supply, and place of every knob. */
  readonly hottest: AgeRow;
  /** The same ages with every knob where the lamps get most, where there are knobs. */
  readonly worst: readonly AgeRow[];
  readonly rating?: Watts | undefined;
  readonly life?: Life | undefined;
  readonly ways: readonly Way[];
  readonly walk?: readonly WalkRow[];
  readonly knob?: readonly KnobRow[];
  readonly rungs?: readonly RungRow[];
  /** The working of a lesson of one lamp, line by line, and the other schools beside it. */
  readonly loop?: LoopSums;
}

/** A circuit off its supply at every age. */
export function ageRows(circuit: Circuit, choice: SupplyChoice, sorts: LampSorts): Outcome<AgeRow[]> {
  const rows: AgeRow[] = [];
  for (const age of AGES) {
    const row = ageRow(atAge(circuit, choice, age), age, sorts);
    if (!row.ok) return row;
    rows.push(row.value);
  }
  return accepted(rows);
}

export function ageRow(circuit: Circuit, age: Age, sorts: LampSorts): Outcome<AgeRow> {
  const outcome = observe(circuit);
  if (!outcome.ok) return outcome;
  const seen = outcome.value;
  const looks = new Map(lampsSeen(seen).map((lamp) => [lamp.part, lamp.brightness]));
  const lamps = circuit.parts.flatMap((part): LampFigure[] => {
    if (!isKind(part, 'led')) return [];
    const { amps, volts } = reportOf(seen, part.id);
    const share = amps / part.params.maxAmps;
    const type = sorts[part.id] ?? 'red';
    return [{ part: part.id, type, amps, volts, brightness: looks.get(part.id)!, share }];
  });
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  const warm = circuit.parts
    .filter((part) => WARM.has(part.kind))
    .map(({ id }) => ({ part: id, ...reportOf(seen, id) }));
  const hottest = warm.reduce<(typeof warm)[0] | undefined>(
    (best, part) => (!best || part.watts > best.watts * (1 + 1e-9) ? part : best),
    undefined,
  );
  return accepted({
    age,
    supplyVolts: supply ? reportOf(seen, supply.id).volts : 0,
    amps: supply ? -reportOf(seen, supply.id).amps : 0,
    lamps,
    lostWatts: warm.reduce((sum, { watts }) => sum + watts, 0),
    ...(hottest ? { hottest } : {}),
  });
}

const WARM: ReadonlySet<string> = new Set(['resistor', 'potentiometer', 'zener']);

/** How long a battery serves: until the dimmest lamp is too dim, or until it is empty, whichever comes first. */
export interface Life extends Pick<BatteryLife, 'toDim' | 'toEmpty'> {
  readonly useful: Hours;
  /** The current below which the lamp counts as too dim. */
  readonly dimAmps: Amps;
}

/** A lamp that is meant to be faint is too dim at half of what it begins with. */
const FAINT_SHARE = 0.5;

/** Hours until the dimmest lamp that shines at first is too dim, and until the battery is empty. */
export function lifeOf(circuit: Circuit, choice: SupplyChoice, sorts: LampSorts): Life | undefined {
  const first = ageRow(atAge(circuit, choice, 'fresh'), 'fresh', sorts);
  const lamps = first.ok ? first.value.lamps : [];
  const lit = lamps.filter((lamp) => lamp.amps >= DIM_AMPS);
  const brightest = lamps.reduce((most, lamp) => (lamp.amps > most.amps ? lamp : most), lamps[0]!);
  const watched = lit.reduce((least, lamp) => (lamp.amps < least.amps ? lamp : least), lit[0] ?? brightest);
  const dimAmps = lit.length ? DIM_AMPS : FAINT_SHARE * Math.max(watched?.amps ?? 0, 1e-6);
  const drawAt = ({ volts, ohms }: SupplyFigures) => {
    const now = observe({
      ...circuit,
      parts: circuit.parts.map((part) =>
        isKind(part, 'supply') ? { ...part, params: { ...part.params, volts, ohms } } : part,
      ),
    });
    if (!now.ok) return undefined;
    return { drain: supplyAmps(now.value), lamp: watched ? reportOf(now.value, watched.part).amps : 0 };
  };
  const life = batteryLife(choice, drawAt, { dimAmps });
  if (!life) return undefined;
  const { toDim, toEmpty } = life;
  return { toDim, toEmpty, useful: Math.min(toDim ?? 0, toEmpty), dimAmps };
}

/** Every age with the knobs as they are and where they let most through. */
function worstRows(
  circuit: Circuit,
  supply: SupplyChoice,
  sorts: LampSorts,
  asSet: readonly AgeRow[],
): readonly AgeRow[] {
  if (!circuit.parts.some((part) => isKind(part, 'potentiometer'))) return asSet;
  const turnedUp = ageRows(withHeld(circuit, heldToShow(circuit)), supply, sorts);
  return turnedUp.ok ? [...asSet, ...turnedUp.value] : asSet;
}

export interface SumsRequest {
  readonly circuit: Circuit;
  readonly supply: SupplyChoice;
  readonly sorts: LampSorts;
  readonly strings: readonly StringSum[];
  readonly ratingShare: number;
  /** Left out, the hours along the discharge are worked out too. */
  readonly brief?: boolean | undefined;
}

/** The figures that every steady-light circuit has. */
export function lessonSums(request: SumsRequest): Outcome<LessonSums> {
  const { circuit, supply, sorts } = request;
  const ages = ageRows(circuit, supply, sorts);
  if (!ages.ok) return ages;
  const worst = worstRows(circuit, supply, sorts, ages.value);
  const hottest = worst.reduce((a, b) => ((b.hottest?.watts ?? 0) > (a.hottest?.watts ?? 0) ? b : a));
  return accepted({
    supply,
    supplyFigures: supplyFigures(supply),
    strings: request.strings,
    ages: ages.value,
    design: ages.value.find((row) => row.age === supply.age)!,
    hottest,
    worst,
    rating: ratingFor(hottest.hottest?.watts ?? 0, request.ratingShare),
    life: request.brief ? undefined : lifeOf(circuit, supply, sorts),
    ways: [],
  });
}
