import type { Knex } from 'knex';

/** When readings and pictures arrived here, whatever the clock of who sent them said; those from before keep what was said. */
async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('readings', (table) => {
    table.string('arrived_at').notNullable().defaultTo('');
  });
  await db.schema.alterTable('photos', (table) => {
    table.string('arrived_at').notNullable().defaultTo('');
    table.dropIndex(['taken_at'], 'photos_taken');
    table.index(['arrived_at'], 'photos_arrived');
  });
  for (const table of ['readings', 'photos']) await db(table).update({ arrived_at: db.ref('taken_at') });
}

async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('photos', (table) => {
    table.dropIndex(['arrived_at'], 'photos_arrived');
    table.index(['taken_at'], 'photos_taken');
  });
  for (const table of ['readings', 'photos']) await db.raw(`ALTER TABLE ${table} DROP COLUMN arrived_at`);
}

export const arrived = { name: '009_arrived', up, down };
