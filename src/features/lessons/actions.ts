'use server';

import {
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_STYLE,
  formatQuantity,
  lampDiffers,
  lessonWords,
  parseLesson,
  patternOf,
  type HouseStyle,
  type PatternChoice,
  type PatternId,
} from '@/core';
import { z } from 'zod';
import { PATTERN_WORDS } from '@/messages/patterns';
import { sentences } from '@/messages/findings';
import { lampName } from '@/messages/names';
import { done, failed, guarded, type Answer } from '@/server/failures';
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

/** Takes in a lesson file, whole or not at all. */
export async function importLesson(text: string): Promise<Answer<{ id: number; note: string }>> {
  return guarded(async () => {
    const file = parseLesson(text);
    if (!file.ok) return failed(`Nothing was imported. ${sentences(file.findings.slice(0, 4))}`);
    const { lamp, lamps: others } = file.value;
    const id = await addLesson(file.value, '', new Date().toISOString());
    const { figures } = await lamps();
    const differs = [...(lamp ? [lamp] : []), ...others].find((sent) =>
      lampDiffers(sent, figures[sent.type]),
    );
    const note = differs
      ? `The sender’s ${lampName(differs.type)} lamp has ${formatQuantity(differs.vf, 'V')}, the one in this store ${formatQuantity(figures[differs.type].vf, 'V')}: the sums here use this store’s.`
      : '';
    return done({ id, note });
  });
}

/** A pattern with the house style's wishes, on the board that suits it. */
function choiceOf(pattern: PatternId, style: HouseStyle): PatternChoice {
  const { defaults, board } = patternOf(pattern);
  return choiceSchema.parse({ pattern, params: defaults(style), build: { ...DEFAULT_BUILD, board } });
}
