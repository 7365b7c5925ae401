import { rangesNoted, readingAsNoted, type MeterReading } from '../catalogue/meter';
import type { Diagnosis } from './diagnosis';
import { asCounted, measuredAt } from './dictionary';
import { RIGHT_STATES } from './faults/fault';
import { byName, grouped, shownWith, type Cause, type CauseGroup } from './grouped';
import { meterLimits, type Taken } from './likelihood';
import { nextMeasurement, type Next } from './next';
import { outcomesOf } from './outcomes';
import { withPairs } from './pairs';
import { isPlacedWord } from './placed';
import { GLANCE, lookLikelihood, type SeenLook } from './seen';
import type { SessionExpectation } from './session';
import { judge, type Verdict, type VerdictName } from './verdict';
import { alikeAt, candidatesOf, weigh, type Candidates, type Evidence } from './weigh';

/** A figure as it was noted at one checkpoint of a bench. */
export interface Noted {
  readonly point: string;
  readonly value: number;
  /** The last digit noted, in SI. */
  readonly step: number;
}

/** What counts of one bench: its newest figures, and how its lamps looked at the newest glance. */
export interface BenchRead {
  readonly noted: readonly Noted[];
  readonly looks: readonly SeenLook[];
}

export interface JudgedBench {
  readonly verdicts: Readonly<Record<string, Verdict>>;
  readonly state: VerdictName | 'none';
  /** Built right, with a pack that is tired: `state` is what the house takes that for. */
  readonly tired?: boolean;
  /** Chance that the state is not what it says, by all that was measured and seen. */
  readonly risk?: number;
  /**
   * Of a right bench: the chance that it is wrong in a way that something not yet measured or seen would show. Above
   * `SETTLED` it is right only so far.
   */
  readonly open?: number;
  /** What is expected to tell most next, while the bench is not settled. */
  readonly next?: Next;
  /** What is likely wrong and what to measure next; for a right bench, only where its knob or pack stand elsewhere. */
  readonly diagnosis?: Diagnosis;
}

/** The verdict on one reading, with the meter's range told by what was noted; undefined at an unknown checkpoint. */
export function judgeReading(
  { expected, dictionary, meter }: SessionExpectation,
  { point, value: noted, step }: Noted,
): { readonly verdict: Verdict; readonly taken: Taken } | undefined {
  const index = dictionary.points.findIndex(({ id }) => id === point);
  const band = expected.points[index];
  if (!band) return undefined;
  const judged = dictionary.points[index]!;
  const measured = measuredAt(judged);
  const value = asCounted(judged, noted);
  const ranges = rangesNoted(meter, judged.ranges ?? [], value, step);
  if (ranges.length === 0) {
    const reading = readingAsNoted(meter, measured, value, step, judged.usual);
    return {
      verdict: counting(judge(reading, band, meter, measured), value, noted),
      taken: { point: index, value, ...meterLimits(meter, measured, reading) },
    };
  }
  const ways = ranges.map((range) => {
    const reading: MeterReading = { value, step, range };
    const share = band.ranges?.find((one) => one.range === range)?.share ?? 1;
    const there = { low: band.low * share, high: band.high * share };
    return {
      verdict: counting(judge(reading, there, meter, measured), value / share, noted),
      range: judged.ranges!.indexOf(range),
      ...meterLimits(meter, measured, reading),
    };
  });
  const { gain, own } = ways[0]!;
  return {
    verdict: bestOf(ways.map(({ verdict }) => verdict)),
    taken: { point: index, value, gain, own, ways: ways.map((way) => ({ range: way.range, own: way.own })) },
  };
}

function counting(verdict: Verdict, counted: number, noted: number): Verdict {
  return counted === noted ? verdict : { ...verdict, counted };
}

const BEST_FIRST: readonly VerdictName[] = ['right', 'close', 'off'];

/** Of the verdicts on every range that a figure may have been read on: what is right on one of them is right. */
function bestOf(verdicts: readonly Verdict[]): Verdict {
  const rank = ({ verdict }: Verdict) => BEST_FIRST.indexOf(verdict);
  return verdicts.reduce((best, one) => (rank(one) < rank(best) ? one : best));
}

/** Every single mistake that the lesson knows, by itself. */
export function mistakesIn({ dictionary }: Pick<SessionExpectation, 'dictionary'>): readonly Cause[] {
  return dictionary.signatures.flatMap((signature, place) => {
    const { code, data, also, prior } = signature;
    return also || RIGHT_STATES.has(code) ? [] : byName({ code, data, probability: prior, place }, signature);
  });
}

