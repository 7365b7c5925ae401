import { DatabaseProblem, problemKind, wordsOf, type DatabaseProblemKind } from './db/problems';

/** What an action answers: what it made, or a sentence that says why it did not. Nothing typed is lost either way. */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string; readonly conflict?: boolean };

export function done<T>(value: T): Answer<T> {
  return { ok: true, value };
}

export function failed(message: string, conflict = false): Answer<never> {
  return conflict ? { ok: false, message, conflict } : { ok: false, message };
}

/** Somebody else saved the same thing in between. */
export class VersionConflict extends Error {}

/** The thing is not there (any more). */
export class Missing extends Error {}

/** A rule of the data that the sentence names. */
export class Refusal extends Error {}

/** Runs work that may fail for reasons outside the program, and turns those into sentences. */
export async function guarded<T>(work: () => Promise<Answer<T>>): Promise<Answer<T>> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof VersionConflict) return failed(error.message, true);
    if (error instanceof Missing || error instanceof Refusal) return failed(error.message);
    const sentence = storageSentence(error);
    if (sentence) return failed(sentence);
    throw error;
  }
}

const NOT_SAVED: Readonly<Record<DatabaseProblemKind, string>> = {
  damaged:
    'Not saved: the database is damaged. What you typed stays here. Stop the program, keep the file, and put back the newest backup.',
  newer: 'Not saved: the database was written by a newer Mivvet. What you typed stays here.',
  foreign: 'Not saved: what stands at the database’s place is no Mivvet database. What you typed stays here.',
  'read-only':
    'Not saved: the database file cannot be written. Look at its folder’s permissions; what you typed stays here.',
  locked: 'Not saved: another program holds the database. What you typed stays here; save again in a moment.',
  unreachable:
    'Not saved: the database file cannot be reached. Look at its folder and disk; what you typed stays here.',
};

function storageSentence(error: unknown): string | undefined {
  const text = wordsOf(error);
  if (/SQLITE_FULL|ENOSPC|disk is full/iu.test(text)) {
    return 'Not saved: the disk is full. Free some space; what you typed stays here and can be saved again.';
  }
  if (/SQLITE_IOERR/iu.test(text)) return NOT_SAVED.unreachable;
  const kind = error instanceof DatabaseProblem ? error.kind : problemKind(error);
  return kind && NOT_SAVED[kind];
}
