'use server';

import {
  builtDiffers,
  builtOf,
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_STYLE,
  lampDiffers,
  lessonWords,
  parseLesson,
  patternOf,
  workOut,
  type HouseStyle,
  type LessonFile,
  type PatternChoice,
  type PatternId,
} from '@/core';
import { z } from 'zod';
import { PATTERN_WORDS } from '@/messages/patterns';
import { sentences } from '@/messages/findings';
import { differenceWords, lampDifferenceWords } from '@/messages/imported';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { sheetSurroundings } from '@/server/lessonSheet';
import { addLesson } from '@/server/repositories/lessons';
import { houseStyle } from '@/server/repositories/settings';
import { lamps } from '@/server/repositories/stock';

/** Starts a lesson from a pattern, with the house style's wishes. */
export async function startLesson(pattern: PatternId, title: string): Promise<Answer<number>> {
  return guarded(async () => {
    const name = title.trim().slice(0, 80) || PATTERN_WORDS[pattern].name;
    const style = (await houseStyle()).value ?? DEFAULT_STYLE;
    const words = z.object(lessonWords).parse({ title: name });
    const content = { ...words, choice: choiceOf(pattern, style), plan: null };
    return done(await addLesson(content, '', new Date().toISOString()));
  });
}

export interface Imported {
  readonly id: number;
  /** What is otherwise here than where the file was written, a sentence each. */
  readonly differences: readonly string[];
}

/** Takes in a lesson file, whole or not at all. */
export async function importLesson(text: string): Promise<Answer<Imported>> {
  return guarded(async () => {
    const file = parseLesson(text);
    if (!file.ok) return failed(`Nothing was imported. ${sentences(file.findings.slice(0, 4))}`);
    const { lamp, lamps: others } = file.value;
    const id = await addLesson(file.value, '', new Date().toISOString());
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
  const worked = workOut({ ...(await sheetSurroundings()), choice });
  if (!worked.ok) return [`With this house’s parts it cannot be worked out: ${sentences(worked.findings)}`];
  return builtDiffers(built, builtOf(worked.value.circuit)).map(differenceWords);
}

/** A pattern with the house style's wishes, on the board that suits it. */
function choiceOf(pattern: PatternId, style: HouseStyle): PatternChoice {
  const { defaults, board } = patternOf(pattern);
  return choiceSchema.parse({ pattern, params: defaults(style), build: { ...DEFAULT_BUILD, board } });
}