/** Belief in builds that agree with the plan in all that was taken, from which and to which a bench is right, or off. */
const RIGHT_FROM = 0.6;
const OFF_TO = 0.05;
/** Chance of a mistake not yet looked for up to which a right bench is settled. */
export const SETTLED = 0.01;
/** Belief in a tired pack from which it is named, where a nearly used one is as likely. */
const TIRED_FROM = 0.2;
/** A look that goes so badly with a right build has to be looked at again, whatever the meter says. */
const CONTRARY = Math.log(0.025);
const ODD = Math.log(0.1);
/** Groups below this share of belief are not named. */
const NAMED_FROM = 0.03;
/** A cause believed in like this needs no further measuring. */
const SURE_CAUSE = 0.95;

/**
 * Judges a bench as a whole: by all its readings together and what was seen there. One reading at the edge of its band
 * is a close call by itself; with the others it may be plain enough. A knob that stands elsewhere and a part-used pack
 * are states of a right build.
 */
export function judgeBench(
  session: SessionExpectation,
  noted: readonly Noted[],
  looks: readonly SeenLook[] = [],
): JudgedBench {
  const verdicts: Record<string, Verdict> = {};
  const taken: Taken[] = [];
  for (const reading of noted) {
    const judged = judgeReading(session, reading);
    if (!judged) continue;
    verdicts[reading.point] = judged.verdict;
    taken.push(judged.taken);
  }
  const evidence = { taken, looks };
  const { candidates: singles, first } = known(session);
  if (taken.length + looks.length === 0)
    return { verdicts, state: 'none', ...(first ? { next: first } : {}) };
  const alone = weigh(singles, evidence);
  const candidates = withPairs(singles, alone, evidence);
  const beliefs = candidates === singles ? alone : weigh(candidates, evidence);
  const shares = sharesOf(candidates, beliefs, evidence);
  const next = nextMeasurement(candidates, beliefs, evidence);
  const plain = stateOf(candidates, shares, looks, next !== undefined);
  const { tiredPack } = session;
  const tired = plain !== 'right' && tiredPack !== undefined && isTired(candidates, beliefs, shares, looks);
  const state = tired ? tiredPack : plain;
  const weighed = { candidates, evidence, shares, groups: grouped(candidates, beliefs) };
  return {
    verdicts,
    state,
    ...(tired ? { tired } : {}),
    ...(state === 'right' && !tired ? ofRight(weighed, next) : ofWrong(weighed, state, next)),
  };
}

/** Whether it is built right and works, and nothing but a tired pack explains it. */
function isTired(
  candidates: Candidates,
  beliefs: readonly number[],
  { right }: Shares,
  looks: readonly SeenLook[],
): boolean {
  const { signatures } = candidates.dictionary;
  const place = signatures.findIndex(({ code, also }) => code === 'supply-tired' && !also);
  const weak = signatures[place];
  if (!weak) return false;
  const works = Object.entries(candidates.right.looks).every(
    ([lamp, look]) => look === 'dark' || (weak.looks[lamp] ?? 'dark') !== 'dark',
  );
  const odd = looks.some((look) => lookLikelihood(weak, candidates.right, [look]) < CONTRARY);
  const belief = beliefs[place]!;
  return works && !odd && belief >= TIRED_FROM && belief + right >= RIGHT_FROM;
}

/** All that is believed of one bench. */
interface Weighed {
  readonly candidates: Candidates;
  readonly evidence: Evidence;
  readonly shares: Shares;
  readonly groups: readonly CauseGroup[];
}

type Told = Omit<JudgedBench, 'verdicts' | 'state'>;

/** @param more whether anything is left that would tell more */
function stateOf(
  { right }: Candidates,
  shares: Shares,
  looks: readonly SeenLook[],
  more: boolean,
): VerdictName {
  const { agreeing } = shares;
  if (agreeing <= OFF_TO) return 'off';
  const worst = Math.min(0, ...looks.map((look) => lookLikelihood(right, right, [look])));
  // A lamp that looks odd keeps a bench from being called right until what is measured leaves nothing open, or all is.
  const odd = worst < CONTRARY || (worst < ODD && more && openOf(shares) > SETTLED);
  return agreeing >= RIGHT_FROM && !odd ? 'right' : 'close';
}

/** Belief in mistakes that something left would still show. */
function openOf({ right, hidden }: Shares): number {
  return Math.max(0, 1 - right - hidden);
}

