import { addDays, format, parseISO } from 'date-fns';
import { ownDatabase } from '../../tests/support/database';
import { givenClass } from '../../tests/support/givenClass';
import { judgeInBackground } from './judging';
import { addReading } from './repositories/readings';
import { addSession } from './repositories/sessions';
import { todayFor } from './today';

ownDatabase();

/** Figures of a right build of the first lesson, and of one whose loop is open. */
const RIGHT = { pack: 4.79, R1: 2.91, D1: 1.88, current: 0.0086 };
const OPEN = { pack: 4.8, R1: 0, D1: 0, current: 0 };

it.each([
  // In Berlin 23:50, and 00:10.
  ['an ordinary one', '2026-11-27', '2026-11-27T22:50:00.000Z', '2026-11-27T23:10:00.000Z'],
  // 23:50, and the second 02:30 of that night.
  ['the one of 25 hours', '2026-10-24', '2026-10-24T21:50:00.000Z', '2026-10-25T01:30:00.000Z'],
  // 23:50, and 03:05, right after 01:59.
  ['the one of 23 hours', '2027-03-27', '2027-03-27T22:50:00.000Z', '2027-03-28T01:05:00.000Z'],
])('a retest is open over midnight until it is done, in %s too', async (_, onDate, off, later) => {
  const { lessonId, groupId, students, given } = await theClass;
  const { expectation, summary, sheet } = given;
  const sessionId = await addSession({ lessonId, groupId, onDate, expectation, summary, sheet });
  const read = async (figures: typeof RIGHT, takenAt: string, kind: 'first' | 'retest') => {
    for (const [point, value] of Object.entries(figures))
      await addReading({
        sessionId,
        studentId: students[0]!.id,
        point,
        typed: String(value),
        value,
        step: point === 'current' ? 1e-5 : 0.01,
        kind,
        meter: 'class meter',
        takenBy: '',
        takenAt,
        entryKey: `${onDate} ${kind} ${point}`,
      });
    await judgeInBackground();
  };
  const benchesOn = async (day: string) =>
    (await todayFor(day)).retests
      .filter(({ session }) => session.id === sessionId)
      .flatMap(({ benches }) => benches.map(({ bench }) => bench));

  await read(OPEN, off, 'first');
  expect(await benchesOn(onDate)).toEqual([1]);
  const next = format(addDays(parseISO(onDate), 1), 'yyyy-MM-dd');
  expect(await benchesOn(next)).toEqual([1]);
  expect(await benchesOn('2026-10-01')).toEqual([]);
  await read(RIGHT, later, 'retest');
  expect(await benchesOn(onDate)).toEqual([]);
  expect(await benchesOn(next)).toEqual([]);
});

const theClass = givenClass('Wren');
