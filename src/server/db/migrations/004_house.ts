import type { Knex } from 'knex';
import { nicknameKey } from '@/core';
import { pointRows } from '../../repositories/points';
import { expectationFrom } from '../../repositories/keptExpectation';

/**
 * What was worked out is kept: results of heavy work by what they hang on, the checkpoints of each session beside it,
 * and how each bench stands. Students are told apart by how their names look and carry versions. Who may come in.
 */
async function up(db: Knex): Promise<void> {
  await db.schema.createTable('worked_out', (table) => {
    table.string('key').primary();
    table.string('kind').notNullable();
    table.text('json').notNullable();
    table.integer('made_at').notNullable().index();
  });
  await db.schema.createTable('session_points', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.string('point').notNullable();
    table.string('unit').notNullable();
    table.double('low').notNullable();
    table.double('high').notNullable();
    table.text('checkpoint').notNullable();
    table.primary(['session_id', 'point']);
  });
  await db.schema.createTable('judgements', (table) => {
    table.integer('session_id').notNullable().references('sessions.id');
    table.integer('student_id').notNullable().references('students.id');
    /** By which rule the bench was judged; 0 where it waits to be. */
    table.integer('rule').notNullable().defaultTo(0).index();
    table.string('state').notNullable().defaultTo('none');
    table.text('cause').notNullable().defaultTo('');
    table.text('next').notNullable().defaultTo('');
    table.text('judged').notNullable().defaultTo('{"verdicts":{},"state":"none"}');
    table.primary(['session_id', 'student_id']);
  });
  await db.schema.alterTable('readings', (table) => {
    table.integer('counts').notNullable().defaultTo(1);
    table.string('verdict');
    table.double('uncertainty');
    table.double('meter_range');
    table.index(['session_id', 'id'], 'readings_session');
  });
  await db.raw("CREATE INDEX readings_off ON readings (session_id, id) WHERE verdict IN ('off', 'close')");
  await db.raw(`UPDATE readings SET counts = 0 WHERE id NOT IN
    (SELECT max(id) FROM readings GROUP BY session_id, student_id, point)`);
  await db.raw(`INSERT INTO judgements (session_id, student_id)
    SELECT DISTINCT session_id, student_id FROM readings`);
  await keepPoints(db);
  await db.schema.alterTable('students', (table) => {
    table.string('name_key').notNullable().defaultTo('');
    table.integer('version').notNullable().defaultTo(1);
  });
  await tellNamesApart(db);
  await db.schema.createTable('codes', (table) => {
    table.increments('id');
    table.string('code').notNullable().unique();
    table.string('role').notNullable();
    table.integer('session_id').notNullable().references('sessions.id').index();
    table.string('ends_at').notNullable();
  });
}

async function keepPoints(db: Knex): Promise<void> {
  const rows = (await db('sessions').select('id', 'expectation')) as { id: number; expectation: string }[];
  for (const { id, expectation } of rows) {
    for (const row of pointRows(id, expectationFrom(expectation))) await db('session_points').insert(row);
  }
}

async function tellNamesApart(db: Knex): Promise<void> {
  const rows = (await db('students').orderBy('id')) as {
    id: number;
    group_id: number;
    nickname: string;
    archived_at: string | null;
  }[];
  const taken = new Set<string>();
  for (const { id, group_id, nickname, archived_at } of rows) {
    const key = nicknameKey(nickname);
    // Two who got in under names that only look alike stay; the later one is told apart by number.
    const double = archived_at === null && taken.has(`${group_id} ${key}`);
    if (archived_at === null) taken.add(`${group_id} ${key}`);
    await db('students')
      .where({ id })
      .update({ name_key: double ? `${key} ${id}` : key });
  }
  await db.raw('DROP INDEX students_nickname');
  await db.raw(
    'CREATE UNIQUE INDEX students_name ON students (group_id, name_key) WHERE archived_at IS NULL',
  );
}

async function down(db: Knex): Promise<void> {
  for (const table of ['codes', 'judgements', 'session_points', 'worked_out']) {
    await db.schema.dropTableIfExists(table);
  }
  await db.raw('DROP INDEX students_name');
  await db.raw(
    'CREATE UNIQUE INDEX students_nickname ON students (group_id, lower(nickname)) WHERE archived_at IS NULL',
  );
  await db.raw('DROP INDEX readings_session');
  await db.raw('DROP INDEX readings_off');
  for (const column of ['counts', 'verdict', 'uncertainty', 'meter_range'])
    await db.raw(`ALTER TABLE readings DROP COLUMN ${column}`);
  for (const column of ['name_key', 'version']) await db.raw(`ALTER TABLE students DROP COLUMN ${column}`);
}

export const house = { name: '004_house', up, down };
