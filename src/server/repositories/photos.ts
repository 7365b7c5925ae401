import type { Corners } from '@/core';
import { database, write } from '../db/connection';
import { Missing } from '../failures';
import type { CleanPicture } from '../pictures/jpeg';
import { refuseStranger } from './belongs';

/** A picture of a bench, without the picture itself. */
export interface Photo {
  readonly id: number;
  readonly width: number;
  readonly height: number;
  /** Where the plan's corners lie in it, in shares of its width and height; nothing until somebody has said. */
  readonly corners: Corners | undefined;
  /** When it arrived here. */
  readonly arrivedAt: string;
}

export interface NewPhoto extends CleanPicture {
  readonly sessionId: number;
  readonly studentId: number;
  readonly takenAt: string;
  readonly entryKey: string;
}

interface Stored {
  id: number;
  width: number;
  height: number;
  corners: string | null;
  arrived_at: string;
}

/** Of one bench so many are kept: a newer one takes the oldest's place. */
const MOST_OF_BENCH = 6;

/**
 * Keeps a picture of a bench; sent twice, it is kept once.
 *
 * @param arrivedAt by the clock of this machine: how long it is kept is counted from then
 */
export async function addPhoto(photo: NewPhoto, arrivedAt = new Date().toISOString()): Promise<number> {
  return write(async (trx) => {
    const known = (await trx('photos').where({ entry_key: photo.entryKey }).first('id')) as
      { id: number } | undefined;
    if (known) return known.id;
    await refuseStranger(trx, photo.sessionId, photo.studentId);
    const bench = { session_id: photo.sessionId, student_id: photo.studentId };
    const [id] = await trx('photos').insert({
      ...bench,
      jpeg: photo.jpeg,
      width: photo.width,
      height: photo.height,
      taken_at: photo.takenAt,
      arrived_at: arrivedAt,
      entry_key: photo.entryKey,
    });
    const all = (await trx('photos').where(bench).orderBy('id', 'desc').select('id')) as { id: number }[];
    await trx('photos')
      .whereIn(
        'id',
        all.slice(MOST_OF_BENCH).map((one) => one.id),
      )
      .delete();
    return id!;
  });
}

/** Pictures of a bench, the newest first. */
export async function photosOf(sessionId: number, studentId: number): Promise<Photo[]> {
  const rows = (await (
    await database()
  )('photos')
    .where({ session_id: sessionId, student_id: studentId })
    .orderBy('id', 'desc')
    .select('id', 'width', 'height', 'corners', 'arrived_at')) as Stored[];
  return rows.map(({ id, width, height, corners, arrived_at }) => ({
    id,
    width,
    height,
    corners: corners === null ? undefined : (JSON.parse(corners) as Corners),
    arrivedAt: arrived_at,
  }));
}

/** Benches of a session of which there are pictures. */
export async function photographed(sessionId: number): Promise<number[]> {
  const rows = (await (
    await database()
  )('photos')
    .where({ session_id: sessionId })
    .distinct('student_id')) as { student_id: number }[];
  return rows.map(({ student_id }) => student_id);
}

/** The picture itself; undefined where it is not there any more. */
export async function photoBytes(sessionId: number, id: number): Promise<Buffer | undefined> {
  const row = (await (await database())('photos').where({ id, session_id: sessionId }).first('jpeg')) as
    { jpeg: Buffer } | undefined;
  return row && Buffer.from(row.jpeg);
}

export async function keepCornersOf(sessionId: number, id: number, corners: Corners): Promise<void> {
  const changed = await write((trx) =>
    trx('photos')
      .where({ id, session_id: sessionId })
      .update({ corners: JSON.stringify(corners) }),
  );
  if (changed === 0) throw new Missing('This picture is not there any more.');
}

export async function removePhoto(sessionId: number, id: number): Promise<void> {
  await write((trx) => trx('photos').where({ id, session_id: sessionId }).delete());
}

/** Lets pictures go that arrived before a moment. */
export async function removePhotosBefore(at: string): Promise<number> {
  return write((trx) => trx('photos').where('arrived_at', '<', at).delete());
}
