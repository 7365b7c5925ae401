/** What a page says where the database as a whole is not fit for use: what is the matter, and the way on. */
export interface DatabaseWords {
  readonly title: string;
  readonly wayOn: string;
}

const WORDS: Readonly<Record<string, DatabaseWords>> = {
  'database-damaged': {
    title: 'The database is damaged.',
    wayOn:
      'Part of the file cannot be read. Stop the program, keep the file as it is, and put back the newest backup with “npm run restore FILE”: it lists what it would lose.',
  },
  'database-newer': {
    title: 'The database was written by a newer Mivvet.',
    wayOn:
      'Nothing in it was touched. Start the newer program again, or put back a backup from before it with “npm run restore FILE”.',
  },
  'database-foreign': {
    title: 'The database file is not one of Mivvet’s.',
    wayOn:
      'Nothing in it was touched. Point the setting MIVVET_DB at another file, or move this one away, and start again.',
  },
  'database-read-only': {
    title: 'The database cannot be written.',
    wayOn: 'Give the program the right to write the file and its folder. Everything saved before is in it.',
  },
  'database-locked': {
    title: 'Another program holds the database.',
    wayOn: 'Close it, or wait until it has finished. Everything saved before is in the file.',
  },
  unreadable: {
    title: 'This is kept in a form that this program cannot read.',
    wayOn:
      'Nothing in it was changed, and everything else opens as before. A backup from before, or the program that wrote it, can read it.',
  },
  'database-served': {
    title: 'Another Mivvet serves this database already.',
    wayOn:
      'Two programs never write one house. Use that one, or stop it; or start this one with a database of its own: the setting MIVVET_DB.',
  },
  'database-half-restored': {
    title: 'The database is not there, and a restore has left something beside it.',
    wayOn:
      'Nothing new was opened in its place. Whoever has the machine puts that file back with “npm run restore FILE”, or moves it away to begin anew.',
  },
  'database-unreachable': {
    title: 'The database file cannot be reached.',
    wayOn: 'See that its folder is there and its disk is attached.',
  },
};

/** @param digest what a failed page carries of its error */
export function databaseWords(digest: string | undefined): DatabaseWords | undefined {
  return digest === undefined ? undefined : WORDS[digest];
}
