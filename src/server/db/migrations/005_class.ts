import type { Knex } from 'knex';

/** A class at its benches: who sits where by their own machine, how much they are helped, and what was found wrong. */
async function up(db: Knex): Promise<void> {
  await db.schema.createTable('seats', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.string('token').notNullable();
    table.string('taken_at').notNullable();
    table.primary(['session_id', 'student_id']);
  });
  await db.schema.createTable('found_faults', (table) => {
    table.increments('id');
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.string('code').notNullable();
    table.text('data').notNullable();
    table.text('words').notNullable();
    table.string('found_by').notNullable();
    table.string('found_at').notNullable();
    // The bench's last reading before it: what is read later is read of a mended build.
    table.integer('after_reading').notNullable();
    table.string('entry_key').notNullable().unique();
    table.index(['session_id', 'student_id'], 'found_faults_bench');
    table.index(['code'], 'found_faults_code');
  });
  await db.schema.alterTable('sessions', (table) => {
    table.string('hints').notNullable().defaultTo('after-a-try');
  });
}

async function down(db: Knex): Promise<void> {
  await db.schema.dropTableIfExists('seats');
  await db.schema.dropTableIfExists('found_faults');
  await db.raw('ALTER TABLE sessions DROP COLUMN hints');
}

export const classes = { name: '005_class', up, down };
