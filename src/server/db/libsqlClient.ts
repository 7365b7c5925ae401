import Base from 'knex/lib/dialects/better-sqlite3/index.js';
import libsql from 'libsql';

/** Knex speaks to libsql as it does to better-sqlite3: the two have the same interface. */
export class LibsqlClient extends Base {
  _driver(): typeof libsql {
    return libsql;
  }
}
