import { carefulRequest, sheetOf, sheetSurroundings, studentsFor, workOutLines } from './lessonSheet';
import { lesson, lessonHeads } from './repositories/lessons';

const held = globalThis as {
  mivvetPreparing?: Map<number, NodeJS.Timeout>;
  mivvetPrepared?: Promise<void>;
};

/** A lesson that has rested for so long is worked out, so that its page, list and prints open at once. */
const REST_MS = 20_000;

/** Works a lesson out in the background once it has rested; one after the other, so that who waits goes first. */
export function prepareSoon(id: number): void {
  const waiting = (held.mivvetPreparing ??= new Map());
  clearTimeout(waiting.get(id));
  const timer = setTimeout(() => {
    waiting.delete(id);
    held.mivvetPrepared = (held.mivvetPrepared ?? Promise.resolve()).then(() => prepare(id));
  }, REST_MS).unref();
  waiting.set(id, timer);
}

/** What cannot be worked out now is worked out when it is asked for, and says then why not. */
async function prepare(id: number): Promise<void> {
  try {
    const around = await sheetSurroundings(await studentsFor(id));
    const heads = (await lessonHeads()).filter((head) => head.id === id);
    await workOutLines(heads, around);
    await sheetOf(carefulRequest(await lesson(id), around));
  } catch {
    return;
  }
}
