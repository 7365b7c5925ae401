import { batteryLife, DIM_AMPS, type BatteryLife } from '../../answers/battery';
import type { LampType } from '../../catalogue/lamps';
import { ratingFor } from '../../catalogue/ratings';
import {
  isSteady,
  SUPPLIES,
  supplyFigures,
  type SourceChoice,
  type SupplyFigures,
} from '../../catalogue/supplies';
import { isKind, type Circuit } from '../../circuit/circuit';
import { accepted, type Outcome } from '../../findings/finding';
import type { Amps, Hours, Ohms, Volts, Watts } from '../../quantities/units';
import type { Held, Shows } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { lampsSeen } from '../../observe/looks';
import type { Observation } from '../../observe/observation';
import { mayMove, observe, supplyAmps } from '../../observe/observe';
import type { FamilySums, OfFamily } from '../family';
import { ageRow, ageRows, distinct, rowOf, type AgeRow } from './ages';
import { heldToShow } from './checkpoints';
import { atAge, type LampSorts } from './parts';
import type { Way } from './way';

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
  /** A chip's output that feeds it, what it keeps back of the supply at that level, and its own ohms. */
  readonly output?: {
    readonly volts: Volts;
    readonly ohms: Ohms;
    readonly level: 'up' | 'down' | 'across';
  };
  readonly voltsLeft: Volts;
  /** What the supply's own ohms, with the currents of all strings in them, take off. */
  readonly lessOhms: Ohms;
  readonly exactOhms: Ohms;
  /** Less is not fitted, whatever the sum says: it guards the lamp where the volts rise. */
  readonly guardOhms?: Ohms;
  readonly chosen: Ohms;
  /** The lamp whose sum decided, where lamps of unlike sums share the resistor. */
  readonly decidedBy?: string;
  /** The lamps are not one behind the other but all on this resistor: their volts do not add up, their currents do. */
  readonly sideBySide?: boolean;
}

/** All figures of a lesson. A lamp that moves carries what it carries while it is lit. */
export interface LessonSums extends OfFamily {
  readonly supply: SourceChoice;
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
}

/** How long a battery serves: until the dimmest lamp is too dim, or until it is empty, whichever comes first. */
export interface Life extends Pick<BatteryLife, 'toDim' | 'toEmpty'> {
  readonly useful: Hours;
  /** The current below which the lamp counts as too dim. */
  readonly dimAmps: Amps;
}

/** A lamp that is meant to be faint is too dim at half of what it begins with. */
const FAINT_SHARE = 0.5;

/** Hours until the dimmest lamp that shines at first is too dim, and until the battery is empty. */
export function lifeOf(circuit: Circuit, choice: SourceChoice, sorts: LampSorts): Life | undefined {
  if (!isSteady(choice)) return undefined;
  const begins = choice.measured ? choice.age : 'fresh';
  const first = ageRow(atAge(circuit, choice, begins), begins, sorts);
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
    const lit = lampsSeen(now.value).find(({ part }) => part === watched?.part);
    return { drain: supplyAmps(now.value), lamp: lit?.peak ?? 0 };
  };
  const life = batteryLife(choice, mayMove(circuit) ? tabled(drawAt, choice) : drawAt, { dimAmps });
  if (!life) return undefined;
  const { toDim, toEmpty } = life;
  // What only sounds serves until its battery is empty.
  const useful = lamps.length > 0 ? Math.min(toDim ?? 0, toEmpty) : toEmpty;
  return { toDim, toEmpty, useful, dimAmps };
}

interface Draw {
  readonly drain: Amps;
  readonly lamp: Amps;
}

/** Volts of the supply at which a build that moves is run, for what it draws in between to be read off. */
const TABLED = 6;

/** What a build that moves draws, off a few runs along the discharge and straight lines between them. */
function tabled(drawAt: (supply: SupplyFigures) => Draw | undefined, choice: SourceChoice) {
  const { empty } = SUPPLIES[choice.kind];
  const [full, worn] = [supplyFigures(choice, 'fresh'), supplyFigures(choice, 'tired')];
  const low = (empty ?? 0) * (full.volts / (SUPPLIES[choice.kind].volts.fresh || 1));
  const rows = Array.from({ length: TABLED }, (_, i) => {
    const volts = low + ((full.volts - low) * i) / (TABLED - 1);
    const share = Math.min(1, Math.max(0, (full.volts - volts) / (full.volts - worn.volts || 1)));
    const ohms = full.ohms + share * (worn.ohms - full.ohms);
    return { volts, draw: drawAt({ ...full, volts, ohms }) ?? { drain: 0, lamp: 0 } };
  });
  return ({ volts }: SupplyFigures): Draw => {
    const above = rows.findIndex((row) => row.volts >= volts);
    if (above <= 0) return rows[above === 0 ? 0 : TABLED - 1]!.draw;
    const [a, b] = [rows[above - 1]!, rows[above]!];
    const share = (volts - a.volts) / (b.volts - a.volts);
    const mix = (key: keyof Draw) => a.draw[key] + share * (b.draw[key] - a.draw[key]);
    return { drain: mix('drain'), lamp: mix('lamp') };
  };
}

/** Every age with the knobs as they are and where they let most through. */
function worstRows(
  circuit: Circuit,
  supply: SourceChoice,
  sorts: LampSorts,
  asSet: readonly AgeRow[],
): readonly AgeRow[] {
  if (!circuit.parts.some((part) => isKind(part, 'potentiometer'))) return asSet;
  const turnedUp = ageRows(withHeld(circuit, heldToShow(circuit)), supply, sorts);
  return turnedUp.ok ? [...asSet, ...turnedUp.value] : asSet;
}

export interface SumsRequest {
  readonly circuit: Circuit;
  readonly supply: SourceChoice;
  readonly sorts: LampSorts;
  readonly strings: readonly StringSum[];
  readonly ratingShare: number;
  /** Left out, the hours along the discharge are worked out too. */
  readonly brief?: boolean | undefined;
  /** The circuit as it has been observed, where it moves: in brief, that age of the supply is told alone. */
  readonly seen?: Observation | undefined;
  /** In what each lamp is looked at, where that is not the same for all. */
  readonly shows?: Shows | undefined;
  /** What the lesson's own family works out; left out, lamps on resistors. */
  readonly own?: FamilySums | undefined;
}

/** Every age of the supply; in brief, of what takes long to follow, the one that is designed for alone. */
function rowsOf({ circuit, supply, sorts, seen, shows, brief }: SumsRequest): Outcome<AgeRow[]> {
  if (brief && seen?.kind === 'moving') return accepted([rowOf(seen, supply.age, sorts)]);
  if (!brief || !shows) return ageRows(circuit, supply, sorts, shows, seen);
  const row = ageRow(circuit, supply.age, sorts, shows);
  return row.ok ? accepted([row.value]) : row;
}

/** What a battery is taken to be used with, of what the lamps are looked at in: the middle one. */
function livesWith(shows: Shows = {}): Held | undefined {
  const helds = distinct(Object.values(shows));
  return helds[helds.length >> 1];
}

/** The figures that every lesson has, with those of its family. */
export function lessonSums(request: SumsRequest): Outcome<LessonSums> {
  const { circuit, supply, sorts } = request;
  const { shows } = request;
  const ages = rowsOf(request);
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
    life: request.brief ? undefined : lifeOf(withHeld(circuit, livesWith(shows)), supply, sorts),
    ways: [],
    own: request.own ?? { family: 'bank' },
  });
}
