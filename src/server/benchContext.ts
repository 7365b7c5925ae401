import {
  isEmptyContext,
  isKind,
  reportOf,
  type BenchContext,
  type LampType,
  type Outcome,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { Refusal } from './failures';
import { expectationOfSheet, type Watched } from './givenLesson';
import { carefulRequest, sheetOf, sheetSurroundings } from './lessonSheet';
import { contextsOf, keepContexts, type HeldContext } from './repositories/benchContexts';
import { underEarlierIds } from './repositories/keptExpectation';
import { group } from './repositories/groups';
import { lesson } from './repositories/lessons';
import { session } from './repositories/sessions';
import { inThread } from './work/pool';

/** What may be said to be different on a bench. */
export interface ContextChoices {
  readonly resistors: readonly { readonly id: string; readonly ohms: number }[];
  /** Sorts of lamps, with the current at which one of them stands in the right build. */
  readonly lamps: readonly {
    readonly sort: LampType;
    readonly ids: readonly string[];
    readonly amps: number;
  }[];
}

/** A sheet and what it was asked by. */
interface Behind {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly lessonVersion: number;
}

/**
 * The lesson that a session is judged by.
 *
 * @throws Refusal where it was changed since, or does not work any more
 */
export async function lessonOfSession(
  sessionId: number,
): Promise<Behind & { expectation: SessionExpectation }> {
  const { lessonId, expectation, summary } = await session(sessionId);
  const now = await lesson(lessonId);
  if (now.version !== summary.lessonVersion)
    throw new Refusal('The lesson was changed since this session was set up: take its newest figures first.');
  const request = carefulRequest(now, await sheetSurroundings());
  const made = await sheetOf(request);
  if (!made.ok) throw new Refusal('The lesson has no circuit that works any more.');
  return { sheet: made.value, request, expectation, lessonVersion: now.version };
}

/** Where a lamp's current is not known, it is measured at this. */
const USUAL_AMPS = 0.01;

export async function contextChoices(sessionId: number): Promise<ContextChoices> {
  const { sheet } = await lessonOfSession(sessionId);
  const { parts } = sheet.circuit;
  const sorts = [...new Set(Object.values(sheet.sorts))];
  return {
    resistors: parts.flatMap((part) =>
      isKind(part, 'resistor') ? [{ id: part.id, ohms: part.params.ohms }] : [],
    ),
    lamps: sorts.map((sort) => {
      const ids = parts.filter(({ id }) => sheet.sorts[id] === sort).map(({ id }) => id);
      const { seen } = sheet.built;
      const amps = seen?.kind === 'still' && ids[0] ? reportOf(seen, ids[0]).amps : 0;
      return { sort, ids, amps: amps > 1e-4 ? amps : USUAL_AMPS };
    }),
  };
}

/** Works out what benches are judged by for what is different there, and keeps both. */
export async function keepBenchContexts(
  sessionId: number,
  contexts: readonly HeldContext[],
  watched: Watched = {},
): Promise<Outcome<null>> {
  const { sheet, request, expectation, lessonVersion } = await lessonOfSession(sessionId);
  const found = await expectationsAsFound({ sheet, request }, expectation, contexts, watched);
  if (!found.ok) return found;
  const expectations = found.value;
  watched.signal?.throwIfAborted();
  await keepContexts(
    sessionId,
    lessonVersion,
    contexts.map((one) => ({ ...one, expectation: expectations.get(one.studentId) })),
  );
  return { ok: true, value: null, findings: [] };
}

/**
 * What benches are judged by for what is different there, each way of being different worked out once.
 *
 * @param before what the session is judged by: its readings carry these checkpoints' names
 */
export async function expectationsAsFound(
  { sheet, request }: Pick<Behind, 'sheet' | 'request'>,
  before: SessionExpectation,
  contexts: readonly HeldContext[],
  { tell = () => undefined, signal }: Watched = {},
): Promise<Outcome<ReadonlyMap<number, SessionExpectation>>> {
  const stopped = signal ? { signal } : {};
  const different = contexts.filter(({ context }) => !isEmptyContext(context));
  const ways = [...new Set(different.map(({ context }) => wayOf(context)))];
  const made = new Map<string, SessionExpectation>();
  for (const [i, way] of ways.entries()) {
    const { context } = different.find((one) => wayOf(one.context) === way)!;
    const there = await inThread('asFound', { sheet, request, context }, stopped);
    if (!there.ok) return there;
    const share = (done: number) => tell((i + done) / ways.length);
    const own = await expectationOfSheet(there.value.sheet, there.value.request, share, stopped);
    made.set(way, underEarlierIds(own, before));
  }
  return {
    ok: true,
    value: new Map(different.map(({ studentId, context }) => [studentId, made.get(wayOf(context))!])),
    findings: [],
  };
}

function wayOf({ ohms, lamps, meter }: BenchContext): string {
  const sorted = (record: object) => Object.entries(record).sort(([a], [b]) => a.localeCompare(b));
  return JSON.stringify([sorted(ohms), sorted(lamps), meter]);
}

/** One bench's context, and those of all others with the same lamps. */
export async function withBatch(sessionId: number, own: HeldContext): Promise<HeldContext[]> {
  const [{ groupId }, held] = await Promise.all([session(sessionId), contextsOf(sessionId)]);
  const { students } = await group(groupId);
  const others = students.filter(({ id, archivedAt }) => id !== own.studentId && archivedAt === null);
  return [
    own,
    ...others.map(({ id }): HeldContext => {
      const { context, version } = held.find(({ studentId }) => studentId === id) ?? NOTHING_YET;
      return {
        studentId: id,
        version,
        context: { ...context, lamps: { ...context.lamps, ...own.context.lamps } },
      };
    }),
  ];
}

const NOTHING_YET = { context: { ohms: {}, lamps: {} }, version: 0 } as const;
