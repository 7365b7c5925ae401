import { z } from 'zod';
import { issueSentence } from '@/messages/issues';
import { DatabaseProblem, problemKind, wordsOf, type DatabaseProblemKind } from './db/problems';

/** What somebody else saved in between, and its version. */
export interface Theirs<Value = unknown> {
  readonly version: number;
  readonly value: Value;
}

/** What an action answers: what it made, or a sentence that says why it did not. Nothing typed is lost either way. */
export type Answer<T, Kept = unknown> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly message: string;
      /** Somebody else saved the same thing in between: theirs, to be shown beside what was typed. */
      readonly theirs?: Theirs<Kept>;
      /** It is done if it is asked for once more, knowing what the message says. */
      readonly ask?: boolean;
      /** The same may succeed later: nothing is wrong with what was sent. */
      readonly again?: boolean;
    };

export function done<T>(value: T): Answer<T, never> {
  return { ok: true, value };
}

export function failed(message: string): Answer<never, never> {
  return { ok: false, message };
}

/** A question that is asked before something is done. */
export function asked(message: string): Answer<never, never> {
  return { ok: false, message, ask: true };
}

/** What stands in the way may be gone later. */
export function failedForNow(message: string): Answer<never, never> {
  return { ok: false, message, again: true };
}

/** Somebody else saved the same thing in between. */
export class VersionConflict extends Error {}

/** The thing is not there (any more). */
export class Missing extends Error {}

/** What is kept is in a form that this program cannot read; its `digest` is what reaches a page. */
export class Unreadable extends Error {
  readonly digest = 'unreadable';
}

/** A rule of the data that the sentence names. */
export class Refusal extends Error {}

/**
 * Runs work that may fail for reasons outside the program, and turns those into sentences.
 *
 * @param theirs what stands in the database now, for work that somebody else's has overtaken
 */
export async function guardedWork<T, Kept = never>(
  work: () => Promise<Answer<T, Kept>>,
  theirs?: () => Promise<Theirs<Kept>>,
): Promise<Answer<T, Kept>> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof VersionConflict)
      return theirs ? { ok: false, message: error.message, theirs: await theirs() } : failed(error.message);
    if (error instanceof Missing || error instanceof Refusal || error instanceof Unreadable)
      return failed(error.message);
    if (error instanceof z.ZodError) return failed(issueSentence(error));
    const sentence = storageSentence(error);
    if (sentence) return failedForNow(sentence);
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
  locked: 'Not saved yet: another program holds the database. What you typed stays here.',
  unreachable:
    'Not saved: the database file cannot be reached. Look at its folder and disk; what you typed stays here.',
  served: 'Not saved: another Mivvet serves this database. What you typed stays here.',
  'half-restored':
    'Not saved: the database is not there, and a restore has left something beside it. What you typed stays here.',
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
