declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import { Knex } from 'knex';
  export default class BetterSqlite3Client extends Knex.Client {
    protected _query(connection: unknown, asked: unknown): Promise<unknown>;
    /** Dates and booleans as SQLite knows them. */
    protected _formatBindings(bindings: unknown): unknown;
  }
}

declare module 'knex/lib/dialects/sqlite3/execution/sqlite-transaction.js' {
  /** Knex's own transaction, as far as it is mended here. */
  export default class SqliteTransaction {
    constructor(client: unknown, ...rest: unknown[]);
    protected _completed: boolean;
    protected _resolver: (value: unknown) => void;
    protected _rejecter: (error: unknown) => void;
  }
}
