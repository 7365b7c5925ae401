import { PATTERN_IDS } from '@/core';
import { ownDatabase } from '../../tests/support/database';
import { fillDemo } from '@/demo/fill';
import { WRONG_BUILDS } from '@/demo/course';
import { checkBook } from './checkBook';
import { logbook, loggedLessons, loggedStudents, wholeLogbook } from './logbook';
import { groups } from './repositories/groups';
import { lessonHeads } from './repositories/lessons';
import { sessions } from './repositories/sessions';
import { sheetSurroundings, workOutLines } from './lessonSheet';
import { todayFor } from './today';

ownDatabase();
const DAY = new Date(2026, 10, 25, 9);

beforeAll(() => fillDemo(DAY));

describe('the demo course', () => {
  it('has two groups of 14 and 11, a lesson of every pattern, five sessions', async () => {
    expect((await groups()).map((g) => g.students.length)).toEqual([14, 11]);
    const all = await lessonHeads();
    expect(new Set(all.map((l) => l.pattern)).size).toBe(PATTERN_IDS.length);
    expect((await sessions()).map((s) => s.onDate)).toEqual([
      '2026-11-20',
      '2026-11-25',
      '2026-11-27',
      '2026-12-02',
      '2026-12-04',
    ]);
    const around = await sheetSurroundings(14);
    for (const line of (await workOutLines(all, around)).values())
      expect(line).toMatch(
        /lamps?, .*(mA|µA)$|once round in|lit for|a tone of|by a table of|three-colour lamp, |^lamps for bass/u,
      );
  });

  it('has a finished session whose wrong builds are found for what they are, and whose right ones stand', async () => {
    const [done] = await sessions();
    const { students, judged } = await checkBook(done!.id);
    for (const [i, student] of students.entries()) {
      const wrong = WRONG_BUILDS.find((w) => w.bench === student.bench);
      const { state, tired, diagnosis } = judged[i]!;
      if (!wrong || wrong.mended) {
        expect(state).not.toBe('off');
        continue;
      }
      // A tired pack is a verdict of its own, which this house takes for right.
      expect({ state, tired }).toEqual(
        wrong.fault === 'supply-tired' ? { state: 'right', tired: true } : { state: 'off' },
      );
      const named = diagnosis!.groups.slice(0, 2).flatMap(({ causes }) => causes.map((c) => c.code));
      expect(named).toContain(wrong.fault);
    }
  });
});

describe('the logbook', () => {
  it('has every reading with band, verdict and whether it still counts', async () => {
    const rows = (await logbook({ most: 1000 })).reverse();
    expect(rows).toHaveLength(11 * 4 + 2 * 4);
    const mended = rows.filter((r) => r.bench === 6 && r.point === 'D1');
    expect(mended).toMatchObject([
      { kind: 'first', verdict: 'off', superseded: true, cause: '' },
      { kind: 'retest', superseded: false },
    ]);
    expect(mended[0]!.value).toBeLessThan(-4.5);
    const tired = rows.filter((r) => r.bench === 9);
    expect(tired.every((r) => ['', 'B1 is a tired battery'].includes(r.cause))).toBe(true);
    for (const row of rows) expect(row.low).toBeLessThan(row.high!);
  });
});

describe('the logbook, a part at a time', () => {
  it('goes on where it stopped, and comes to every reading once', async () => {
    const all = await logbook({ most: 1000 });
    const first = await logbook({ most: 20 });
    const rest = await logbook({ most: 1000, before: first[19]! });
    expect([...first, ...rest].map((row) => row.id)).toEqual(all.map((row) => row.id));
    const streamed: number[] = [];
    for await (const rows of wholeLogbook()) streamed.push(...rows.map((row) => row.id));
    expect(streamed).toEqual(all.map((row) => row.id));
  });

  it('is narrowed to a lesson, a student, and to what is off', async () => {
    const all = await logbook({ most: 1000 });
    const lesson = all[0]!.lesson;
    expect(await loggedLessons()).toEqual([lesson]);
    expect(await logbook({ most: 1000, lesson: 'none of these' })).toEqual([]);
    const off = await logbook({ most: 1000, lesson, off: true });
    expect(off.map((row) => row.id)).toEqual(
      all.filter(({ verdict }) => verdict === 'off' || verdict === 'close').map((row) => row.id),
    );
    const [student] = await loggedStudents(lesson);
    const own = await logbook({ most: 1000, student: student!.id });
    expect(new Set(own.map((row) => row.bench))).toEqual(new Set([student!.bench]));
  });
});

describe('today', () => {
  it('names the next session, who needs a retest, and what is short', async () => {
    const today = await todayFor('2026-11-25');
    expect(today.next).toMatchObject({ lessonTitle: 'Pier lamp', groupName: 'Tern', onDate: '2026-11-25' });
    expect(today.after).toHaveLength(3);
    const benches = today.retests.flatMap((r) => r.benches);
    expect(benches.map((b) => b.bench)).toEqual([10]);
    expect(today.short.map((s) => s.line.key)).toContain('led red');
  });

  it('has nothing ahead when the course is over', async () => {
    const later = await todayFor('2027-06-01');
    expect(later.next).toBeUndefined();
    expect(later.short).toEqual([]);
  });
});
