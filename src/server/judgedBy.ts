import { contextsOf, judgedVersion, type HeldContext } from './repositories/benchContexts';

/** What a session's benches are judged by, as a word that changes with it: the lesson's version, and that of every bench's context. */
export function judgedBy(lessonVersion: number, contexts: readonly HeldContext[]): string {
  return [lessonVersion, ...contexts.map((one) => `${one.studentId}:${one.version}`)].join(' ');
}

/** The same as it is now. */
export async function judgedByNow(sessionId: number): Promise<string> {
  const [version, contexts] = await Promise.all([judgedVersion(sessionId), contextsOf(sessionId)]);
  return judgedBy(version, contexts);
}
