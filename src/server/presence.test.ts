import { ownDatabase } from '../../tests/support/database';
import { requestWith, sheetWith } from '../../tests/support/sheets';
import { sessionExpectation, type KitLine } from '@/core';
import { LESSONS } from '@/demo/lessons';
import { logbook } from './logbook';
import { sessionReport } from './report';
import { attendanceOf, noteAttendance } from './repositories/attendance';
import { closeRetest } from './repositories/closedRetests';
import {
  addGroup,
  addStudents,
  archiveGroup,
  eraseStudent,
  group,
  saveStudent,
  type Student,
} from './repositories/groups';
import { addLesson, archiveLesson } from './repositories/lessons';
import { addReading, type NewReading } from './repositories/readings';
import { addSession } from './repositories/sessions';
import { judgeSession } from './judging';
import { rosterTag } from './roster';
import { todayFor } from './today';

ownDatabase();

const DAY = '2026-12-01';
const request = requestWith();
const expectation = sessionExpectation(sheetWith(), request);
let lesson = 0;
let session = 0;
let tern = 0;
let students: readonly Student[] = [];
let key = 0;

const need = (spec: KitLine['spec'], many: number) => ({
  key: Object.values(spec).join(' '),
  spec,
  each: 1,
  need: many,
  have: 0,
  short: many,
});
const KIT = [need({ kind: 'led', lamp: 'red' } as KitLine['spec'], 4), need({ kind: 'clip-lead' }, 3)];

const read = (student: number, value: number, more: Partial<NewReading> = {}) => {
  const takenAt = `${DAY}T17:00:00.000Z`;
  const reading: NewReading = {
    sessionId: session,
    studentId: students[student]!.id,
    point: 'R1',
    kind: 'first',
    value,
    step: 0.01,
    typed: String(value),
    meter: 'class meter',
    takenBy: 'K',
    takenAt,
    entryKey: `5f0c1a52-7d8e-4a55-9d0b-0a3d8f6f${String(3000 + key++)}`,
    ...more,
  };
  return addReading(reading, reading.takenAt);
};
const due = async () => {
  await judgeSession(session);
  return (await todayFor(DAY)).retests.flatMap(({ benches }) => benches.map(({ bench }) => bench));
};

beforeAll(async () => {
  const groupId = (tern = await addGroup('Tern', ''));
  await addStudents(
    groupId,
    ['Wick', 'Tarn', 'Burl', 'Kelda'].map((nickname, i) => ({ bench: i + 1, nickname })),
  );
  students = (await group(groupId)).students;
  lesson = await addLesson(LESSONS[0]!, 'Test', '2026-12-01T10:00:00.000Z');
  const summary = { sentence: 'a lamp', lessonVersion: 1, kit: KIT };
  const made = { lessonId: lesson, groupId, expectation, summary };
  session = await addSession({ ...made, onDate: DAY });
  for (const onDate of ['2026-12-08', '2026-12-15']) await addSession({ ...made, onDate });
});

describe('who is there', () => {
  it('is noted by bench, with pairs at one of them, and a host that leaves frees the pair', async () => {
    const [one, two, three] = students.map(({ id }) => id);
    await noteAttendance(session, { studentId: two!, state: 'with', withStudent: one! });
    await noteAttendance(session, { studentId: three!, state: 'absent', withStudent: null });
    expect(await attendanceOf(session)).toEqual([
      { studentId: two, state: 'with', withStudent: one },
      { studentId: three, state: 'absent', withStudent: null },
    ]);
    const refused = (studentId: number, withStudent: number | null) =>
      noteAttendance(session, { studentId, state: 'with', withStudent }).catch((e: Error) => e.message);
    expect(await refused(three!, two!)).toContain('Nobody is at that bench');
    expect(await refused(one!, students[3]!.id)).toContain('the other way round');
    expect(await refused(three!, three!)).toContain('at whose bench');
    await noteAttendance(session, { studentId: one!, state: 'late', withStudent: null });
    expect((await attendanceOf(session)).map(({ state }) => state)).toEqual(['late', 'absent']);
    await noteAttendance(session, { studentId: one!, state: 'here', withStudent: null });
  });

  it('counts in the report: an absent bench is not measured, whatever was read there', async () => {
    await read(0, 2.92);
    await read(2, 0.3);
    const { rows, benches } = await sessionReport(session);
    expect(rows.map(({ away }) => away)).toEqual(['', '', 'absent', '']);
    expect(benches).toEqual({ measured: 1, right: 1 });
    expect(await due()).toEqual([]);
  });

  it('changes its tag when somebody comes late, so that pages load anew', async () => {
    const before = await rosterTag(session);
    await addStudents(tern, [{ bench: 9, nickname: 'Late' }]);
    expect(await rosterTag(session)).not.toBe(before);
  });
});

