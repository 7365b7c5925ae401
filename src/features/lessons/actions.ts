'use server';

import { DEFAULT_STYLE, formatQuantity, lampDiffers, parseLesson, PATTERNS } from '@/core';
import { sentences } from '@/messages/findings';
import { lampName } from '@/messages/names';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { addLesson } from '@/server/repositories/lessons';
import { houseStyle } from '@/server/repositories/settings';
import { lamps } from '@/server/repositories/stock';

/** Starts a lesson from a pattern, with the house style's wishes. */
export async function startLesson(pattern: 'single', title: string): Promise<Answer<number>> {
  return guarded(async () => {
    const name = title.trim().slice(0, 80) || 'New lamp';
    const style = (await houseStyle()).value ?? DEFAULT_STYLE;
    const params = PATTERNS[pattern].defaults(style);
    const content = {
      title: name,
      aim: '',
      story: '',
      notes: '',
      ageGroup: '10–12',
      choice: { pattern, params },
      plan: null,
    } as const;
    return done(await addLesson(content, '', new Date().toISOString()));
  });
}

/** Takes in a lesson file, whole or not at all. */
export async function importLesson(text: string): Promise<Answer<{ id: number; note: string }>> {
  return guarded(async () => {
    const file = parseLesson(text);
    if (!file.ok) return failed(`Nothing was imported. ${sentences(file.findings.slice(0, 4))}`);
    const { title, aim, story, notes, ageGroup, choice, plan, lamp } = file.value;
    const id = await addLesson(
      { title, aim, story, notes, ageGroup, choice, plan },
      '',
      new Date().toISOString(),
    );
    const own = (await lamps()).figures[choice.params.lamp];
    const differs = lamp !== null && lampDiffers(lamp, own);
    const note = differs
      ? `The sender’s ${lampName(own.type)} lamp has ${formatQuantity(lamp.vf, 'V')}, the one in this store ${formatQuantity(own.vf, 'V')}: the sums here use this store’s.`
      : '';
    return done({ id, note });
  });
}