/** Of a right bench: whether it is settled, and what would settle it; where its pack or knob stand elsewhere, that. */
function ofRight({ candidates, evidence, shares, groups }: Weighed, next: Next | undefined): Told {
  const open = openOf(shares);
  const unseen =
    evidence.looks.every(({ word }) => isPlacedWord(word)) && Object.keys(candidates.right.looks).length > 0;
  const more = open > SETTLED && next ? next : unseen ? { point: GLANCE, bits: 0 } : undefined;
  const wanted = more ? { next: told(candidates, groups, more) } : {};
  const asPlanned = groups[0]?.causes[0]?.code === 'right';
  const diagnosis = asPlanned ? {} : { diagnosis: { ...namedIn(candidates, groups), ...wanted } };
  return { risk: 1 - shares.right, open, ...wanted, ...diagnosis };
}

function ofWrong({ candidates, shares, groups }: Weighed, state: VerdictName, next: Next | undefined): Told {
  const { right } = shares;
  const wanted = next && !isFound(groups) ? { next: told(candidates, groups, next) } : {};
  const risk = state === 'off' ? right : Math.min(right, 1 - right);
  return { risk, ...wanted, diagnosis: { ...namedIn(candidates, groups), ...wanted } };
}

/** The lamps that one looks at, by their ids. */
export function lampsIn({ dictionary: { signatures } }: SessionExpectation): string[] {
  return Object.keys(signatures.find(({ code }) => code === 'right')?.looks ?? {});
}

/** All that somebody who compares a bench with its plan may say differs, by its name. */
export function partsIn({ dictionary: { points, signatures } }: SessionExpectation): string[] {
  const named = signatures.flatMap(({ data: { part } }) => (part === undefined ? [] : [part]));
  return [...new Set([...points.map(({ part }) => part), ...named])];
}

function namedIn(candidates: Candidates, groups: readonly CauseGroup[]): Pick<Diagnosis, 'groups' | 'lead'> {
  const named = groups.filter(({ probability }) => probability >= NAMED_FROM);
  return {
    groups: named.map((group) => shownWith(candidates, group)),
    lead: groups.length > 1 ? groups[0]!.probability / groups[1]!.probability : Infinity,
  };
}

interface Known {
  readonly candidates: Candidates;
  /** What to measure first on any bench. */
  readonly first: Next | undefined;
}

const sessions = new WeakMap<SessionExpectation, Known>();

/** What a session's candidates need again and again is worked out once. */
function known(session: SessionExpectation): Known {
  const before = sessions.get(session);
  if (before) return before;
  const candidates = candidatesOf(session.dictionary, session.meter);
  const nothing = { taken: [], looks: [] };
  const first = nextMeasurement(candidates, weigh(candidates, nothing), nothing);
  const now = { candidates, first };
  sessions.set(session, now);
  return now;
}

export function candidatesIn(session: SessionExpectation): Candidates {
  return known(session).candidates;
}

/** The next measurement with what each of its outcomes would mean. */
function told(candidates: Candidates, groups: readonly CauseGroup[], next: Next): Next {
  return { ...next, outcomes: outcomesOf(candidates, groups, next.point) };
}

function isFound(groups: readonly CauseGroup[]): boolean {
  const [first] = groups;
  if (!first || first.probability < SURE_CAUSE) return false;
  const { code } = first.causes[0]!;
  // Where an odd look alone speaks against a right build, what would settle that is still asked for.
  return code !== 'something-else' && !RIGHT_STATES.has(code);
}

interface Shares {
  /** Belief in a right build, whatever its knob, its button and its pack. */
  readonly right: number;
  /** The same, with the mistakes that show in nothing that was taken so far. */
  readonly agreeing: number;
  /** Belief in mistakes that nothing at all would show. */
  readonly hidden: number;
}

function sharesOf(candidates: Candidates, beliefs: readonly number[], { taken, looks }: Evidence): Shares {
  const { signatures } = candidates.dictionary;
  const plan = signatures.indexOf(candidates.right);
  const points = taken.map(({ point }) => point);
  const shares = { right: 0, agreeing: 0, hidden: 0 };
  signatures.forEach((signature, i) => {
    const belief = beliefs[i]!;
    if (RIGHT_STATES.has(signature.code) && !signature.also) {
      shares.right += belief;
      shares.agreeing += belief;
      return;
    }
    const alike = candidates.glances[i] === candidates.glances[plan];
    if ((looks.length === 0 || alike) && alikeAt(candidates, i, plan, points)) {
      shares.agreeing += belief;
      if (alike && alikeAt(candidates, i, plan)) shares.hidden += belief;
    }
  });
  return shares;
}
