import { ownDatabase } from '../../tests/support/database';
import { requestWith, sheetWith } from '../../tests/support/sheets';
import { sessionExpectation } from '@/core';
import { benchAdvice } from './advice';
import { logbook } from './logbook';
import { checkBook } from './checkBook';
import { judgedNow, judgeSession } from './judging';
import { follow, Follower } from './liveFeed';
import { liveReadings } from './liveReadings';
import { sessionReport } from './report';
import { ownBench } from './ownBench';
import { DEFAULT_STYLE } from '@/core';
import { keepContexts } from './repositories/benchContexts';
import { addGroup, addStudents, group, type Student } from './repositories/groups';
import { addFound, faultCounts, foundIn, removeFound } from './repositories/foundFaults';
import { addLesson } from './repositories/lessons';
import { addReading, readings, type NewReading, type Reading } from './repositories/readings';
import { freeSeat, seatsOf, seatStands, takeSeat } from './repositories/seats';
import { addSession, setSessionHints } from './repositories/sessions';
import { heldOfStudent } from './heldOfStudent';
import { LESSONS } from '@/demo/lessons';

ownDatabase();

const request = requestWith();
const expectation = sessionExpectation(sheetWith(), request);
let session = 0;
let students: readonly Student[] = [];
let key = 0;

const reading = (
  student: number,
  point: string,
  value: number,
  more: Partial<NewReading> = {},
): NewReading => ({
  sessionId: session,
  studentId: students[student]!.id,
  point,
  kind: 'first',
  value,
  step: point === 'current' ? 1e-5 : 0.01,
  typed: String(value),
  meter: 'class meter',
  takenBy: 'K',
  takenAt: `2026-12-01T17:${String(key).padStart(2, '0')}:00.000Z`,
  entryKey: `5f0c1a52-7d8e-4a55-9d0b-0a3d8f6f${String(1000 + key++)}`,
  ...more,
});

beforeAll(async () => {
  const groupId = await addGroup('Tern', '');
  await addStudents(groupId, [
    { bench: 1, nickname: 'Wick' },
    { bench: 2, nickname: 'Tarn' },
  ]);
  students = (await group(groupId)).students;
  const lessonId = await addLesson(LESSONS[0]!, 'Test', '2026-12-01T10:00:00.000Z');
  const summary = { sentence: 'a lamp', lessonVersion: 1, kit: [] };
  session = await addSession({ lessonId, groupId, onDate: '2026-12-01', expectation, summary });
});

describe('who follows a session', () => {
  it('hears of each reading once, from the one after the last, as it is kept', async () => {
    const first = await addReading(reading(0, 'pack', 4.8));
    const stopper = new AbortController();
    const stream = liveReadings(session, 0, stopper.signal, async () => true).getReader();
    const heard: Reading[] = [];
    const until = async (n: number) => {
      while (heard.length < n) {
        const { value, done } = await stream.read();
        if (done) throw new Error('it ended');
        for (const [, data] of new TextDecoder().decode(value).matchAll(/^id: \d+\ndata: (.*)$/gmu))
          heard.push(JSON.parse(data!) as Reading);
      }
    };
    await until(1);
    const second = await addReading(reading(1, 'pack', 4.75));
    await until(2);
    expect(heard).toMatchObject([first, second]);
    stopper.abort();
    const later = new AbortController();
    const again = liveReadings(session, first.id, later.signal, async () => true).getReader();
    await again.read();
    const { value } = await again.read();
    expect(new TextDecoder().decode(value)).toContain(`id: ${second.id}\n`);
    later.abort();
    expect((await again.read()).done).toBe(true);
  });
});

/** What a page that follows the session is told of one kind, one after another. */
function followed(event: 'found' | 'judged-by') {
  const stopper = new AbortController();
  const stream = liveReadings(session, 1e6, stopper.signal, async () => true).getReader();
  const told = async (): Promise<string> => {
    for (;;) {
      const { value } = await stream.read();
      const data = new RegExp(`^event: ${event}\\ndata: (.*)$`, 'mu').exec(
        new TextDecoder().decode(value),
      )?.[1];
      if (data !== undefined) return data;
    }
  };
  return { told, stop: () => stopper.abort() };
}

