import type { Knex } from 'knex';

/** What a session was judged by before it took its lesson's newest figures, so that this can be taken back. */
async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('sessions', (table) => {
    table.text('before');
  });
}

async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('sessions', (table) => {
    table.dropColumn('before');
  });
}

export const renewal = { name: '003_renewal', up, down };