describe('a retest', () => {
  it('is due until it is closed with a word, and again once something is read there', async () => {
    await read(3, 0.3);
    expect(await due()).toEqual([4]);
    await closeRetest(session, students[3]!.id, 'mended at home', '2026-12-02T10:00:00.000Z');
    expect(await due()).toEqual([]);
    await read(3, 0.31, { kind: 'retest', takenAt: '2026-12-08T17:00:00.000Z' });
    expect(await due()).toEqual([4]);
  });

  it('of a week later stands in the logbook under its own day too', async () => {
    const on = async (day: string) => (await logbook({ most: 100, day })).map(({ typed }) => typed);
    expect(await on('2026-12-08')).toEqual(['0.31']);
    expect(await on(DAY)).toContain('0.31');
    expect(await logbook({ most: 100, group: 'Knot' })).toEqual([]);
    expect((await logbook({ most: 100, session, group: 'Tern' })).length).toBe(4);
  });
});

it('a group or a lesson that is put away leaves Today with its sessions and retests, and comes back with them', async () => {
  const shown = async () => {
    const { next, after, short } = await todayFor(DAY);
    return { ahead: (next ? 1 : 0) + after.length, retests: (await due()).length, short: short.length };
  };
  const before = await shown();
  expect(before).toMatchObject({ ahead: 3, retests: 1 });
  for (const putAway of [
    (at: string | null) => archiveGroup(tern, at),
    (at: string | null) => archiveLesson(lesson, at),
  ]) {
    await putAway('2026-12-01T09:00:00.000Z');
    expect(await shown()).toEqual({ ahead: 0, retests: 0, short: 0 });
    await putAway(null);
    expect(await shown()).toEqual(before);
  }
});

it('renaming and erasing somebody with readings keeps every count', async () => {
  const counts = async () => {
    const { rows, benches } = await sessionReport(session);
    return { benches, read: rows.map(({ figures }) => Object.keys(figures).length) };
  };
  const before = await counts();
  const { version } = (await group(tern)).students.find(({ id }) => id === students[3]!.id)!;
  await saveStudent(students[3]!.id, version, 4, 'Kelda B');
  expect(await counts()).toEqual(before);
  await eraseStudent(students[3]!.id, '2026-12-02T10:00:00.000Z');
  expect(await counts()).toEqual(before);
  expect((await logbook({ most: 100, session })).map(({ nickname }) => nickname)).not.toContain('Kelda B');
});

it('what is taken back counts no more, and the logbook says that it was', async () => {
  await read(1, 2.5);
  await read(1, 2.5, { kind: 'taken-back' });
  const own = await logbook({ most: 10, student: students[1]!.id });
  expect(own.map(({ kind, superseded }) => [kind, superseded])).toEqual([
    ['taken-back', true],
    ['first', true],
  ]);
  const { rows } = await sessionReport(session);
  expect(rows.find(({ bench }) => bench === 2)!.figures).toEqual({});
});

it('what is short adds up what all sessions ahead use, and counts once what comes back', async () => {
  const { short } = await todayFor(DAY);
  expect(short.map(({ line, short: many }) => [line.spec.kind, many])).toEqual([
    ['led', 12],
    ['clip-lead', 3],
  ]);
});
