/** What can be the matter with the database file as a whole. */
export const DATABASE_PROBLEMS = [
  'damaged',
  'newer',
  'foreign',
  'read-only',
  'locked',
  'unreachable',
  'served',
  'half-restored',
] as const;
export type DatabaseProblemKind = (typeof DATABASE_PROBLEMS)[number];

/** What the matter is, after the name of the file. */
const WHAT: Readonly<Record<DatabaseProblemKind, string>> = {
  damaged: 'is damaged',
  newer: 'was written by a newer Mivvet',
  foreign: 'is not a Mivvet database',
  'read-only': 'cannot be written',
  locked: 'is held by another program',
  unreachable: 'cannot be opened',
  served: 'is served by another Mivvet already',
  'half-restored': 'is not there, and beside it stands what a restore has left',
};

const WAY_ON: Readonly<Record<DatabaseProblemKind, string>> = {
  damaged: 'Stop the program, keep the file, and put back the newest backup: npm run restore.',
  newer: 'Start that newer Mivvet again, or put back a backup from before: npm run restore.',
  foreign: 'Nothing in it was touched. Point MIVVET_DB at another file, or move this one away.',
  'read-only': 'Give the program the right to write the file and its folder, then load the page again.',
  locked: 'Close what holds it (a copy in progress, another Mivvet), then load the page again.',
  unreachable: 'See that the folder is there and its disk is attached, then load the page again.',
  served: 'Stop that one, or start this one with a database of its own (MIVVET_DB).',
  'half-restored':
    'Nothing new was opened. Put that file back by npm run restore FILE, or move it away to begin anew.',
};

/**
 * The database file as a whole is not fit for use. Its `digest` is what reaches a page: it tells which, and nothing
 * of the file.
 */
export class DatabaseProblem extends Error {
  readonly digest: string;
  constructor(
    readonly kind: DatabaseProblemKind,
    file: string,
    detail = '',
  ) {
    super(`The database ${file} ${WHAT[kind]}${detail && ` (${detail})`}. ${WAY_ON[kind]}`);
    this.name = 'DatabaseProblem';
    this.digest = `database-${kind}`;
  }
}

/** What the driver's words about a whole file mean; `undefined` where they are about something else. */
export function problemKind(error: unknown): DatabaseProblemKind | undefined {
  const text = wordsOf(error);
  if (/SQLITE_CORRUPT|malformed/iu.test(text)) return 'damaged';
  if (/SQLITE_NOTADB|not a database/iu.test(text)) return 'foreign';
  if (/SQLITE_(BUSY|LOCKED)|database is locked/iu.test(text)) return 'locked';
  if (/SQLITE_READONLY|EACCES|EROFS|EPERM/iu.test(text)) return 'read-only';
  if (/SQLITE_CANTOPEN|Unable to open|ENOENT|ENOTDIR|EEXIST/iu.test(text)) return 'unreachable';
  return undefined;
}

/** Code and message of whatever was thrown. */
export function wordsOf(error: unknown): string {
  const { code = '', message = '' } = (error ?? {}) as { code?: string; message?: string };
  return `${code} ${message}`;
}
