import { format } from 'date-fns';
import { z } from 'zod';
import { ownDatabase } from '../../../tests/support/database';
import { requestWith } from '../../../tests/support/sheets';
import { lessonWords } from '@/core';
import { database, write } from '../db/connection';
import { migrationSource } from '../db/migrations/index';
import { workOutFor } from '../givenLesson';
import { heldOfStudent } from '../heldOfStudent';
import { judgeSession } from '../judging';
import { logbook } from '../logbook';
import { addGroup, addStudents, archiveStudent, eraseStudent, group } from './groups';
import { benchesWaiting, judgementsOf, keepJudgements, toBeJudged } from './judgements';
import { addLesson } from './lessons';
import { addReading, readings, type NewReading } from './readings';
import { addSession, moveSession, session, sessions, tickPacked } from './sessions';

ownDatabase();
const NOW = '2026-11-25T10:00:00.000Z';

const content = (title: string) => ({
  ...z.object(lessonWords).parse({ title }),
  choice: requestWith().choice,
  plan: null,
});

const refusal = (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'went through',
    (error: Error) => error.message,
  );

describe('sessions and readings', () => {
  let groups = 0;
  const setUp = async () => {
    const lessonId = await addLesson(content('Checked'), '', NOW);
    const groupId = await addGroup(`Plover ${++groups}`, '');
    await addStudents(groupId, [{ bench: 1, nickname: 'Gorse' }]);
    const made = await workOutFor(lessonId, groupId);
    if (!made.ok) throw new Error('no sheet');
    const { expectation, summary } = made.value;
    const id = await addSession({ lessonId, groupId, onDate: '2026-12-01', expectation, summary });
    return { id, studentId: (await group(groupId)).students[0]!.id, expectation };
  };

  it('keep what the session is judged by as it was', async () => {
    const { id, expectation } = await setUp();
    const held = await session(id);
    expect(held.expectation).toEqual(JSON.parse(JSON.stringify(expectation)));
    expect(held.summary.sentence).toContain('red lamp');
    expect(await moveSession(id, 1, '2026-12-08')).toBe(2);
    expect((await sessions()).find((s) => s.id === id)!.onDate).toBe('2026-12-08');
  });

  it('tick packed parts one by one, also when two people pack', async () => {
    const { id } = await setUp();
    await Promise.all([
      tickPacked(id, 'led red', true),
      tickPacked(id, 'jumper', true),
      tickPacked(id, 'board half', true),
    ]);
    expect([...(await session(id)).packed].sort()).toEqual(['board half', 'jumper', 'led red']);
    expect(await tickPacked(id, 'jumper', false)).not.toContain('jumper');
  });

  it('keep every reading; the newest counts; a reading sent twice is kept once', async () => {
    const { id, studentId } = await setUp();
    const reading = (key: string, more: Partial<NewReading>): NewReading => ({
      sessionId: id,
      studentId,
      point: 'R1',
      kind: 'first',
      value: 2.5,
      step: 0.01,
      typed: '2.50',
      meter: 'class meter',
      takenBy: 'helper B',
      takenAt: NOW,
      entryKey: `${id}-${key}`,
      ...more,
    });
    const first = await addReading(reading('a', {}));
    expect((await addReading(reading('a', { value: 9 }))).id).toBe(first.id);
    await addReading(reading('b', { kind: 'retest', value: 2.9, typed: '2.90' }));
    const all = await readings([id]);
    expect(all.map((r) => r.typed)).toEqual(['2.50', '2.90']);
    expect(all.filter(({ point }) => point === 'R1').at(-1)).toMatchObject({ value: 2.9, kind: 'retest' });
    expect((await readings()).length).toBeGreaterThanOrEqual(2);
  });

  it('stand under the time that they arrived, whatever the clock of the phone says', async () => {
    const { id, studentId } = await setUp();
    const before = Date.now();
    for (const [n, takenAt] of ['1970-01-01T00:00:01.000Z', '9999-12-31T23:59:59.000Z'].entries())
      await addReading({
        sessionId: id,
        studentId,
        point: 'R1',
        kind: n === 0 ? 'first' : 'retest',
        value: 2.5,
        step: 0.01,
        typed: '2.50',
        meter: 'class meter',
        takenBy: '',
        takenAt,
        entryKey: `clock-${n}`,
      });
    const kept = await readings([id]);
    expect(kept.map(({ takenAt }) => takenAt.slice(0, 4))).toEqual(['1970', '9999']);
    for (const { arrivedAt } of kept) expect(Date.parse(arrivedAt)).toBeGreaterThanOrEqual(before);
    const today = format(new Date(), 'yyyy-MM-dd');
    const onDay = async (day: string) =>
      (await logbook({ most: 100, day })).filter(({ sessionId }) => sessionId === id);
    expect(await onDay(today)).toHaveLength(2);
    expect(await onDay('1970-01-01')).toHaveLength(0);
  });

  it('from before benches were judged once are kept, and judged then', async () => {
    const { id, studentId, expectation } = await setUp();
    const usual = expectation.expected.points.find((point) => point.id === 'R1')!.typical;
    const reading = (value: number, key: string): NewReading => ({
      sessionId: id,
      studentId,
      point: 'R1',
      kind: 'first',
      value,
      step: 0.01,
      typed: value.toFixed(2),
      meter: 'class meter',
      takenBy: '',
      takenAt: NOW,
      entryKey: `${id}-${key}`,
    });
    await addReading(reading(usual / 2, 'a'));
    await addReading(reading(usual, 'b'));
    const db = await database();
    await db.migrate.down({ migrationSource, name: '004_house' });
    await db.migrate.latest({ migrationSource });
    expect(await benchesWaiting(id)).toMatchObject([{ studentId }]);
    await judgeSession(id);
    expect(await benchesWaiting(id)).toEqual([]);
    const [bench] = await judgementsOf(id);
    expect(bench!.judged.state).toBe('right');
    const log = (await logbook({ most: 100 })).filter((row) => row.sessionId === id);
    expect(log.map(({ verdict, superseded }) => [verdict, superseded])).toEqual([
      ['right', false],
      ['off', true],
    ]);
    expect(log[0]).toMatchObject({ where: 'across R1', unit: 'V' });
  });

  it('that come in while a bench is judged have it judged once more', async () => {
    const { id, studentId } = await setUp();
    const none = { judged: { verdicts: {}, state: 'none' }, cause: '', next: '', verdicts: [] } as const;
    const mark = async () => (await benchesWaiting(id))[0]!.mark;
    await write((trx) => toBeJudged(trx, id, studentId));
    const begun = await mark();
    await write((trx) => toBeJudged(trx, id, studentId));
    expect(await keepJudgements(id, [{ studentId, mark: begun, ...none }])).toBe(0);
    expect(await mark()).not.toBe(begun);
    expect(await keepJudgements(id, [{ studentId, mark: await mark(), ...none }])).toBe(1);
    expect(await benchesWaiting(id)).toEqual([]);
    // Marked once more it never bears a mark that it had.
    const marks = [begun];
    for (let n = 0; n < 3; n++) {
      await write((trx) => toBeJudged(trx, id, studentId));
      expect(marks).not.toContain(await mark());
      marks.push(await mark());
    }
  });

  it('of an erased student stay, without the name', async () => {
    const { id, studentId } = await setUp();
    await eraseStudent(studentId, NOW);
    const held = await heldOfStudent(studentId);
    expect(JSON.stringify(held)).not.toContain('Gorse');
    expect(held).toMatchObject({ bench: 1, group: `Plover ${groups}`, nickname: '–' });
    expect(await refusal(archiveStudent(studentId, null))).toMatch(/was erased/u);
    expect((await session(id)).groupName).toBe(`Plover ${groups}`);
    expect(JSON.stringify(await (await database())('students').where({ id: studentId }))).not.toMatch(
      /gorse/iu,
    );
  });
});
