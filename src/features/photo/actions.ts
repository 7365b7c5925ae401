'use server';

import { z } from 'zod';
import { PLACED_WORDS, type Corners } from '@/core';
import { guarded, notTheirs } from '@/server/access/admit';
import { done, failed, type Answer } from '@/server/failures';
import { judgeSession } from '@/server/judging';
import { keepMarksOf, type SaidOfParts } from '@/server/pictures/beside';
import { cleanPicture } from '@/server/pictures/jpeg';
import { addPhoto, keepCornersOf, removePhoto } from '@/server/repositories/photos';

const idSchema = z.number().int().positive();
const photoSchema = z.strictObject({
  sessionId: idSchema,
  studentId: idSchema,
  picture: z.instanceof(Uint8Array),
  takenAt: z.iso.datetime(),
  entryKey: z.uuid(),
});
export type SentPhoto = z.input<typeof photoSchema>;

/** Keeps a picture of a bench, without anything in it that is not the picture. */
export async function keepPhoto(photo: SentPhoto): Promise<Answer<number>> {
  return guarded('keepPhoto', async (asking) => {
    const { picture, ...known } = photoSchema.parse(photo);
    const stranger = notTheirs(asking, known.sessionId, known.studentId);
    if (stranger) return failed(stranger);
    return done(await addPhoto({ ...known, ...cleanPicture(picture) }));
  });
}

const share = z.number().min(-1).max(2);
const spot = z.strictObject({ x: share, y: share });
const cornersSchema = z.tuple([spot, spot, spot, spot]);

/** Keeps where the plan's corners lie in a picture. */
export async function keepCorners(
  sessionId: number,
  photoId: number,
  corners: Corners,
): Promise<Answer<null>> {
  return guarded('keepCorners', async (asking) => {
    const own = idSchema.parse(sessionId);
    const stranger = notTheirs(asking, own);
    if (stranger) return failed(stranger);
    await keepCornersOf(own, idSchema.parse(photoId), cornersSchema.parse(corners));
    return done(null);
  });
}

/** Takes a picture away for good. */
export async function dropPhoto(sessionId: number, photoId: number): Promise<Answer<null>> {
  return guarded('dropPhoto', async (asking) => {
    const own = idSchema.parse(sessionId);
    const stranger = notTheirs(asking, own);
    if (stranger) return failed(stranger);
    await removePhoto(own, idSchema.parse(photoId));
    return done(null);
  });
}

const marksSchema = z.strictObject({
  sessionId: idSchema,
  studentId: idSchema,
  marks: z.record(z.string().max(20), z.enum(PLACED_WORDS)),
  takenBy: z.string().max(30),
  takenAt: z.iso.datetime(),
  entryKey: z.uuid(),
});

/** Keeps which parts of a bench differ from its plan, and how, as what was seen of it. */
export async function keepMarks(said: SaidOfParts): Promise<Answer<string>> {
  return guarded('keepMarks', async (asking) => {
    const known = marksSchema.parse(said);
    const stranger = notTheirs(asking, known.sessionId);
    if (stranger) return failed(stranger);
    const typed = await keepMarksOf(known);
    void judgeSession(known.sessionId).catch(() => undefined);
    return done(typed);
  });
}
