import type { Sheet } from '@/core';
import { carefulRequest, sheetOf, sheetSurroundings } from './lessonSheet';
import { lesson } from './repositories/lessons';
import { cardOf, session } from './repositories/sessions';

/**
 * The sheet that a class was given, whatever its lesson has become since; of sessions from before cards were kept, the
 * lesson's as it is now.
 *
 * @returns undefined where that lesson has no sum that works
 */
export async function givenCard(sessionId: number): Promise<Sheet | undefined> {
  const kept = await cardOf(sessionId);
  if (kept) return kept;
  const { lessonId } = await session(sessionId);
  const made = await sheetOf(carefulRequest(await lesson(lessonId), await sheetSurroundings()));
  return made.ok ? made.value : undefined;
}
