import type { Look } from '../observe/looks';
import type { FaultCode, FaultData } from '../parts/mistake';
import { eachOf, type Signature } from './dictionary';
import { indistinct, type Candidates } from './weigh';

export interface Cause {
  readonly code: FaultCode;
  readonly data: FaultData;
  /** A second thing that is wrong at the same bench. */
  readonly also?: { readonly code: FaultCode; readonly data: FaultData };
  /** Share of belief after the readings. */
  readonly probability: number;
  /** Its place among the candidates; undefined for something else. */
  readonly place?: number;
}

/** Causes that neither a checkpoint nor a glance can tell apart, the likeliest first. */
export interface CauseGroup {
  readonly causes: readonly Cause[];
  readonly probability: number;
  /** What each checkpoint would read under the likeliest of them, in their order, and how far a reading may lie from it. */
  readonly reads?: readonly { readonly mean: number; readonly width: number }[];
  /** How the lamps would look. */
  readonly looks?: Readonly<Record<string, Look>>;
}

/** The group with what its likeliest cause would show. */
export function shownWith({ dictionary, widths }: Candidates, group: CauseGroup): CauseGroup {
  const { place } = group.causes[0]!;
  const signature = place === undefined ? undefined : dictionary.signatures[place];
  if (!signature) return group;
  const reads = signature.means.map((mean, i) => ({ mean: brief(mean), width: brief(widths[place!]![i]!) }));
  return { ...group, reads, looks: signature.looks };
}

function brief(value: number): number {
  return Number(value.toPrecision(6));
}

/** Candidates below this share of belief change nothing that is named. */
const BELIEVED_FROM = 1e-6;
const LISTED_FROM = 1e-4;

/** The candidates from the likeliest down. */
export function grouped(candidates: Candidates, beliefs: readonly number[]): CauseGroup[] {
  const { signatures } = candidates.dictionary;
  const groups: { lead: number | undefined; causes: Cause[]; probability: number }[] = [];
  const order = beliefs
    .map((_, i) => i)
    .filter((i) => beliefs[i]! > BELIEVED_FROM)
    .sort((a, b) => beliefs[b]! - beliefs[a]!);
  for (const place of order) {
    const probability = beliefs[place]!;
    const signature = signatures[place];
    if (!signature) {
      groups.push({
        lead: undefined,
        causes: [{ code: 'something-else', data: {}, probability }],
        probability,
      });
      continue;
    }
    const { code, data, also } = signature;
    const cause: Cause = { code, data, ...(also ? { also } : {}), probability, place };
    const same = groups.find(
      ({ lead, causes }) =>
        lead !== undefined && (oneCause(causes[0]!, cause) || indistinct(candidates, lead, place)),
    );
    if (!same) groups.push({ lead: place, causes: byName(cause, signature), probability });
    else {
      // One knob at two places is one cause: the likelier place speaks for both.
      const known = same.causes.some((one) => oneCause(one, cause));
      if (probability > LISTED_FROM && !known) same.causes.push(...byName(cause, signature));
      same.probability += probability;
    }
  }
  return groups
    .sort((a, b) => b.probability - a.probability)
    .map(({ causes, probability }) => ({ causes, probability }));
}

/** A cause, and each mistake that makes the same circuit, with its share of the belief. */
export function byName(cause: Cause, signature: Signature): Cause[] {
  if (!signature.alike) return [cause];
  return eachOf(signature).map(({ code, data, prior }) => ({
    ...cause,
    code,
    data,
    probability: (cause.probability * prior) / signature.prior,
  }));
}

/** Places of one knob and stages of one battery are one cause in several strengths. */
const IN_DEGREES: ReadonlySet<FaultCode> = new Set(['knob-elsewhere', 'supply-used']);

function oneCause(one: Cause, other: Cause): boolean {
  return (
    one.code === other.code &&
    one.data.part === other.data.part &&
    IN_DEGREES.has(one.code) &&
    !one.also &&
    !other.also
  );
}
