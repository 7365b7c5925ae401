import type { SourceChoice } from '../../catalogue/supplies';
import { isKind, type Circuit } from '../../circuit/circuit';
import { isSource } from '../../circuit/source';
import { finding, type Finding, type Outcome } from '../../findings/finding';
import type { Means } from '../pattern';
import { lessonSums } from './figures';
import { ageRow, type AgeRow } from './ages';
import type { LampSorts } from './parts';
import type { Way, WayFigures, WayKind } from './way';

export interface WayRequest {
  readonly kind: WayKind;
  readonly length: number;
  readonly supply: SourceChoice;
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
}

/** Solves one way and judges it: every lamp lit from fresh to tired, none above its limit. */
export function judgeWay({ kind, length, supply, circuit, sorts }: WayRequest, means: Means): Way {
  const base = { kind, length, supply, taken: false };
  const { ratingShare } = means.style;
  const sums = lessonSums({ circuit, supply, sorts, strings: [], ratingShare, brief: means.brief });
  if (!sums.ok) return { ...base, works: false, why: sums.findings };
  const { ages } = sums.value;
  const [fresh, tired] = [ages[0]!, ages[ages.length - 1]!];
  const why = objections(sums.value.design, [fresh, tired]);
  const parts = circuit.parts.filter(({ id }) => !isSource(circuit, id));
  const figures: WayFigures = {
    lamps: fresh.lamps.length,
    litFresh: litIn(fresh),
    litTired: litIn(tired),
    amps: sums.value.design.amps,
    lostWatts: sums.value.design.lostWatts,
    hours: sums.value.life?.useful,
    kept: keptShare(circuit, sums.value.design, tired, sorts),
    parts: parts.length,
    cents: priceOf(circuit, sorts, means),
  };
  return { ...base, works: why.length === 0, why, figures };
}

/** A way that the sum itself refuses. */
export function unmetWay(
  kind: WayKind,
  length: number,
  supply: SourceChoice,
  refusal: Outcome<unknown>,
): Way {
  return { kind, length, supply, taken: false, works: false, why: refusal.findings };
}

function litIn(row: AgeRow): number {
  return row.lamps.filter(({ brightness }) => !DARK.has(brightness)).length;
}

const DARK: ReadonlySet<string> = new Set(['dark', 'barely']);

function objections(design: AgeRow, rows: readonly AgeRow[]): Finding[] {
  const all = rows.flatMap((row) => row.lamps);
  const over = all.filter(({ share }) => share > 1);
  const dark = new Set(all.filter(({ brightness }) => DARK.has(brightness)).map(({ part }) => part));
  const found: Finding[] = [];
  if (dark.size > 0 || over.length > 0) {
    const lamps = design.lamps.map(({ part, type, amps }) => ({ part, type, amps }));
    found.push(
      finding(
        'unequal-lamps',
        { lamps, dark: dark.size, over: new Set(over.map((l) => l.part)).size },
        'warning',
      ),
    );
  }
  return found;
}

function priceOf(circuit: Circuit, sorts: LampSorts, { cents }: Means): number | undefined {
  let sum = 0;
  for (const part of circuit.parts) {
    const key = isKind(part, 'resistor')
      ? `resistor ${part.params.ohms}`
      : isKind(part, 'led')
        ? `led ${sorts[part.id]}`
        : undefined;
    if (key === undefined) continue;
    const price = cents?.[key];
    if (price === undefined) return undefined;
    sum += price;
  }
  return sum;
}

/** A way that a weak pack or another batch leaves with less than this share of its current is not steady. */
export const KEPT_LEAST = 0.5;

/** The least share of its current that any lamp keeps: off a tired supply, and with every lamp of the batch at its end. */
function keptShare(circuit: Circuit, design: AgeRow, tired: AgeRow, sorts: LampSorts): number {
  const batch = (end: 'vfLow' | 'vfHigh') => {
    const parts = circuit.parts.map((part) =>
      isKind(part, 'led') ? { ...part, params: { ...part.params, vf: part.params[end] } } : part,
    );
    return ageRow({ ...circuit, parts }, design.age, sorts);
  };
  const [low, high] = [batch('vfLow'), batch('vfHigh')];
  const shares = design.lamps.flatMap(({ amps }, i) => {
    if (amps < 1e-4) return [];
    const weak = tired.lamps[i]!.amps / amps;
    const less = high.ok ? high.value.lamps[i]!.amps / amps : 0;
    const more = low.ok ? amps / low.value.lamps[i]!.amps : 0;
    return [weak, less, more];
  });
  return shares.length ? Math.max(0, Math.min(...shares)) : 0;
}

/**
 * The way to take by itself: all lamps lit, then one that keeps at least half of its light from any pack and batch, then
 * least current, then fewest parts.
 */
export function bestWay(ways: readonly Way[]): Way | undefined {
  const works = ways.filter((way) => way.works && way.figures);
  const steady = works.filter(({ figures }) => figures!.kept >= KEPT_LEAST);
  const among = steady.length ? steady : works;
  const best = among.reduce<Way | undefined>(
    (least, way) => (!least || rank(way) < rank(least) ? way : least),
    undefined,
  );
  if (!best) return undefined;
  const drawsLeast = works.every((way) => rank(best) <= rank(way));
  return { ...best, best: works.length === 1 ? 'only' : drawsLeast ? 'least' : 'keeps' };
}

function rank({ figures }: Way): number {
  return figures!.amps * 1000 + 0.01 * figures!.parts;
}
