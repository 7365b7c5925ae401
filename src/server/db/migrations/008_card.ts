import type { Knex } from 'knex';

/** The sheet that a class was given with its session: its card stays what it was when the lesson goes on. */
async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('sessions', (table) => {
    table.text('card');
  });
}

async function down(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE sessions DROP COLUMN card');
}

export const card = { name: '008_card', up, down };
