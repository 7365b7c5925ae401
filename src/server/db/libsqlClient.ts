import type { Knex } from 'knex';
import Base from 'knex/lib/dialects/better-sqlite3/index.js';
import libsql from 'libsql';
import { patiently } from './patience';
import { SureTransaction } from './sureTransaction';

/** Knex speaks to libsql as it does to better-sqlite3: the two have the same interface. */
export class LibsqlClient extends Base {
  _driver(): typeof libsql {
    return libsql;
  }

  override transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction {
    return new SureTransaction(this, container, config, outer) as unknown as Knex.Transaction;
  }

  protected override _query(connection: unknown, question: unknown): Promise<unknown> {
    return patiently(() => super._query(connection, question));
  }
}
