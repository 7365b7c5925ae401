import { JUDGING_RULE, nicknameKey } from '@/core';
import { LESSONS } from '@/demo/lessons';
import { STOCK } from '@/demo/course';
import { write } from '@/server/db/connection';
import { workOutFor } from '@/server/givenLesson';
import { addGroup } from '@/server/repositories/groups';
import { addLesson } from '@/server/repositories/lessons';
import { pointRows } from '@/server/repositories/points';
import { addStock } from '@/server/repositories/stock';
import { judgeBy } from '@/server/judging/judgeBy';

/** How large a generated house is. */
export interface HouseSize {
  readonly lessons: number;
  readonly groups: number;
  /** Kinds of parts in the store. */
  readonly kinds: number;
  readonly students: number;
  readonly sessions: number;
  /** Checkpoints that were read on each bench. */
  readonly points: number;
}

/** Lessons whose sessions are worked out for the house; the others stand in the list. */
const GIVEN = ['Pier lamp', 'Quay string', 'Lantern dimmer', 'Lighthouse', 'Cabin ceiling'] as const;
const AT_A_TIME = 400;
/** 27 November 2026: sessions lie before and after it, some a day. */
const TODAY = Date.UTC(2026, 10, 27);
const DAY_MS = 86_400_000;

type Row = Readonly<Record<string, string | number | null>>;

/** Fills an empty database: the demo's lessons over and over, groups, sessions and readings with what they came to. */
export async function fillHouse(size: HouseSize): Promise<void> {
  for (const [spec, have, packSize, packCents, place] of STOCK)
    await addStock(spec, { have, packSize, packCents, place });
  for (let i = STOCK.length; i < size.kinds; i++) {
    const [name, place] = [`boat ${i + 1}`, `shelf ${(i % 9) + 1}`];
    await addStock({ kind: 'thing', name }, { have: i % 40, packSize: 10, packCents: 250, place });
  }
  const lessonIds: number[] = [];
  for (let i = 0; i < size.lessons; i++) {
    const content = LESSONS[i % LESSONS.length]!;
    const round = Math.floor(i / LESSONS.length);
    const title = round === 0 ? content.title : `${content.title} ${round + 1}`;
    lessonIds.push(
      await addLesson({ ...content, title }, `Year ${round + 1}`, new Date(TODAY).toISOString()),
    );
  }
  const groupIds: number[] = [];
  for (let i = 0; i < size.groups; i++) groupIds.push(await addGroup(`Group ${i + 1}`, ''));
  await insert(
    'students',
    groupIds.flatMap((group_id) =>
      Array.from({ length: size.students }, (_, i) => {
        const nickname = `Student ${i + 1}`;
        return { group_id, bench: i + 1, nickname, name_key: nicknameKey(nickname) };
      }),
    ),
  );
  const kinds = await Promise.all(
    GIVEN.map(async (title) => kindOf(lessonIds[LESSONS.findIndex((l) => l.title === title)]!, groupIds[0]!)),
  );
  for (let at = 0; at < size.sessions; at += 50) {
    const ids = Array.from({ length: Math.min(50, size.sessions - at) }, (_, i) => at + i);
    await sessions(ids, kinds, groupIds, size);
  }
}

/** A lesson as its sessions hold it, with readings of a right bench and what they came to. */
async function kindOf(lessonId: number, groupId: number) {
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error('refused');
  const { expectation, summary } = made.value;
  const bench = expectation.expected.points.map(({ id, typical }) => ({
    point: id,
    value: typical,
    step: typical / 200,
  }));
  const noted = {
    sessionId: 0,
    studentId: 0,
    kind: 'first',
    meter: '',
    takenBy: '',
    takenAt: '',
    arrivedAt: '',
  } as const;
  const readings = bench.map((one, id) => ({ ...one, ...noted, id, typed: String(one.value) }));
  const [judgement] = await judgeBy(JSON.stringify(expectation), [{ readings, mended: 0 }]);
  const { judged, verdicts } = judgement!;
  return {
    lessonId,
    expectation,
    json: JSON.stringify(expectation),
    summary: JSON.stringify(summary),
    bench,
    judged,
    verdicts,
  };
}

type Kind = Awaited<ReturnType<typeof kindOf>>;

async function sessions(
  numbers: readonly number[],
  kinds: readonly Kind[],
  groupIds: readonly number[],
  size: HouseSize,
): Promise<void> {
  const place = (n: number) => ({
    id: n + 1,
    kind: kinds[n % kinds.length]!,
    group: n % groupIds.length,
    day: new Date(TODAY + (20 - Math.floor((n * 220) / size.sessions)) * DAY_MS).toISOString().slice(0, 10),
  });
  const all = numbers.map(place);
  await insert(
    'sessions',
    all.map(({ id, kind, group, day }) => ({
      id,
      lesson_id: kind.lessonId,
      group_id: groupIds[group]!,
      on_date: day,
      expectation: kind.json,
      summary: kind.summary,
    })),
  );
  await insert(
    'session_points',
    all.flatMap(({ id, kind }) => pointRows(id, kind.expectation).map((row): Row => ({ ...row }))),
  );
  const benches = all.flatMap((session) =>
    Array.from({ length: size.students }, (_, i) => ({
      ...session,
      student: session.group * size.students + i + 1,
    })),
  );
  await insert(
    'judgements',
    benches.map(({ id, kind, student }) => ({
      session_id: id,
      student_id: student,
      rule: JUDGING_RULE,
      state: kind.judged.state,
      judged: JSON.stringify(kind.judged),
    })),
  );
  await insert(
    'readings',
    benches.flatMap(({ id, kind, student, day }) =>
      Array.from({ length: size.points }, (_, i) => {
        const at = i % kind.bench.length;
        const { point, value, step } = kind.bench[at]!;
        const { verdict } = kind.verdicts[at]!;
        return {
          session_id: id,
          student_id: student,
          point,
          kind: 'first',
          value,
          step,
          typed: value.toPrecision(3),
          meter: 'class meter',
          taken_by: 'HB',
          taken_at: `${day}T17:20:00.000Z`,
          arrived_at: `${day}T17:20:00.000Z`,
          entry_key: `${id} ${student} ${i}`,
          counts: i + kind.bench.length < size.points ? 0 : 1,
          verdict: verdict?.verdict ?? 'none',
          uncertainty: verdict?.uncertainty ?? null,
          meter_range: verdict?.range ?? null,
        };
      }),
    ),
  );
}

async function insert(table: string, rows: readonly Row[]): Promise<void> {
  await write(async (trx) => {
    for (let at = 0; at < rows.length; at += AT_A_TIME)
      await trx.batchInsert(table, [...rows.slice(at, at + AT_A_TIME)], 40);
  });
}
