import type { Knex } from 'knex';
import type { StudentRow } from '@/core';
import { database, write } from '../db/connection';
import { Missing, Refusal } from '../failures';
import { updateVersioned } from './versioned';

export interface Student {
  readonly id: number;
  readonly bench: number;
  readonly nickname: string;
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
  archived_at: string | null;
}

export async function groups(): Promise<Group[]> {
  const db = await database();
  const rows = (await db('study_groups').orderBy('id')) as StoredGroup[];
  const students = (await db('students').orderByRaw('archived_at IS NOT NULL, bench')) as StoredStudent[];
  return rows.map(({ id, name, meets, archived_at, version }) => ({
    id,
    name,
    meets,
    version,
    archivedAt: archived_at,
    students: students.filter((s) => s.group_id === id).map(studentFrom),
  }));
}

function studentFrom({ id, bench, nickname, archived_at }: StoredStudent): Student {
  return { id, bench, nickname, archivedAt: archived_at };
}

/** @throws Missing when there is no group of that number */
export async function group(id: number): Promise<Group> {
  const found = (await groups()).find((g) => g.id === id);
  if (!found) throw new Missing('This group is not there any more.');
  return found;
}

export async function addGroup(name: string, meets: string): Promise<number> {
  return write(async (trx) => {
    const [id] = await trx('study_groups').insert({ name, meets });
    return id!;
  });
}

export async function saveGroup(id: number, version: number, name: string, meets: string): Promise<number> {
  return write((trx) => updateVersioned(trx, 'study_groups', { id }, version, { name, meets }, 'this group'));
}

export async function archiveGroup(id: number, at: string | null): Promise<void> {
  await write((trx) => trx('study_groups').where({ id }).update({ archived_at: at }));
}

/** Adds students; the whole list or none of it. */
export async function addStudents(groupId: number, rows: readonly StudentRow[]): Promise<void> {
  await write(async (trx) => {
    for (const { bench, nickname } of rows) {
      await refuseDoubles(trx, groupId, bench, nickname, 0);
      await trx('students').insert({ group_id: groupId, bench, nickname });
    }
  });
}

export async function saveStudent(id: number, bench: number, nickname: string): Promise<void> {
  await write(async (trx) => {
    const row = (await trx('students').where({ id }).first()) as StoredStudent | undefined;
    if (!row) throw new Missing('This student is not there any more.');
    await refuseDoubles(trx, row.group_id, bench, nickname, id);
    await trx('students').where({ id }).update({ bench, nickname });
  });
}

/** Lets a student leave, or come back; their readings stay. */
export async function archiveStudent(id: number, at: string | null): Promise<void> {
  await write(async (trx) => {
    const row = (await trx('students').where({ id }).first()) as StoredStudent | undefined;
    if (!row) throw new Missing('This student is not there any more.');
    if (at === null) await refuseDoubles(trx, row.group_id, row.bench, row.nickname, id);
    await trx('students').where({ id }).update({ archived_at: at });
  });
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
  if (await present().whereRaw('lower(nickname) = ?', nickname.toLowerCase()).first()) {
    throw new Refusal(`“${nickname}” is in this group already. Give this student another nickname.`);
  }
  if (await present().where({ bench }).first()) {
    throw new Refusal(`Bench ${bench} is taken in this group already.`);
  }
}
