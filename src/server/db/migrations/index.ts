import type { Knex } from 'knex';
import { arrived } from './009_arrived';
import { benches } from './006_benches';
import { card } from './008_card';
import { classes } from './005_class';
import { house } from './004_house';
import { rails } from './010_rails';
import { presence } from './007_presence';
import { renewal } from './003_renewal';
import { start } from './001_start';
import { teaching } from './002_teaching';

interface Migration {
  readonly name: string;
  up(db: Knex): Promise<void>;
  down(db: Knex): Promise<void>;
}

/** In the order in which they run. A new one is a file and a line here; an old one is never changed. */
const MIGRATIONS: readonly Migration[] = [
  start,
  teaching,
  renewal,
  house,
  classes,
  benches,
  presence,
  card,
  arrived,
  rails,
];

export const migrationSource: Knex.MigrationSource<Migration> = {
  getMigrations: async () => [...MIGRATIONS],
  getMigrationName: (migration) => migration.name,
  getMigration: async (migration) => migration,
};

/** Every migration that this program knows, by name. */
export const migrationNames: readonly string[] = MIGRATIONS.map(({ name }) => name);
