import type { SourceChoice } from '../../catalogue/supplies';
import { SUPPLIES } from '../../catalogue/supplies';
import { isKind, type Circuit, type PartOf } from '../../circuit/circuit';
import { accepted, finding, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint, Held, Shows } from '../../observe/checkpoint';
import type { Observation } from '../../observe/observation';
import type { Design, Means } from '../pattern';
import type { FamilySums } from '../family';
import { lessonSums, type LessonSums, type StringSum } from './figures';
import { type AgeRow } from './ages';
import type { LampSorts } from './parts';
import { heldToShow, steadyCheckpoints } from './checkpoints';

interface Unfinished {
  readonly circuit: Circuit;
  /** The circuit as its figures are told; left out, as it is drawn. */
  readonly shown?: Circuit;
  readonly supply: SourceChoice;
  readonly sorts: LampSorts;
  readonly strings?: readonly StringSum[];
  readonly checkpoints?: readonly Checkpoint[];
  readonly held?: Held;
  readonly shows?: Shows;
  /** The circuit as it has been observed, where it moves. */
  readonly seen?: Observation;
  readonly findings?: readonly Finding[];
  /** What its family works out; left out, lamps on resistors. */
  readonly own?: FamilySums;
  /** The ways that were compared. */
  readonly ways?: LessonSums['ways'];
}

/** Solves a lesson's circuit and says what every lesson says about it. */
export function finish(unfinished: Unfinished, means: Means): Outcome<Design> {
  const { circuit, supply, sorts, strings = [] } = unfinished;
  const { ratingShare } = means.style;
  const sums = lessonSums({
    circuit: unfinished.shown ?? circuit,
    supply,
    sorts,
    strings,
    ratingShare,
    brief: means.brief,
    shows: unfinished.shows,
    seen: unfinished.seen,
    own: unfinished.own,
  });
  if (!sums.ok) return sums;
  const whole = { ...sums.value, ways: unfinished.ways ?? [] };
  const rated = withRating(circuit, Math.max(whole.rating ?? 1, 0.25));
  return accepted({
    circuit: rated,
    supply,
    sorts,
    checkpoints: unfinished.checkpoints ?? steadyCheckpoints(circuit),
    held: unfinished.held ?? heldToShow(circuit),
    ...(unfinished.shows ? { shows: unfinished.shows } : {}),
    sums: whole,
    findings: [...(unfinished.findings ?? []), ...remarks(whole, means)],
  });
}

function withRating(circuit: Circuit, watts: number): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) =>
      isKind(part, 'resistor')
        ? ({ ...part, params: { ...part.params, watts } } as PartOf<'resistor'>)
        : part,
    ),
  };
}

/** Below this share of the supply, what is left for a resistor lets small spreads move the current far. */
const HEADROOM_SHARE = 0.2;
/** A 20 mm coin cell gives its capacity at fractions of a milliamp; past this it sags within minutes. */
const COIN_AMPS = 5e-3;
/** What a port or rail may be asked for all day; others are limited by what they are. */
const PORT_AMPS: Readonly<Record<string, number>> = { usb: 0.5, 'rail-5v': 0.4, 'rail-3v3': 0.15 };

/** Every lamp where it carries most: at the age that is designed for, with every knob turned up. */
function mostCarried({ design, worst }: LessonSums): AgeRow['lamps'] {
  const rows = [design, ...worst.filter(({ age }) => age === design.age)];
  return design.lamps.map((lamp, i) =>
    rows.reduce((best, row) => (row.lamps[i]!.peak > best.peak ? row.lamps[i]! : best), lamp),
  );
}

function remarks(sums: LessonSums, { shelf, style }: Means): Finding[] {
  const { design, hottest, supply, supplyFigures } = sums;
  const found: Finding[] = [];
  for (const { part, type, amps, peak, share } of mostCarried(sums)) {
    const { absoluteAmps, maxAmps } = shelf.lamps[type];
    const over = { part, amps, limit: maxAmps, share };
    if (peak > absoluteAmps) found.push(finding('will-fail', { ...over, amps: peak }, 'warning'));
    else if (share > 1) found.push(finding('over-current', over, 'warning'));
  }
  const tight = sums.strings.find(({ voltsLeft }) => voltsLeft / supplyFigures.volts < HEADROOM_SHARE);
  if (tight) {
    const share = tight.voltsLeft / supplyFigures.volts;
    found.push(finding('little-headroom', { volts: tight.voltsLeft, share }, 'warning'));
  }
  const warm = hottest.hottest;
  if (warm && warm.watts > 0.25 * style.ratingShare) {
    found.push(finding('runs-hot', { watts: warm.watts, rating: 0.25, part: warm.part }, 'warning'));
  }
  if (supply.kind === 'coin-20mm' && design.amps > COIN_AMPS) {
    found.push(finding('over-drawn-cell', { amps: design.amps }, 'warning'));
  }
  const most = PORT_AMPS[supply.kind];
  if (SUPPLIES[supply.kind].style === 'port' && most !== undefined && design.amps > most) {
    found.push(finding('supply-overloaded', { amps: design.amps, limit: most }, 'warning'));
  }
  for (const origin of ['assumed', 'table'] as const) {
    const types = [...new Set(design.lamps.map((lamp) => lamp.type))];
    const own = types.filter((type) => shelf.lamps[type].origin === origin);
    if (own.length) found.push(finding('assumed-figure', { lamp: own.join('+'), origin }, 'note'));
  }
  return found;
}
