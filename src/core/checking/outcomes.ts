import type { CauseGroup } from './grouped';
import { GLANCE } from './seen';
import type { Candidates } from './weigh';
import type { Look } from '../observe/looks';

/** What one outcome of a measurement would mean: the causes that lead to it. */
export interface NextOutcome {
  /** Between which figures a reading would lie, in SI; a glance has none. */
  readonly from?: number;
  readonly to?: number;
  /** How the lamps would look, where that is what is asked. */
  readonly looks?: Readonly<Record<string, Look>>;
  /** Share of belief that it comes out so. */
  readonly probability: number;
  /** The likeliest cause of each group that leads to it, with those that read alike. */
  readonly causes: readonly (Bare & { readonly alike?: readonly Bare[] })[];
}

type Bare = Pick<CauseGroup['causes'][number], 'code' | 'data' | 'also'>;

/** Groups believed in less are not worth a line. */
const NAMED_FROM = 0.005;
const NAMED_MOST = 6;
/** A reading lies so many deviations about its mean, as one would say it. */
const ABOUT = 2;

/** What the next measurement may show, and what each outcome would mean, from the smallest figure up. */
export function outcomesOf(
  candidates: Candidates,
  groups: readonly CauseGroup[],
  point: string,
): readonly NextOutcome[] {
  const named = groups
    .filter(({ probability, causes }) => probability >= NAMED_FROM && causes[0]!.place !== undefined)
    .slice(0, NAMED_MOST);
  return point === GLANCE ? glances(candidates, named) : readings(candidates, named, point);
}

function readings(candidates: Candidates, groups: readonly CauseGroup[], point: string): NextOutcome[] {
  const { dictionary, widths } = candidates;
  const at = dictionary.points.findIndex(({ id }) => id === point);
  const spans = groups
    .map(({ causes, probability }) => {
      const place = causes[0]!.place!;
      const mean = dictionary.signatures[place]!.means[at]!;
      const width = ABOUT * widths[place]![at]!;
      return { from: mean - width, to: mean + width, probability, causes: [led(causes)] };
    })
    .sort((a, b) => a.from - b.from);
  const found: (typeof spans)[number][] = [];
  for (const span of spans) {
    const last = found[found.length - 1];
    // Spans that overlap by more than half are one outcome: the reading will not part them.
    const shared = last ? Math.min(last.to, span.to) - span.from : 0;
    if (!last || shared < 0.5 * Math.min(last.to - last.from, span.to - span.from)) found.push(span);
    else {
      found[found.length - 1] = {
        from: last.from,
        to: Math.max(last.to, span.to),
        probability: last.probability + span.probability,
        causes: [...last.causes, ...span.causes],
      };
    }
  }
  return found;
}

function glances({ dictionary, glances: numbers }: Candidates, groups: readonly CauseGroup[]): NextOutcome[] {
  const found = new Map<number, NextOutcome>();
  for (const { causes, probability } of groups) {
    const place = causes[0]!.place!;
    const before = found.get(numbers[place]!);
    found.set(numbers[place]!, {
      looks: dictionary.signatures[place]!.looks,
      probability: probability + (before?.probability ?? 0),
      causes: [...(before?.causes ?? []), led(causes)],
    });
  }
  return [...found.values()].sort((a, b) => b.probability - a.probability);
}

function led([first, ...alike]: CauseGroup['causes']): NextOutcome['causes'][number] {
  return { ...bare(first!), ...(alike.length > 0 ? { alike: alike.map(bare) } : {}) };
}

function bare({ code, data, also }: Bare): Bare {
  return { code, data, ...(also ? { also } : {}) };
}
