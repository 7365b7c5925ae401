import type { Knex } from 'knex';
import { write } from '../db/connection';
import { Missing, VersionConflict } from '../failures';

/**
 * Updates one row if nobody else has since the caller read it.
 *
 * @returns the new version
 * @throws VersionConflict when the row has moved on, Missing when it is gone
 */
export async function updateVersioned(
  trx: Knex.Transaction,
  table: string,
  where: Record<string, string | number>,
  version: number,
  values: Record<string, unknown>,
  thing: string,
): Promise<number> {
  const changed = await trx(table)
    .where({ ...where, version })
    .update({ ...values, version: version + 1 });
  if (changed === 1) return version + 1;
  const there: unknown = await trx(table).where(where).first();
  if (!there) throw new Missing(`${capital(thing)} is not there any more.`);
  throw new VersionConflict(`Somebody else saved ${thing} in the meantime. What you typed is still here.`);
}

/**
 * Keeps a row that has a default until it is first saved: version 0 means that the caller saw the default.
 *
 * @throws VersionConflict when somebody else has saved it since
 */
export async function putVersioned(
  trx: Knex.Transaction,
  table: string,
  where: Record<string, string | number>,
  version: number,
  values: Record<string, unknown>,
  thing: string,
): Promise<number> {
  if (version === 0 && !(await trx(table).where(where).first())) {
    await trx(table).insert({ ...where, ...values, version: 1 });
    return 1;
  }
  return updateVersioned(trx, table, where, version, values, thing);
}

/**
 * Puts a row away, or takes it out again.
 *
 * @throws Missing when it is gone
 */
export async function putAway(table: string, id: number, at: string | null, thing: string): Promise<void> {
  await write(async (trx) => {
    const changed = await trx(table).where({ id }).update({ archived_at: at });
    if (changed === 0) throw new Missing(`${capital(thing)} is not there any more.`);
  });
}

function capital(thing: string): string {
  return thing.charAt(0).toUpperCase() + thing.slice(1);
}
