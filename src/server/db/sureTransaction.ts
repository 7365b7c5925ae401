import Base from 'knex/lib/dialects/sqlite3/execution/sqlite-transaction.js';
import { patiently } from './patience';

/** The driver's connection, as far as a transaction needs it. */
interface Connection {
  readonly inTransaction: boolean;
  exec(sql: string): void;
  /** Knex lets go of a connection that carries this. */
  __knex__disposed?: unknown;
}

/**
 * A transaction that takes the write lock when it begins, and leaves its connection fit for the next one however it
 * ends: one that could not be committed is undone, and a connection that cannot even do that is given up.
 */
export class SureTransaction extends Base {
  async begin(connection: Connection): Promise<void> {
    await patiently(() => connection.exec('BEGIN IMMEDIATE'));
  }

  async commit(connection: Connection, value: unknown): Promise<void> {
    this._completed = true;
    try {
      await patiently(() => connection.exec('COMMIT'));
    } catch (error) {
      undo(connection);
      this._rejecter(error);
      return;
    }
    this._resolver(value);
  }

  rollback(connection: Connection, error: unknown): Promise<void> {
    this._completed = true;
    undo(connection);
    this._rejecter(error ?? new Error('The transaction was undone.'));
    return Promise.resolve();
  }
}

/** A full disk or a failing one has undone the transaction by itself; then there is nothing left to undo. */
function undo(connection: Connection): void {
  if (!connection.inTransaction) return;
  try {
    connection.exec('ROLLBACK');
  } catch (error) {
    connection.__knex__disposed = error;
  }
}
