import { batteryLife, type BatteryLife } from '../../answers/battery';
import { brightnessAt, type Brightness } from '../../catalogue/brightness';
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
import type { Amps, Ohms, Volts, Watts } from '../../quantities/units';
import { solve } from '../../solver/solve';
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
  readonly voltsLeft: Volts;
  readonly exactOhms: Ohms;
  readonly chosen: Ohms;
  /** The lamps are not one behind the other but all on this resistor: their volts do not add up, their currents do. */
  readonly sideBySide?: boolean;
}

/** A resistor of the row that a class walks down. */
export interface WalkRow {
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
export interface SteadySums {
  readonly supply: SupplyChoice;
  readonly supplyFigures: SupplyFigures;
  readonly strings: readonly StringSum[];
  readonly ages: readonly AgeRow[];
  /** The row of `ages` that the lesson designs for. */
  readonly design: AgeRow;
  /** The row in which the resistors run hottest. */
  readonly hottest: AgeRow;
  readonly rating?: Watts | undefined;
  readonly life?: Pick<BatteryLife, 'toDim' | 'toEmpty'> | undefined;
  readonly ways: readonly Way[];
  readonly walk?: readonly WalkRow[];
  readonly knob?: readonly KnobRow[];
  readonly rungs?: readonly RungRow[];
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
  const solved = solve(circuit);
  if (!solved.ok) return solved;
  const figures = solved.value.parts;
  const lamps = circuit.parts.flatMap((part): LampFigure[] => {
    if (!isKind(part, 'led')) return [];
    const { amps, volts } = figures[part.id]!;
    const share = amps / part.params.maxAmps;
    const brightness = brightnessAt(Math.max(0, amps), part.params.maxAmps);
    return [{ part: part.id, type: sorts[part.id] ?? 'red', amps, volts, brightness, share }];
  });
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  const warm = circuit.parts
    .filter((part) => WARM.has(part.kind))
    .map(({ id }) => ({ part: id, ...figures[id]! }));
  const hottest = warm.reduce<(typeof warm)[0] | undefined>(
    (best, part) => (!best || part.watts > best.watts * (1 + 1e-9) ? part : best),
    undefined,
  );
  return accepted({
    age,
    supplyVolts: supply ? figures[supply.id]!.volts : 0,
    amps: supply ? -figures[supply.id]!.amps : 0,
    lamps,
    lostWatts: warm.reduce((sum, { watts }) => sum + watts, 0),
    ...(hottest ? { hottest } : {}),
  });
}

const WARM: ReadonlySet<string> = new Set(['resistor', 'potentiometer', 'zener']);

/** Hours until the dimmest lamp that shines at first is dim, and until the battery is empty. */
export function lifeOf(circuit: Circuit, choice: SupplyChoice, sorts: LampSorts): SteadySums['life'] {
  const first = ageRow(atAge(circuit, choice, 'fresh'), 'fresh', sorts);
  const lit = first.ok ? first.value.lamps.filter((lamp) => lamp.amps >= 1e-3) : [];
  const watched = lit.reduce((least, lamp) => (!least || lamp.amps < least.amps ? lamp : least), lit[0]);
  return batteryLife(choice, ({ volts, ohms }) => {
    const now = solve({
      ...circuit,
      parts: circuit.parts.map((part) =>
        isKind(part, 'supply') ? { ...part, params: { ...part.params, volts, ohms } } : part,
      ),
    });
    const supply = circuit.parts.find((part) => isKind(part, 'supply'))!;
    if (!now.ok) return undefined;
    const { parts } = now.value;
    return { drain: -parts[supply.id]!.amps, lamp: watched ? parts[watched.part]!.amps : 0 };
  });
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
export function steadySums(request: SumsRequest): Outcome<SteadySums> {
  const { circuit, supply, sorts } = request;
  const ages = ageRows(circuit, supply, sorts);
  if (!ages.ok) return ages;
  const hottest = ages.value.reduce((a, b) => ((b.hottest?.watts ?? 0) > (a.hottest?.watts ?? 0) ? b : a));
  return accepted({
    supply,
    supplyFigures: supplyFigures(supply),
    strings: request.strings,
    ages: ages.value,
    design: ages.value.find((row) => row.age === supply.age)!,
    hottest,
    rating: ratingFor(hottest.hottest?.watts ?? 0, request.ratingShare),
    life: request.brief ? undefined : lifeOf(circuit, supply, sorts),
    ways: [],
  });
}
