import type { Knex } from 'knex';
import { nicknameKey, type StudentRow } from '@/core';
import { database, write } from '../db/connection';
import { Missing, Refusal } from '../failures';
import { putAway, updateVersioned } from './versioned';

export interface Student {
  readonly id: number;
  readonly bench: number;
  readonly nickname: string;
  readonly version: number;
  readonly archivedAt: string | null;
}

export interface Group {
  readonly id: number;
  readonly name: string;
  readonly meets: string;
  readonly archivedAt: string | null;
  readonly version: number;
  /** By bench; those who left come last. */
  readonly students: readonly Student[];
}

interface StoredGroup {
  id: number;
  name: string;
  meets: string;
  archived_at: string | null;
  version: number;
}
interface StoredStudent {
  id: number;
  group_id: number;
  bench: number;
  nickname: string;
  version: number;
  archived_at: string | null;
}

export async function groups(): Promise<Group[]> {
  const db = await database();
  const rows = (await db('study_groups').orderBy('id')) as StoredGroup[];
  const students = (await db('students').orderByRaw('archived_at IS NOT NULL, bench')) as StoredStudent[];
  return rows.map((row) =>
    groupFrom(
      row,
      students.filter((s) => s.group_id === row.id),
    ),
  );
}

function groupFrom({ id, name, meets, archived_at, version }: StoredGroup, students: StoredStudent[]): Group {
  return { id, name, meets, version, archivedAt: archived_at, students: students.map(studentFrom) };
}

function studentFrom({ id, bench, nickname, version, archived_at }: StoredStudent): Student {
  return { id, bench, nickname, version, archivedAt: archived_at };
}

/** @throws Missing when there is no group of that number */
export async function group(id: number): Promise<Group> {
  const db = await database();
  const row = (await db('study_groups').where({ id }).first()) as StoredGroup | undefined;
  if (!row) throw new Missing('This group is not there any more.');
  const students = (await db('students')
    .where({ group_id: id })
    .orderByRaw('archived_at IS NOT NULL, bench')) as StoredStudent[];
  return groupFrom(row, students);
}

/** @throws Missing when there is no student of that number */
export async function student(id: number): Promise<Student & { readonly groupId: number }> {
  const row = (await (await database())('students').where({ id }).first()) as StoredStudent | undefined;
  if (!row) throw new Missing('This student is not there any more.');
  return { ...studentFrom(row), groupId: row.group_id };
}

export async function addGroup(name: string, meets: string): Promise<number> {
  return write(async (trx) => {
    await refuseLikeName(trx, name, 0);
    const [id] = await trx('study_groups').insert({ name, meets });
    return id!;
  });
}

export async function saveGroup(id: number, version: number, name: string, meets: string): Promise<number> {
  return write(async (trx) => {
    await refuseLikeName(trx, name, id);
    return updateVersioned(trx, 'study_groups', { id }, version, { name, meets }, 'this group');
  });
}

export async function archiveGroup(id: number, at: string | null): Promise<void> {
  await putAway('study_groups', id, at, 'this group');
}

/** Adds students; the whole list or none of it. */
export async function addStudents(groupId: number, rows: readonly StudentRow[]): Promise<void> {
  await write(async (trx) => {
    for (const { bench, nickname } of rows) {
      await refuseDoubles(trx, groupId, bench, nickname, 0);
      await trx('students').insert({ group_id: groupId, bench, nickname, name_key: nicknameKey(nickname) });
    }
  });
}

export async function saveStudent(
  id: number,
  version: number,
  bench: number,
  nickname: string,
): Promise<number> {
  return write(async (trx) => {
    const row = await rowOf(trx, id);
    await refuseDoubles(trx, row.group_id, bench, nickname, id);
    const values = { bench, nickname, name_key: nicknameKey(nickname) };
    return updateVersioned(trx, 'students', { id }, version, values, 'this student');
  });
}

/** Lets a student leave, or come back; their readings stay. */
export async function archiveStudent(id: number, at: string | null): Promise<void> {
  await write(async (trx) => {
    const row = await rowOf(trx, id);
    if (at === null && row.nickname === ERASED)
      throw new Refusal('This student was erased and cannot come back. Add them anew.');
    if (at === null) await refuseDoubles(trx, row.group_id, row.bench, row.nickname, id);
    await trx('students').where({ id }).update({ archived_at: at });
  });
}

/** What stands where the name of a student was. */
export const ERASED = '–';

/** Takes a student's name out of the house for good. Their readings stay, by bench, for what a class's figures say. */
export async function eraseStudent(id: number, at: string): Promise<void> {
  await write(async (trx) => {
    const row = await rowOf(trx, id);
    // Whoever sat there with a machine of their own is out.
    await trx('seats').where({ student_id: id }).delete();
    await trx('freed_seats').where({ student_id: id }).delete();
    await trx('photos').where({ student_id: id }).delete();
    await trx('students')
      .where({ id })
      .update({
        nickname: ERASED,
        name_key: `${id}`,
        archived_at: row.archived_at ?? at,
        version: row.version + 1,
      });
  });
}

async function rowOf(trx: Knex.Transaction, id: number): Promise<StoredStudent> {
  const row = (await trx('students').where({ id }).first()) as StoredStudent | undefined;
  if (!row) throw new Missing('This student is not there any more.');
  return row;
}

/** Two groups that meet are told apart by their names, as these look. */
async function refuseLikeName(trx: Knex.Transaction, name: string, except: number): Promise<void> {
  const others = (await trx('study_groups')
    .whereNull('archived_at')
    .whereNot({ id: except })) as StoredGroup[];
  const like = others.find((other) => nicknameKey(other.name) === nicknameKey(name));
  if (like) throw new Refusal(`There is a group “${like.name}” already. Give this one another name.`);
}

async function refuseDoubles(
  trx: Knex.Transaction,
  groupId: number,
  bench: number,
  nickname: string,
  except: number,
): Promise<void> {
  const present = () =>
    trx('students').where({ group_id: groupId }).whereNull('archived_at').whereNot({ id: except });
  const like = (await present()
    .where({ name_key: nicknameKey(nickname) })
    .first()) as StoredStudent | undefined;
  if (like) {
    throw new Refusal(
      like.nickname === nickname
        ? `“${nickname}” is in this group already. Give this student another nickname.`
        : `“${nickname}” would be taken for “${like.nickname}”, who is in this group already. Give this student another nickname.`,
    );
  }
  if (await present().where({ bench }).first()) {
    throw new Refusal(`Bench ${bench} is taken in this group already.`);
  }
}