it('what was found is told to those who follow, and that it was taken back', async () => {
  const { told, stop } = followed('found');
  expect(await told()).toBe('[]');
  const { id } = await addFound({
    sessionId: session,
    studentId: students[0]!.id,
    cause: { code: 'lamp-reversed', data: { part: 'D1' } },
    words: 'D1 the wrong way round',
    foundBy: 'K',
    foundAt: '2026-12-01T17:00:00.000Z',
    entryKey: 'told-live',
  });
  const after = Math.max(
    ...(await readings([session])).filter((r) => r.studentId === students[0]!.id).map((r) => r.id),
  );
  expect(JSON.parse(await told())).toEqual([
    { id, studentId: students[0]!.id, words: 'D1 the wrong way round', after },
  ]);
  await removeFound(session, id);
  expect(await told()).toBe('[]');
  stop();
});

it('what benches are judged by is told whenever it is another', async () => {
  const { told, stop } = followed('judged-by');
  const [lessonVersion] = (await told()).split(' ');
  const different = {
    studentId: students[0]!.id,
    context: { ohms: {}, lamps: {} },
    version: 0,
    expectation: undefined,
  };
  await keepContexts(session, Number(lessonVersion), [different]);
  expect(await told()).toBe(`${lessonVersion} ${students[0]!.id}:1`);
  await keepContexts(session, Number(lessonVersion), [{ ...different, version: 1 }]);
  expect(await told()).toBe(`${lessonVersion} ${students[0]!.id}:2`);
  stop();
});

describe('a seat', () => {
  it('belongs to one machine until it is freed', async () => {
    const seat = await takeSeat(session, students[0]!.id);
    await expect(takeSeat(session, students[0]!.id)).rejects.toThrow('on another machine');
    await expect(takeSeat(session, 9999)).rejects.toThrow('not in this session');
    expect(await seatsOf(session)).toEqual([students[0]!.id]);
    expect(await seatStands(seat)).toBe(true);
    await freeSeat(session, students[0]!.id);
    expect(await seatStands(seat)).toBe(false);
  });
});

describe('what a student is told', () => {
  it('is right, measure again or ask, and a hint only as the educator lets it', async () => {
    await addReading(reading(1, 'R1', 0));
    expect((await benchAdvice(session, students[1]!.id)).points).toMatchObject({
      R1: 'again',
      pack: 'right',
    });
    expect((await benchAdvice(session, students[1]!.id)).hint).toBeUndefined();
    await addReading(reading(1, 'R1', 0, { kind: 'retest' }));
    const told = await benchAdvice(session, students[1]!.id);
    expect(told).toMatchObject({ whole: 'off', points: { R1: 'ask' } });
    expect(told.hint).toBeDefined();
    await setSessionHints(session, 'never');
    expect((await benchAdvice(session, students[1]!.id)).hint).toBeUndefined();
    await setSessionHints(session, 'full');
    expect((await benchAdvice(session, students[1]!.id)).hint).toBeDefined();
  });

  it('is where to begin, at a bench where nothing was read yet', async () => {
    const id = await addGroup('Ruff', '');
    await addStudents(id, [{ bench: 1, nickname: 'Burl' }]);
    const [own] = (await group(id)).students;
    const summary = { sentence: 'a lamp', lessonVersion: 1, kit: [] };
    const lessonId = await addLesson({ ...LESSONS[0]!, title: 'Begun' }, 'Test', '2026-12-01T10:00:00.000Z');
    const begun = await addSession({ lessonId, groupId: id, onDate: '2026-12-02', expectation, summary });
    const advice = await benchAdvice(begun, own!.id);
    expect(advice).toMatchObject({ whole: 'none', points: {} });
    expect(advice.next).toMatch(/measure|look/u);
  });

  it('has the card and the own readings, and no figure that is yet to be found', async () => {
    const own = await ownBench(session, students[1]!.id);
    expect(own.steps.length).toBeGreaterThan(4);
    expect(own.readings.every(({ studentId }) => studentId === students[1]!.id)).toBe(true);
    expect(own.points.map(({ id }) => id)).toEqual(['pack', 'R1', 'D1', 'current']);
    const text = JSON.stringify({ steps: own.steps, points: own.points, sheet: own.sheet!.steps });
    for (const { typical } of expectation.expected.points) expect(text).not.toContain(typical.toPrecision(4));
    expect(text).not.toContain('typical');
    expect(DEFAULT_STYLE.causes).toBe('logbook');
  });
});

