import { randomInt } from 'node:crypto';
import { database, write } from '../db/connection';
import { Missing } from '../failures';

/** A code that lets somebody come to one session until it ends. */
export interface Code {
  readonly id: number;
  readonly code: string;
  readonly role: 'helper' | 'student';
  readonly sessionId: number;
  readonly endsAt: string;
}

interface Stored {
  id: number;
  code: string;
  role: 'helper' | 'student';
  session_id: number;
  ends_at: string;
}

function fromRow({ id, code, role, session_id, ends_at }: Stored): Code {
  return { id, code, role, sessionId: session_id, endsAt: ends_at };
}

/** Letters and figures that are not taken for one another when read from a board or said aloud. */
const SIGNS = 'BCDFGHJKMNPQRTVWXY346789';
const LENGTH = 6;

/** Makes a code for a session. One of the same sort lets nobody new in from then on; whoever came by it stays. */
export async function addCode(sessionId: number, role: Code['role'], endsAt: string): Promise<Code> {
  return write(async (trx) => {
    if (!(await trx('sessions').where({ id: sessionId }).first()))
      throw new Missing('This session is not there any more.');
    await trx('codes').where({ session_id: sessionId, role }).update({ closed: 1 });
    const code = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
    const [id] = await trx('codes').insert({ code, role, session_id: sessionId, ends_at: endsAt });
    return { id: id!, code, role, sessionId, endsAt };
  });
}

export async function endCodesOf(sessionId: number, role: Code['role']): Promise<void> {
  await write((trx) => trx('codes').where({ session_id: sessionId, role }).delete());
}

/** The codes of a session that let somebody in now. */
export async function codesOf(sessionId: number, now = new Date()): Promise<Code[]> {
  const { rows } = await live(now);
  return ((await rows.where({ session_id: sessionId, closed: 0 }).select('codes.*')) as Stored[]).map(
    fromRow,
  );
}

/** The code as it was typed, where it lets somebody in now; letter case and spaces do not matter. */
export async function codeNamed(typed: string, now = new Date()): Promise<Code | undefined> {
  const code = typed.toUpperCase().replace(/[^A-Z0-9]/gu, '');
  const row = (await (await live(now)).rows.where({ code, closed: 0 }).first('codes.*')) as
    Stored | undefined;
  return row && fromRow(row);
}

export async function codeIsLive(id: number, now = new Date()): Promise<boolean> {
  return (await (await live(now)).rows.where({ 'codes.id': id }).first('codes.id')) !== undefined;
}

/** A session that is put away lets nobody in. */
async function live(now: Date) {
  const rows = (await database())('codes')
    .join('sessions', 'sessions.id', 'session_id')
    .whereNull('sessions.archived_at')
    .where('ends_at', '>', now.toISOString());
  return { rows };
}
