import type { Knex } from 'knex';

/** Who is there, and who works at whose bench; seats that were freed, codes that let nobody new in, retests that are closed. */
async function up(db: Knex): Promise<void> {
  await db.schema.createTable('attendance', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.string('state').notNullable();
    // At whose bench a student works who is one of a pair.
    table.integer('with_student').references('students.id');
    table.primary(['session_id', 'student_id']);
  });
  await db.schema.createTable('freed_seats', (table) => {
    table.string('token').primary();
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
  });
  await db.schema.createTable('closed_retests', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.text('word').notNullable();
    table.string('closed_at').notNullable();
    // The bench's last reading by then: a later one opens it again.
    table.integer('after_reading').notNullable();
    table.primary(['session_id', 'student_id']);
  });
  await db.schema.alterTable('codes', (table) => {
    table.integer('closed').notNullable().defaultTo(0);
  });
}

async function down(db: Knex): Promise<void> {
  for (const table of ['closed_retests', 'freed_seats', 'attendance'])
    await db.schema.dropTableIfExists(table);
  await db.raw('ALTER TABLE codes DROP COLUMN closed');
}

export const presence = { name: '007_presence', up, down };
