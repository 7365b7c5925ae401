import { builtOf, LESSON_FORMAT, makeSheet, serialiseLesson, toCsv, workOut, type LessonFile } from '@/core';
import { sentences } from '@/messages/findings';
import { stockName } from '@/messages/names';
import { Missing } from '@/server/failures';
import { requestFor, sheetSurroundings } from '@/server/lessonSheet';
import { groups } from '@/server/repositories/groups';
import { contentOf, lesson } from '@/server/repositories/lessons';
import { sessions } from '@/server/repositories/sessions';
import { lamps } from '@/server/repositories/stock';
import { slug } from '@/ui/download';

interface TextFile {
  readonly name: string;
  readonly text: string;
}

/** The lesson as one JSON file that another machine can import. */
export async function lessonJson(id: number): Promise<TextFile> {
  const content = contentOf(await lesson(id));
  const [{ figures }, around] = await Promise.all([lamps(), sheetSurroundings()]);
  const worked = workOut({ ...around, choice: content.choice });
  const sorts = worked.ok ? [...new Set(Object.values(worked.value.sorts))] : [];
  const file: LessonFile = {
    format: LESSON_FORMAT,
    ...content,
    lamp: null,
    lamps: sorts.map((type) => figures[type]),
    built: worked.ok ? builtOf(worked.value.circuit) : [],
  };
  return { name: `${slug(content.title)}.json`, text: serialiseLesson(file) };
}

/** The kit of a lesson for its next group, as a table. */
export async function kitCsv(id: number): Promise<TextFile> {
  const held = await lesson(id);
  const given = (await sessions()).filter((s) => s.lessonId === id && s.archivedAt === null);
  const all = await groups();
  const group =
    all.find((g) => g.id === given[given.length - 1]?.groupId) ?? all.find((g) => g.archivedAt === null);
  const students = group?.students.filter((s) => s.archivedAt === null).length;
  const surroundings = await sheetSurroundings(students);
  const sheet = makeSheet(requestFor(held, surroundings));
  if (!sheet.ok) throw new Missing(sentences(sheet.findings));
  const { currency } = surroundings.style;
  const rows = sheet.value.kit.lines.map((line) => [
    stockName(line.spec),
    line.parts.join(' '),
    line.each,
    line.forGroup,
    line.spares,
    line.need,
    line.have,
    line.short,
    line.packs,
    line.packSize,
    (line.buyCents / 100).toFixed(2),
  ]);
  const head = [
    'part',
    'on the plan',
    'for one',
    'for all',
    'spares',
    'needed',
    'in store',
    'short',
    'packs to buy',
    'pack size',
    `costs ${currency}`,
  ];
  return { name: `${slug(held.title)}-kit.csv`, text: toCsv(head, rows) };
}
