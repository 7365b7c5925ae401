import {
  columnUnit,
  formatPercent,
  figureShown,
  SETTLED,
  type JudgedBench,
  type JudgedPoint,
  type NextOutcome,
  UNITS,
} from '@/core';
import { groupWords } from './causes';
import { capital } from './grammar';
import { pointPhrase } from './points';
import { looksWords } from './seen';

/** How a bench stands and how sure that is, in a sentence or two. */
export function standingWords({ state, tired, risk = 0, open = 0, next }: JudgedBench): string {
  if (state === 'none') return 'Nothing was measured yet.';
  if (tired) return 'Built right: its figures are those of a tired pack.';
  if (state === 'off') return `Off: the chance that this build is right after all is ${shareWords(risk)}.`;
  if (state === 'close') return 'Too close to call: more has to be measured, or looked at again.';
  if (next && open > SETTLED)
    return `Right so far: of benches that read like this ${shareWords(open)} are wrong in a way that something not yet measured would show.`;
  if (next) return 'Right in all that was measured; nobody has looked at the lamps yet.';
  return `Right: of benches that read like this ${shareWords(risk)} are wrong all the same, in ways that no checkpoint shows.`;
}

/** A chance in words; nothing that was computed is certain. */
export function shareWords(share: number): string {
  if (share < 0.001) return `under ${formatPercent(0.001)}`;
  return share > 0.99 ? `over ${formatPercent(0.99)}` : formatPercent(share);
}

/** What one outcome of the next measurement is called: between two figures, or a look. */
export function outcomeWhere({ from, to, looks }: NextOutcome, point: JudgedPoint | undefined): string {
  if (looks) return looksWords(looks);
  if (!point || from === undefined || to === undefined) return '';
  const { name, scale } = columnUnit(UNITS[point.measure] || 'V');
  const [low, high] = [figureShown(from, scale), figureShown(to, scale)];
  return low === high ? `${low} ${name}` : `${low} to ${high} ${name}`;
}

/** What it would mean. */
export function outcomeMeans({ causes }: NextOutcome, points: readonly JudgedPoint[]): string {
  const words = causes.map(({ alike = [], ...cause }) =>
    cause.code === 'right' ? 'as planned' : groupWords([cause, ...alike], points),
  );
  return [...new Set(words)].slice(0, 4).join(', or ');
}

/** The outcomes as they are told: two that read the same to anybody are one. */
export function outcomeRows(
  outcomes: readonly NextOutcome[],
  point: JudgedPoint | undefined,
  points: readonly JudgedPoint[],
): { readonly where: string; readonly means: string; readonly probability: number }[] {
  const rows = new Map<string, NextOutcome>();
  for (const outcome of outcomes) {
    const where = outcomeWhere(outcome, point);
    const known = rows.get(where);
    rows.set(
      where,
      known
        ? {
            ...known,
            probability: known.probability + outcome.probability,
            causes: [...known.causes, ...outcome.causes],
          }
        : outcome,
    );
  }
  return [...rows].map(([where, outcome]) => ({
    where,
    means: outcomeMeans(outcome, points),
    probability: outcome.probability,
  }));
}

/** What to measure next, as a heading. */
export function nextHeading(point: JudgedPoint | undefined): string {
  return point ? `Measure ${pointPhrase(point)}` : capital('look at the lamps');
}
