import { addDays, format } from 'date-fns';
import type { ReadingKind, Sheet, SheetRequest } from '@/core';
import { workOutFor } from '@/server/givenLesson';
import { addBattery } from '@/server/repositories/batteries';
import { addGroup, addStudents, group } from '@/server/repositories/groups';
import { judgeInBackground } from '@/server/judging';
import { sheetSurroundings, workOutLines } from '@/server/lessonSheet';
import { addLesson, lessonHeads } from '@/server/repositories/lessons';
import { addReading } from '@/server/repositories/readings';
import { addSession, session } from '@/server/repositories/sessions';
import { addStock } from '@/server/repositories/stock';
import { BATTERIES, COURSE, GROUPS, STOCK, WRONG_BUILDS } from './course';
import { LESSONS } from './lessons';
import { benchReadings, candidateFor, type DemoReading } from './readings';

interface Given {
  readonly id: number;
  readonly sheet: Sheet;
  readonly request: SheetRequest;
}

/** Fills an empty database with the model-harbour course around the given day. */
export async function fillDemo(now: Date): Promise<void> {
  for (const [spec, have, packSize, packCents, place] of STOCK) {
    await addStock(spec, { have, packSize, packCents, place });
  }
  for (const { daysAgo, ...battery } of BATTERIES) {
    await addBattery({ ...battery, measuredAt: addDays(now, -daysAgo).toISOString() });
  }
  const groupIds: number[] = [];
  for (const { name, meets, nicknames } of GROUPS) {
    const id = await addGroup(name, meets);
    await addStudents(
      id,
      nicknames.map((nickname, i) => ({ bench: i + 1, nickname })),
    );
    groupIds.push(id);
  }
  const lessonIds: number[] = [];
  for (const content of LESSONS) lessonIds.push(await addLesson(content, COURSE, now.toISOString()));

  const [tern, plover] = groupIds as [number, number];
  const [pier, office, loft] = lessonIds as [number, number, number];
  const finished = await give(pier, plover, addDays(now, -5));
  await measure(finished, plover, addDays(now, -5));
  await give(pier, tern, now);
  await give(office, plover, addDays(now, 2));
  await give(office, tern, addDays(now, 7));
  await give(loft, plover, addDays(now, 9));
  await judgeInBackground();
  await workOutLines(await lessonHeads(), await sheetSurroundings());
}

async function give(lessonId: number, groupId: number, day: Date): Promise<Given> {
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error(`Demo lesson ${lessonId} has no sheet.`);
  const { sheet, request, expectation, summary } = made.value;
  const id = await addSession({
    lessonId,
    groupId,
    onDate: format(day, 'yyyy-MM-dd'),
    expectation,
    summary,
    sheet,
  });
  return { id, sheet, request };
}

const FIRST_SEED = 4100;

async function measure({ id, sheet, request }: Given, groupId: number, day: Date): Promise<void> {
  const [held, { students }] = await Promise.all([session(id), group(groupId)]);
  const start = new Date(day);
  start.setHours(17, 20, 0, 0);
  let minute = 0;
  const keep = async (studentId: number, kind: ReadingKind, { point, value, step, typed }: DemoReading) => {
    const takenAt = new Date(start.getTime() + minute++ * 45_000).toISOString();
    const entryKey = `demo-${id}-${studentId}-${point}-${kind}`;
    const { name } = held.expectation.meter;
    const reading = { sessionId: id, studentId, point, kind, value, step, typed, meter: name };
    await addReading({ ...reading, takenBy: 'helper A', takenAt, entryKey }, takenAt);
  };
  for (const student of students) {
    const wrong = WRONG_BUILDS.find(({ bench }) => bench === student.bench);
    const built = candidateFor(sheet, request, wrong);
    for (const reading of benchReadings(built, sheet, held.expectation, FIRST_SEED + student.bench)) {
      await keep(student.id, 'first', reading);
    }
    if (!wrong?.mended) continue;
    const mended = candidateFor(sheet, request, undefined);
    for (const reading of benchReadings(mended, sheet, held.expectation, FIRST_SEED + 50 + student.bench)) {
      await keep(student.id, 'retest', reading);
    }
  }
}
