/** Longest side of a picture that is kept, and the most that it may weigh. */
const LONGEST = 1600;
const HEAVIEST = 900_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4];

export interface Shrunk {
  readonly picture: Uint8Array<ArrayBuffer>;
}

/**
 * A picture as it is kept: drawn anew, no larger than is needed to see a leg in its hole. What a camera writes beside the
 * picture does not come along.
 *
 * @throws a sentence, where the file is no picture that this browser can show
 */
export async function shrunk(file: Blob): Promise<Shrunk> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('This browser cannot read that file as a picture. A JPEG or PNG it can.');
  });
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((made) => canvas.toBlob(made, 'image/jpeg', quality));
    if (blob && blob.size <= HEAVIEST) return { picture: new Uint8Array(await blob.arrayBuffer()) };
  }
  throw new Error('The picture stays too large however it is shrunk. Take it from a little further away.');
}
