import { subDays } from 'date-fns';
import { removePhotosBefore } from '../repositories/photos';
import { pictureRule } from '../repositories/settings';

const held = globalThis as { mivvetPictureTimer?: NodeJS.Timeout };
const HOUR_MS = 3_600_000;

/** Lets pictures of benches go that have been kept for as long as the house keeps them. */
export async function letPicturesGo(now = new Date()): Promise<number> {
  const { days } = (await pictureRule()).value;
  return removePhotosBefore(subDays(now, days).toISOString());
}

/** Looks every hour. */
export function letPicturesGoInTime(): void {
  clearInterval(held.mivvetPictureTimer);
  const look = () =>
    void letPicturesGo().catch((error: unknown) =>
      console.error(`mivvet: old pictures are still there: ${(error as Error).message}`),
    );
  held.mivvetPictureTimer = setInterval(look, HOUR_MS).unref();
  look();
}
