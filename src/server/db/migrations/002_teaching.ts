import type { Knex } from 'knex';

/** How much of the working students get, homework and extras of a lesson; batteries that were measured. */
async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('lessons', (table) => {
    table.string('level').notNullable().defaultTo('card');
    table.text('homework').notNullable().defaultTo('');
    table.text('extras').notNullable().defaultTo('[]');
  });
  await db.schema.createTable('batteries', (table) => {
    table.increments('id');
    table.string('name').notNullable();
    table.string('kind').notNullable();
    table.integer('cells').notNullable();
    table.double('volts').notNullable();
    table.double('ohms').notNullable();
    table.string('measured_at').notNullable();
    table.string('archived_at');
  });
}

async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('batteries');
  await db.schema.alterTable('lessons', (table) => {
    table.dropColumns('level', 'homework', 'extras');
  });
}

export const teaching = { name: '002_teaching', up, down };
