import { brightnessAt, type Brightness } from '../../catalogue/brightness';
import type { LampType } from '../../catalogue/lamps';
import { agesOf, type Age, type SourceChoice } from '../../catalogue/supplies';
import { isKind, type Circuit } from '../../circuit/circuit';
import { sourceOf } from '../../circuit/source';
import { accepted, type Outcome } from '../../findings/finding';
import type { Held, Shows } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { lampsSeen } from '../../observe/looks';
import type { Observation } from '../../observe/observation';
import { observe, reportOf } from '../../observe/observe';
import type { Amps, Volts, Watts } from '../../quantities/units';
import { atAge, type LampSorts } from './parts';

export interface LampFigure {
  readonly part: string;
  readonly type: LampType;
  /** What the eye goes by: of pulses too fast to be seen the mean, of a light that comes and goes what it carries while it is lit. */
  readonly amps: Amps;
  /** The most that it carries at any instant. */
  readonly peak: Amps;
  readonly volts: Volts;
  readonly brightness: Brightness;
  /** Of the lamp's continuous maximum. */
  readonly share: number;
  /** How often it comes on, of one that blinks. */
  readonly hertz?: number;
}

/** A circuit at one age of its supply, solved. */
export interface AgeRow {
  readonly age: Age;
  /** At the supply's own terminals. */
  readonly supplyVolts: Volts;
  readonly amps: Amps;
  readonly lamps: readonly LampFigure[];
  /** Heat in everything but lamps, chips and the supply itself. */
  readonly lostWatts: Watts;
  readonly hottest?: {
    readonly part: string;
    readonly watts: Watts;
    readonly volts: Volts;
    readonly amps: Amps;
  };
}

/**
 * A circuit off its supply at every age.
 *
 * @param seen the circuit at the age that is designed for, where it has been observed
 */
export function ageRows(
  circuit: Circuit,
  choice: SourceChoice,
  sorts: LampSorts,
  shows?: Shows,
  seen?: Observation,
): Outcome<AgeRow[]> {
  const rows: AgeRow[] = [];
  for (const age of agesOf(choice)) {
    const known = age === choice.age && !shows ? seen : undefined;
    const row = known
      ? accepted(rowOf(known, age, sorts))
      : ageRow(atAge(circuit, choice, age), age, sorts, shows);
    if (!row.ok) return row;
    rows.push(row.value);
  }
  return accepted(rows);
}

export function ageRow(circuit: Circuit, age: Age, sorts: LampSorts, shows: Shows = {}): Outcome<AgeRow> {
  const helds = distinct(Object.values(shows));
  if (helds.length === 0) {
    const outcome = observe(circuit);
    return outcome.ok ? accepted(rowOf(outcome.value, age, sorts)) : outcome;
  }
  const rows: { held: Held; row: AgeRow }[] = [];
  for (const held of helds) {
    const outcome = observe(withHeld(circuit, held));
    if (!outcome.ok) return outcome;
    rows.push({ held, row: rowOf(outcome.value, age, sorts) });
  }
  return accepted(together(rows, shows));
}

/** Each lamp as it is where it is looked at; of all else the most that it comes to. */
function together(rows: readonly { held: Held; row: AgeRow }[], shows: Shows): AgeRow {
  const most = (of: (row: AgeRow) => number) =>
    rows.reduce((best, { row }) => (of(row) > of(best) ? row : best), rows[0]!.row);
  const heaviest = most(({ amps }) => amps);
  const { hottest } = most((row) => row.hottest?.watts ?? 0);
  return {
    ...heaviest,
    ...(hottest ? { hottest } : {}),
    lostWatts: most(({ lostWatts }) => lostWatts).lostWatts,
    lamps: heaviest.lamps.map((lamp, i) => {
      const own = rows.find(({ held }) => sameHeld(held, shows[lamp.part]));
      return (own?.row ?? heaviest).lamps[i]!;
    }),
  };
}

function sameHeld(one: Held, other: Held | undefined): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** The ways of holding a build, each once. */
export function distinct(helds: readonly Held[]): Held[] {
  return helds.filter((held, i) => helds.findIndex((other) => sameHeld(held, other)) === i);
}

export function rowOf(seen: Observation, age: Age, sorts: LampSorts): AgeRow {
  const { circuit } = seen;
  const looks = new Map(lampsSeen(seen).map((lamp) => [lamp.part, lamp]));
  const lamps = circuit.parts.flatMap((part): LampFigure[] => {
    if (!isKind(part, 'led')) return [];
    const { volts } = reportOf(seen, part.id);
    const look = looks.get(part.id)!;
    const [amps, peak] =
      seen.kind === 'moving'
        ? [look.glow, look.peak]
        : [reportOf(seen, part.id).amps, reportOf(seen, part.id).amps];
    const share = amps / part.params.maxAmps;
    const brightness = brightnessAt(Math.max(0, amps), part.params.maxAmps);
    const type = sorts[part.id] ?? 'red';
    const often = look.hertz === undefined ? {} : { hertz: look.hertz };
    return [{ part: part.id, type, amps, peak, volts, brightness, share, ...often }];
  });
  const supply = sourceOf(circuit);
  const warm = circuit.parts
    .filter((part) => WARM.has(part.kind))
    .map(({ id }) => ({ part: id, ...reportOf(seen, id) }));
  const hottest = warm.reduce<(typeof warm)[0] | undefined>(
    (best, part) => (!best || part.watts > best.watts * (1 + 1e-9) ? part : best),
    undefined,
  );
  return {
    age,
    supplyVolts: supply ? reportOf(seen, supply.id).volts : 0,
    amps: supply ? -reportOf(seen, supply.id).amps : 0,
    lamps,
    lostWatts: circuit.parts
      .filter((part) => LOSES.has(part.kind))
      .reduce((sum, { id }) => sum + reportOf(seen, id).watts, 0),
    ...(hottest ? { hottest } : {}),
  };
}

const WARM: ReadonlySet<string> = new Set(['resistor', 'potentiometer', 'zener']);
/** What turns power into heat and nothing else. */
const LOSES: ReadonlySet<string> = new Set([...WARM, 'transistor', 'ldr', 'diode', 'pin']);
