import type { Knex } from 'knex';

const TABLES = ['readings', 'sessions', 'students', 'study_groups', 'lessons', 'stock', 'lamps', 'settings'];

async function up(db: Knex): Promise<void> {
  await db.schema.createTable('settings', (table) => {
    table.string('name').primary();
    table.text('json').notNullable();
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('lamps', (table) => {
    table.string('type').primary();
    table.text('figures').notNullable();
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('stock', (table) => {
    table.increments('id');
    table.string('key').notNullable().unique();
    table.text('spec').notNullable();
    table.integer('have').notNullable();
    table.integer('pack_size').notNullable();
    table.integer('pack_cents').notNullable();
    table.string('place').notNullable().defaultTo('');
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('lessons', (table) => {
    table.increments('id');
    table.string('course').notNullable().defaultTo('');
    table.integer('position').notNullable().defaultTo(0);
    table.string('title').notNullable();
    table.text('aim').notNullable().defaultTo('');
    table.text('story').notNullable().defaultTo('');
    table.text('notes').notNullable().defaultTo('');
    table.string('age_group').notNullable();
    table.text('choice').notNullable();
    table.text('plan');
    table.string('archived_at');
    table.string('updated_at').notNullable();
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('study_groups', (table) => {
    table.increments('id');
    table.string('name').notNullable();
    table.string('meets').notNullable().defaultTo('');
    table.string('archived_at');
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('students', (table) => {
    table.increments('id');
    table.integer('group_id').notNullable().references('study_groups.id').index();
    table.integer('bench').notNullable();
    table.string('nickname').notNullable();
    table.string('archived_at');
  });
  await db.raw(
    'CREATE UNIQUE INDEX students_nickname ON students (group_id, lower(nickname)) WHERE archived_at IS NULL',
  );
  await db.raw('CREATE UNIQUE INDEX students_bench ON students (group_id, bench) WHERE archived_at IS NULL');
  await db.schema.createTable('sessions', (table) => {
    table.increments('id');
    table.integer('lesson_id').notNullable().references('lessons.id').index();
    table.integer('group_id').notNullable().references('study_groups.id').index();
    table.string('on_date').notNullable().index();
    table.text('expectation').notNullable();
    table.text('summary').notNullable();
    table.text('packed').notNullable().defaultTo('[]');
    table.string('archived_at');
    table.integer('version').notNullable().defaultTo(1);
  });
  await db.schema.createTable('readings', (table) => {
    table.increments('id');
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    table.string('point').notNullable();
    table.string('kind').notNullable();
    table.double('value').notNullable();
    table.double('step').notNullable();
    table.string('typed').notNullable();
    table.string('meter').notNullable();
    table.string('taken_by').notNullable().defaultTo('');
    table.string('taken_at').notNullable();
    table.string('entry_key').notNullable().unique();
    table.index(['session_id', 'student_id', 'point']);
  });
}

async function down(db: Knex): Promise<void> {
  for (const table of TABLES) await db.schema.dropTableIfExists(table);
}

export const start = { name: '001_start', up, down };