describe('what was found', () => {
  it('is kept once, counted, told in the report and to whoever asks what is held of a student', async () => {
    const found = {
      sessionId: session,
      studentId: students[1]!.id,
      cause: { code: 'lamp-reversed', data: { part: 'D1' } },
      words: 'D1 the wrong way round',
      foundBy: 'K',
      foundAt: '2026-12-01T18:00:00.000Z',
      entryKey: 'a',
    } as const;
    const kept = await addFound(found);
    expect(await addFound(found)).toEqual(kept);
    expect(await foundIn(session)).toEqual([kept]);
    expect(await faultCounts()).toEqual({ 'lamp-reversed': 1 });
    const report = await sessionReport(session);
    expect(report.faults).toEqual([{ words: 'D1 the wrong way round', times: 1 }]);
    expect(report.rows[1]).toMatchObject({
      nickname: 'Tarn',
      state: 'off',
      found: 'D1 the wrong way round',
      figures: { R1: { typed: '0', verdict: 'off', times: 2 } },
    });
    expect(report.rows[0]).toMatchObject({ soFar: true, minutes: undefined });
    expect((await heldOfStudent(students[1]!.id)).found).toMatchObject([{ found: 'D1 the wrong way round' }]);
  });

  it('leaves what was read before it behind, once something is read of the mended build', async () => {
    const stands = async () => (await judgedNow(session, students[1]!.id))!.judged;
    expect(await stands()).toMatchObject({ state: 'off' });
    expect(Object.keys((await stands()).verdicts)).toEqual(expect.arrayContaining(['R1', 'pack']));
    await addReading(reading(1, 'R1', 2.92, { kind: 'retest' }));
    const mended = await stands();
    expect(mended.state).toBe('right');
    expect(Object.keys(mended.verdicts)).toEqual(['R1']);
    expect((await sessionReport(session)).rows[1]!.figures).toMatchObject({
      R1: { typed: '2.92', verdict: 'right', isPast: false },
      pack: { isPast: true, verdict: undefined },
    });
    // A figure that is off now is read once more, however often it was read of the build before.
    expect((await benchAdvice(session, students[1]!.id)).points).toMatchObject({
      R1: 'right',
      pack: 'again',
    });
    await addReading(reading(1, 'pack', 3.1, { kind: 'retest' }));
    expect((await benchAdvice(session, students[1]!.id)).points).toMatchObject({ pack: 'again' });

    const counted = async () =>
      (await logbook({ student: students[1]!.id, most: 50 }))
        .filter(({ superseded }) => !superseded)
        .map(({ point, typed }) => `${point} ${typed}`);
    const mendedOnly = await counted();
    expect(mendedOnly.sort()).toEqual(['R1 2.92', 'pack 3.1']);
    const [found] = await foundIn(session);
    await removeFound(session, found!.id);
    expect(Object.keys((await stands()).verdicts)).toEqual(expect.arrayContaining(['R1', 'pack']));
  });
});

it('a session that is opened while somebody enters figures has a verdict on each that it shows, or names its bench', async () => {
  for (let i = 0; i < 12; i++) {
    const entered = addReading(reading(0, i % 2 ? 'D1' : 'R1', 1.8 + i / 100, { kind: 'retest' }));
    const [book] = await Promise.all([checkBook(session), entered]);
    const shown = new Set(
      book.readings.flatMap(({ studentId, point }) => (studentId === students[0]!.id ? [point] : [])),
    );
    const own = students[0]!.id;
    const judged = book.judged[book.students.findIndex(({ id }) => id === own)]!;
    if (!book.waiting.includes(own))
      expect(Object.keys(judged.verdicts)).toEqual(expect.arrayContaining([...shown]));
  }
  await judgeSession(session);
  const { waiting, judged } = await checkBook(session);
  expect(waiting).toEqual([]);
  expect(Object.keys(judged[0]!.verdicts).sort()).toEqual(['D1', 'R1', 'pack']);
});

it('those who come late, go, or name a reading that never was keep nothing from the others', async () => {
  const heard: Record<string, number[]> = {};
  const listen = (name: string, after: number) => {
    const own: number[] = (heard[name] = []);
    return follow(
      session,
      new Follower(after, (text) => {
        const id = /^id: (\d+)/u.exec(text)?.[1];
        if (id) own.push(Number(id));
      }),
    );
  };
  const settled = () => new Promise((next) => setTimeout(next, 150));
  const known = (await readings([session])).map(({ id }) => id);
  const leaves = [listen('odd', 1e6), listen('first', known.at(-1)!)];
  await settled();
  const one = await addReading(reading(0, 'pack', 4.71, { kind: 'retest' }));
  const two = await addReading(reading(0, 'pack', 4.72, { kind: 'retest' }));
  leaves.push(listen('late', known.at(-1)!));
  await settled();
  const gone = listen('gone', 0);
  gone();
  const three = await addReading(reading(0, 'pack', 4.73, { kind: 'retest' }));
  await settled();
  const all = [one.id, two.id, three.id];
  expect(heard).toEqual({ odd: [], first: all, late: all, gone: [] });
  for (const leave of leaves) leave();
});
