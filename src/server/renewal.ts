import type { Band, JudgedBench, SessionExpectation, Sheet } from '@/core';
import { pointName } from '@/messages/points';
import { checkBook } from './checkBook';
import { judgeBy } from './judging/judgeBy';
import { workOutFor, type Watched } from './givenLesson';
import { mendedIn } from './repositories/foundFaults';
import { expectationsAsFound } from './benchContext';
import { contextsOf, expectationsOf } from './repositories/benchContexts';
import { underEarlierIds } from './repositories/keptExpectation';
import type { Session, SessionSummary } from './repositories/sessions';
import type { Outcome } from '@/core';

/** What would be judged otherwise if a session took its lesson's newest figures. */
export interface RenewalChanges {
  /** Version of the session that this was worked out from. */
  readonly version: number;
  readonly points: readonly {
    readonly name: string;
    readonly unit: Band['unit'];
    readonly before?: { readonly low: number; readonly high: number };
    readonly after?: { readonly low: number; readonly high: number };
  }[];
  readonly benches: readonly {
    readonly bench: number;
    readonly nickname: string;
    readonly before: JudgedBench['state'];
    readonly after: JudgedBench['state'];
  }[];
}

interface Renewed {
  readonly expectation: SessionExpectation;
  /** By student, of the benches on which something is different. */
  readonly asFound: ReadonlyMap<number, SessionExpectation>;
  readonly summary: SessionSummary;
  /** The sheet of the lesson as it is now: its card. */
  readonly sheet: Sheet;
}

/** The session's lesson as it is now, under the names that the session's readings carry. */
export async function renewedFor(held: Session, watched: Watched = {}): Promise<Outcome<Renewed>> {
  const made = await workOutFor(held.lessonId, held.groupId, watched);
  if (!made.ok) return made;
  const { summary, sheet } = made.value;
  const expectation = underEarlierIds(made.value.expectation, held.expectation);
  const stopped = watched.signal ? { signal: watched.signal } : {};
  const asFound = await expectationsAsFound(made.value, held.expectation, await contextsOf(held.id), stopped);
  if (!asFound.ok) return asFound;
  return {
    ok: true,
    value: { expectation, asFound: asFound.value, summary, sheet },
    findings: made.findings,
  };
}

export async function renewalChanges(
  sessionId: number,
  watched: Watched = {},
): Promise<Outcome<RenewalChanges>> {
  const { session: held, students, readings } = await checkBook(sessionId);
  const renewed = await renewedFor(held, watched);
  if (!renewed.ok) return renewed;
  const { expectation: next, asFound } = renewed.value;
  const [own, mended] = await Promise.all([expectationsOf(sessionId), mendedIn(sessionId)]);
  const stateBy = async (id: number, expectation: SessionExpectation) => {
    const there = readings.filter(({ studentId }) => studentId === id);
    const [judgement] = await judgeBy(JSON.stringify(expectation), [
      { readings: there, mended: mended.get(id) ?? 0 },
    ]);
    return judgement!.judged.state;
  };
  const stands = await Promise.all(
    students.map(async ({ id }) => ({
      before: await stateBy(id, own.get(id) ?? held.expectation),
      after: await stateBy(id, asFound.get(id) ?? next),
    })),
  );
  const benches = students.flatMap(({ bench, nickname }, i) => {
    const { before, after } = stands[i]!;
    return before === after ? [] : [{ bench, nickname, before, after }];
  });
  return {
    ok: true,
    value: { version: held.version, points: pointsOf(held.expectation, next), benches },
    findings: [],
  };
}

function pointsOf(before: SessionExpectation, after: SessionExpectation): RenewalChanges['points'] {
  const [old, now] = [before, after].map(
    ({ expected }) => new Map(expected.points.map((p) => [p.id, p])),
  ) as [
    Map<string, SessionExpectation['expected']['points'][number]>,
    Map<string, SessionExpectation['expected']['points'][number]>,
  ];
  return [...new Set([...old.keys(), ...now.keys()])].flatMap((id) => {
    const [was, is] = [old.get(id), now.get(id)];
    const { point, unit } = (is ?? was)!;
    if (was && is && sameBand(was, is)) return [];
    return [
      {
        name: pointName(point),
        unit,
        ...(was ? { before: { low: was.low, high: was.high } } : {}),
        ...(is ? { after: { low: is.low, high: is.high } } : {}),
      },
    ];
  });
}

function sameBand(a: { low: number; high: number }, b: { low: number; high: number }): boolean {
  return Math.abs(a.low / b.low - 1) < 1e-3 && Math.abs(a.high / b.high - 1) < 1e-3;
}
