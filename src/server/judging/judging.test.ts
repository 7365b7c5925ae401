import { ownDatabase } from '../../../tests/support/database';
import { givenClass } from '../../../tests/support/givenClass';
import { database } from '../db/connection';
import type { Student } from '../repositories/groups';
import { benchesWaiting, judgementAt, sessionsWaiting } from '../repositories/judgements';
import { addReading } from '../repositories/readings';
import { expectationText } from '../repositories/sessions';
import { tasks } from '../work/tasks';
import { judgedNow, judgeInBackground, judgeSession } from './index';

ownDatabase();

let session = 0;
let students: readonly Student[] = [];
let key = 0;
const NAMES = Array.from({ length: 12 }, (_, i) => `Bird ${i + 1}`);

const read = (student: number, value: number, point = 'R1') =>
  addReading({
    sessionId: session,
    studentId: students[student]!.id,
    point,
    kind: 'first',
    value,
    step: 0.01,
    typed: String(value),
    meter: 'class meter',
    takenBy: '',
    takenAt: '2026-11-27T17:00:00.000Z',
    entryKey: `judging-${key++}`,
  });

beforeAll(async () => {
  ({ session, students } = await givenClass(...NAMES));
});
afterEach(() => jest.restoreAllMocks());

it('benches of a class are judged once each, a few at a time, and those that changed meanwhile once more', async () => {
  const judge = jest.spyOn(tasks, 'judge');
  const judged = () =>
    judge.mock.calls.flatMap(([{ benches }], i) => (judge.mock.results[i]!.value ? benches : []));
  for (let i = 0; i < NAMES.length; i++) await read(i, 2.92);
  await Promise.all([judgeSession(session), judgeSession(session), judgeSession(session)]);
  expect(judged()).toHaveLength(NAMES.length);
  expect(await benchesWaiting(session)).toEqual([]);
  // What they are judged by was handed over once.
  expect(judge.mock.calls.filter(([{ expectation }]) => expectation !== undefined)).toHaveLength(1);

  judge.mockClear();
  await read(0, 0.4);
  const going = judgeSession(session);
  await read(1, 0.5);
  await Promise.all([judgeSession(session), going]);
  // Of those that stand none is judged anew.
  const ids = new Set(judged().flatMap(({ readings }) => readings.map(({ studentId }) => studentId)));
  expect([...ids].sort()).toEqual([students[0]!.id, students[1]!.id].sort());
  for (const at of [0, 1]) expect((await judgementAt(session, students[at]!.id))!.judged.state).toBe('off');
});

it('one bench is answered for without the others of its class', async () => {
  for (let i = 0; i < NAMES.length; i++) await read(i, 2.93);
  const answer = await judgedNow(session, students[0]!.id);
  expect(answer!.waits).toBe(false);
  expect(answer!.judged.verdicts['R1']!.verdict).toBe('right');
  // The first eight were judged with it, and the rest is under way.
  await judgeSession(session);
  expect(await judgedNow(session, 4711)).toBeUndefined();
});

it('what cannot be judged says so, keeps nobody waiting for ever, and is judged at the next occasion', async () => {
  await read(2, 2.9);
  const broken = jest.spyOn(tasks, 'judge').mockImplementation(() => {
    throw new Error('a bug');
  });
  await expect(judgedNow(session, students[2]!.id)).rejects.toThrow('a bug');
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  await judgeInBackground();
  expect(said).toHaveBeenCalledTimes(1);
  expect(await sessionsWaiting()).toEqual([session]);
  broken.mockRestore();
  await judgeInBackground();
  expect(await sessionsWaiting()).toEqual([]);
});

it('a bench of a session that is judged by other figures now is judged by those', async () => {
  await read(3, 2.92);
  await judgeSession(session);
  const db = await database();
  const text = await expectationText(session);
  const other = JSON.parse(text) as { expected: { points: { low: number; high: number }[] } };
  for (const point of other.expected.points) Object.assign(point, { low: 8, high: 9 });
  await db('sessions')
    .where({ id: session })
    .update({ expectation: JSON.stringify(other) });
  await read(3, 2.92);
  await judgeSession(session);
  expect((await judgementAt(session, students[3]!.id))!.judged.verdicts['R1']!.verdict).toBe('off');
});
