import { LESSON_FORMAT, serialiseLesson, toCsv, type LessonFile } from '@/core';
import { sentences } from '@/messages/findings';
import { stockName } from '@/messages/names';
import { Missing } from '@/server/failures';
import { carefulRequest, partsOf, sheetOf, sheetSurroundings, studentsFor } from '@/server/lessonSheet';
import { contentOf, lesson } from '@/server/repositories/lessons';
import { lamps } from '@/server/repositories/stock';
import { slug } from '@/ui/download';

interface TextFile {
  readonly name: string;
  readonly text: string;
}

/** The lesson as one JSON file that another machine can import. */
export async function lessonJson(id: number): Promise<TextFile> {
  const content = contentOf(await lesson(id));
  const [{ figures }, worked] = await Promise.all([lamps(), partsOf(content.choice)]);
  const file: LessonFile = {
    format: LESSON_FORMAT,
    ...content,
    lamp: null,
    lamps: worked.ok ? worked.value.lamps.map((type) => figures[type]) : [],
    built: worked.ok ? worked.value.built : [],
  };
  return { name: `${slug(content.title)}.json`, text: serialiseLesson(file) };
}

/** The kit of a lesson as a table, for a group, or for the one that has it next. */
export async function kitCsv(id: number, groupId?: number): Promise<TextFile> {
  const held = await lesson(id);
  const surroundings = await sheetSurroundings(await studentsFor(id, groupId));
  const sheet = await sheetOf(carefulRequest(held, surroundings));
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
    line.buyCents / 100,
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
  return { name: `${slug(held.title)}-kit.csv`, text: toCsv(head, rows, surroundings.style.tables) };
}
