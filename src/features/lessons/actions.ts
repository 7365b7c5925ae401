'use server';

import {
  builtDiffers,
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_STYLE,
  lampDiffers,
  lessonWords,
  parseLesson,
  patternOf,
  type HouseStyle,
  type LessonFile,
  type PatternChoice,
  type PatternId,
} from '@/core';
import { z } from 'zod';
import { PATTERN_WORDS } from '@/messages/patterns';
import { sentences } from '@/messages/findings';
import { differenceWords, lampDifferenceWords } from '@/messages/imported';
import { guarded } from '@/server/access/admit';
import { done, failed, type Answer } from '@/server/failures';
import { partsOf, sheetSurroundings, workOutLines } from '@/server/lessonSheet';
import { prepareSoon } from '@/server/prepare';
import { addLesson, lessonHeads } from '@/server/repositories/lessons';
import { houseStyle } from '@/server/repositories/settings';
import { lamps } from '@/server/repositories/stock';

/** Starts a lesson from a pattern, with the house style's wishes. */
export async function startLesson(pattern: PatternId, title: string): Promise<Answer<number>> {
  return guarded('startLesson', async () => {
    const name = title.trim().slice(0, 80) || PATTERN_WORDS[pattern].name;
    const style = (await houseStyle()).value ?? DEFAULT_STYLE;
    const words = z.object(lessonWords).parse({ title: name });
    const content = { ...words, choice: choiceOf(pattern, style), plan: null };
    const id = await addLesson(content, '', new Date().toISOString());
    prepareSoon(id);
    return done(id);
  });
}

export interface Imported {
  readonly id: number;
  /** What is otherwise here than where the file was written, a sentence each. */
  readonly differences: readonly string[];
}

/** Takes in a lesson file, whole or not at all. */
export async function importLesson(text: string): Promise<Answer<Imported>> {
  return guarded('importLesson', async () => {
    const file = parseLesson(text);
    if (!file.ok) return failed(`Nothing was imported. ${sentences(file.findings.slice(0, 4))}`);
    const { lamp, lamps: others } = file.value;
    const id = await addLesson(file.value, '', new Date().toISOString());
    prepareSoon(id);
    const { figures } = await lamps();
    const sent = [...(lamp ? [lamp] : []), ...others];
    const otherLamps = sent.filter((one) => lampDiffers(one, figures[one.type]));
    return done({
      id,
      differences: [
        ...otherLamps.map((one) => lampDifferenceWords(one, figures[one.type])),
        ...(await otherParts(file.value)),
      ],
    });
  });
}

/** What the sender's parts are otherwise than those that this house's drawer and store give. */
async function otherParts({ choice, built }: LessonFile): Promise<string[]> {
  if (built.length === 0) return [];
  const worked = await partsOf(choice);
  if (!worked.ok) return [`With this house’s parts it cannot be worked out: ${sentences(worked.findings)}`];
  return builtDiffers(built, worked.value.built).map(differenceWords);
}

/** A pattern with the house style's wishes, on the board that suits it. */
function choiceOf(pattern: PatternId, style: HouseStyle): PatternChoice {
  const { defaults, board } = patternOf(pattern);
  return choiceSchema.parse({ pattern, params: defaults(style), build: { ...DEFAULT_BUILD, board } });
}

/** What lessons come to, in one line each, by number: those that a list had yet to show. */
export async function lessonLines(ids: readonly number[]): Promise<Answer<readonly [number, string][]>> {
  return guarded('lessonLines', async () => {
    const wanted = new Set(z.array(z.number().int().positive()).max(500).parse(ids));
    const heads = (await lessonHeads()).filter(({ id }) => wanted.has(id));
    return done([...(await workOutLines(heads, await sheetSurroundings()))]);
  });
}
