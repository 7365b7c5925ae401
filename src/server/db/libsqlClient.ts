import type { Knex } from 'knex';
import Base from 'knex/lib/dialects/better-sqlite3/index.js';
import libsql from 'libsql';
import { isLocked, patiently } from './patience';
import { SureTransaction } from './sureTransaction';

interface Statement {
  readonly reader: boolean;
  all(bindings: unknown): unknown[];
  run(bindings: unknown): { readonly lastInsertRowid: number; readonly changes: number };
}

interface Connection {
  prepare(sql: string): Statement;
  /** Knex lets go of a connection that carries this. */
  __knex__disposed?: unknown;
}

/** What Knex asks, and where it looks for the answer. */
interface Asked {
  readonly sql: string;
  readonly bindings?: unknown;
  response?: unknown;
  context?: { readonly lastID: number; readonly changes: number };
}

/** Knex speaks to libsql as it does to better-sqlite3: the two have the same interface. */
export class LibsqlClient extends Base {
  _driver(): typeof libsql {
    return libsql;
  }

  override transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction {
    return new SureTransaction(this, container, config, outer) as unknown as Knex.Transaction;
  }

  /**
   * A statement that met a lock stays half done until it is run again, and no transaction of its connection can be
   * committed meanwhile. So it is the same one that is tried again, and where that ends in vain its connection goes.
   */
  protected override async _query(connection: Connection, asked: Asked): Promise<Asked> {
    const statement = await patiently(() => connection.prepare(asked.sql));
    const bindings = this._formatBindings(asked.bindings);
    try {
      if (statement.reader) asked.response = await patiently(() => statement.all(bindings));
      else {
        const done = await patiently(() => statement.run(bindings));
        asked.response = done;
        asked.context = { lastID: done.lastInsertRowid, changes: done.changes };
      }
      return asked;
    } catch (error) {
      if (isLocked(error)) connection.__knex__disposed = error;
      throw error;
    }
  }
}
