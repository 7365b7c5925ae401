import type { Knex } from 'knex';

/** What is different on a bench, and what it is judged by for that; pictures of benches. */
async function up(db: Knex): Promise<void> {
  await db.schema.createTable('bench_contexts', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.text('context').notNullable();
    table.integer('version').notNullable();
    table.primary(['session_id', 'student_id']);
  });
  await db.schema.createTable('bench_expectations', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    // The lesson's version that it was worked out from.
    table.integer('lesson_version').notNullable();
    table.text('expectation').notNullable();
    table.primary(['session_id', 'student_id', 'lesson_version']);
  });
  await db.schema.createTable('photos', (table) => {
    table.increments('id');
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.binary('jpeg').notNullable();
    table.integer('width').notNullable();
    table.integer('height').notNullable();
    // Where the plan's four corners lie in the picture, in shares of its width and height.
    table.text('corners');
    table.string('taken_at').notNullable();
    table.string('entry_key').notNullable().unique();
    table.index(['session_id', 'student_id'], 'photos_bench');
    table.index(['taken_at'], 'photos_taken');
  });
}

async function down(db: Knex): Promise<void> {
  for (const table of ['photos', 'bench_expectations', 'bench_contexts'])
    await db.schema.dropTableIfExists(table);
}

export const benches = { name: '006_benches', up, down };
