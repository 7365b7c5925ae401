import { ownDatabase } from '../../tests/support/database';
import { givenClass } from '../../tests/support/givenClass';
import type { BenchContext } from '@/core';
import { LESSONS } from '@/demo/lessons';
import { benchAdvice } from './advice';
import { contextChoices, keepBenchContexts, withBatch } from './benchContext';
import { checkBook } from './checkBook';
import type { GivenLesson } from './givenLesson';
import { judgeSession } from './judging';
import { renewedFor } from './renewal';
import { contextsOf, expectationsOf } from './repositories/benchContexts';
import type { Student } from './repositories/groups';
import { lesson, saveLesson } from './repositories/lessons';
import { addReading } from './repositories/readings';
import { expectationAt, refreshSession, session, unrefreshSession } from './repositories/sessions';

ownDatabase();

let id = 0;
let lessonId = 0;
let students: readonly Student[] = [];
let given: GivenLesson;
const NONE: BenchContext = { ohms: {}, lamps: {} };
const only470: BenchContext = { ...NONE, ohms: { R1: 470 } };

beforeAll(async () => {
  const made = await givenClass('Wren', 'Fenn');
  ({ lessonId, students, given } = made);
  id = made.session;
  // 4.8 V less 1.9 V of the lamp over 470 Ω: 6.2 mA, and the volts across the resistor that were planned over 330 Ω.
  const read = [
    ['current', 0.00618, 1e-5, '6.18'],
    ['R1', 2.9, 0.01, '2.90'],
  ] as const;
  for (const { id: studentId } of students)
    for (const [point, value, step, typed] of read)
      await addReading({
        sessionId: id,
        studentId,
        point,
        kind: 'first',
        value,
        step,
        typed,
        meter: 'class meter',
        takenBy: 'K',
        takenAt: '2026-11-27T17:00:00.000Z',
        entryKey: `context-${studentId}-${point}`,
      });
});

const states = async () => {
  await judgeSession(id);
  return (await checkBook(id)).judged.map(({ state }) => state);
};
const keep = (student: number, context: BenchContext, version: number) =>
  keepBenchContexts(id, [{ studentId: students[student]!.id, context, version }]);

describe('a bench on which something is different', () => {
  it('is offered what the lesson’s circuit has: its resistors and its sorts of lamps', async () => {
    const { resistors, lamps } = await contextChoices(id);
    expect(resistors).toEqual([{ id: 'R1', ohms: 330 }]);
    expect(lamps).toMatchObject([{ sort: 'red', ids: ['D1'] }]);
    expect(lamps[0]!.amps).toBeCloseTo(0.0088, 3);
  });

  it('is judged by what is fitted there, and no other bench is', async () => {
    expect(await states()).toEqual(['off', 'off']);
    expect((await keep(0, only470, 0)).ok).toBe(true);
    expect(await states()).toEqual(['right', 'off']);
    const own = await expectationAt(id, students[0]!.id);
    const at = own.expected.points.find((point) => point.id === 'current')!;
    expect(at.typical).toBeGreaterThan(0.0059);
    expect(at.typical).toBeLessThan(0.0066);
    expect((await expectationAt(id, students[1]!.id)).expected).toEqual(given.expectation.expected);
    // The student there hears the same.
    expect((await benchAdvice(id, students[0]!.id)).points).toEqual({ current: 'right', R1: 'right' });
    expect((await benchAdvice(id, students[1]!.id)).points).toMatchObject({ current: 'again' });
  });

  it('is not written over by who has not seen what somebody else noted', async () => {
    await expect(keep(0, { ...NONE, ohms: { R1: 100 } }, 0)).rejects.toThrow('Somebody else saved');
    expect((await contextsOf(id)).map(({ context }) => context.ohms)).toEqual([{ R1: 470 }]);
  });

  it('shares what was measured of its lamps with the class, and keeps its resistor to itself', async () => {
    const lamps = { red: { volts: 1.95, amps: 0.009 } };
    const all = await withBatch(id, {
      studentId: students[0]!.id,
      version: 1,
      context: { ...only470, lamps },
    });
    expect(all.map(({ context }) => context)).toEqual([
      { ohms: { R1: 470 }, lamps },
      { ohms: {}, lamps },
    ]);
    await keepBenchContexts(id, all);
    expect((await expectationsOf(id)).size).toBe(2);
    expect(await states()).toEqual(['right', 'off']);
  });

  it('takes part when its session takes newer figures, and goes back with it', async () => {
    const now = await lesson(lessonId);
    await saveLesson(
      lessonId,
      now.version,
      { ...LESSONS[0]!, title: 'Pier lamp, again' },
      '2026-11-27T18:00:00.000Z',
    );
    await expect(keep(1, only470, 1)).rejects.toThrow('newest figures');
    const held = await session(id);
    const renewed = await renewedFor(held);
    if (!renewed.ok) throw new Error('refused');
    const { expectation, summary, asFound } = renewed.value;
    expect([...asFound.keys()]).toEqual(students.map((s) => s.id));
    await refreshSession(id, held.version, expectation, summary, asFound);
    expect(await states()).toEqual(['right', 'off']);
    await unrefreshSession(id);
    expect((await expectationsOf(id)).size).toBe(2);
    expect(await states()).toEqual(['right', 'off']);
  });
});

it('a bench that is as planned again is judged by the plan', async () => {
  const held = await session(id);
  const renewed = await renewedFor(held);
  if (!renewed.ok) throw new Error('refused');
  await refreshSession(
    id,
    held.version,
    renewed.value.expectation,
    renewed.value.summary,
    renewed.value.asFound,
  );
  const { version } = (await contextsOf(id)).find(({ studentId }) => studentId === students[0]!.id)!;
  await keep(0, NONE, version);
  expect(await states()).toEqual(['off', 'off']);
});
