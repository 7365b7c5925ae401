import { Refusal } from '../failures';

/** A picture without anything that says where, when or by what it was taken. */
export interface CleanPicture {
  readonly jpeg: Buffer;
  readonly width: number;
  readonly height: number;
}

/** Pictures are shrunk before they are sent; more than this was not. */
export const MOST_BYTES = 1_500_000;
const MOST_POINTS = 2400;

const NO_PICTURE = 'That is no picture that can be kept: it should be a JPEG, as phones take them.';

/** Segments that the picture itself is made of (ITU-T T.81, table B.1); all others only tell about it. */
function isPicture(marker: number): boolean {
  const frame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc8;
  return frame || marker === 0xdb || marker === 0xdd;
}

/** Frame headers, which say how large it is: baseline or progressive, no others that a browser shows. */
function isFrame(marker: number): boolean {
  return marker >= 0xc0 && marker <= 0xc2;
}

/**
 * Takes out of a JPEG all that is not the picture itself: place, time, device, thumbnails, comments, and whatever follows
 * its end.
 *
 * @throws Refusal where it is no JPEG, is cut off, or is too large
 */
export function cleanPicture(bytes: Uint8Array): CleanPicture {
  const from = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (from.length > MOST_BYTES) throw new Refusal('The picture is too large to be kept.');
  if (from.length < 4 || from.readUInt16BE(0) !== 0xffd8) throw new Refusal(NO_PICTURE);
  const kept: Buffer[] = [from.subarray(0, 2)];
  let size: { width: number; height: number } | undefined;
  for (let at = 2; ;) {
    const marker = markerAt(from, at);
    if (marker === 0xd9) {
      kept.push(Buffer.from([0xff, 0xd9]));
      break;
    }
    const end = at + 2 + lengthAt(from, at);
    if (isFrame(marker)) {
      if (size) throw new Refusal('This file holds more than one picture: send them one by one.');
      size = sizeIn(from.subarray(at, end));
    }
    const scanned = marker === 0xda ? endOfScan(from, end) : end;
    if (marker === 0xda || isPicture(marker)) kept.push(from.subarray(at, scanned));
    at = scanned;
  }
  if (!size || size.width < 1 || size.height < 1) throw new Refusal(NO_PICTURE);
  if (Math.max(size.width, size.height) > MOST_POINTS)
    throw new Refusal('The picture is too large to be kept.');
  return { jpeg: Buffer.concat(kept), ...size };
}

/** How large a frame says it is; a header that ends before it does is none. */
function sizeIn(header: Buffer): { readonly width: number; readonly height: number } {
  if (header.length < 9) throw new Refusal(NO_PICTURE);
  return { height: header.readUInt16BE(5), width: header.readUInt16BE(7) };
}

function markerAt(from: Buffer, at: number): number {
  if (at + 2 > from.length || from[at] !== 0xff) throw new Refusal(NO_PICTURE);
  return from[at + 1]!;
}

function lengthAt(from: Buffer, at: number): number {
  if (at + 4 > from.length) throw new Refusal(NO_PICTURE);
  const length = from.readUInt16BE(at + 2);
  if (length < 2 || at + 2 + length > from.length) throw new Refusal(NO_PICTURE);
  return length;
}

/** Where the scan's own data end: at the next marker that is neither a stuffed byte nor a restart. */
function endOfScan(from: Buffer, start: number): number {
  for (let at = from.indexOf(0xff, start); at >= 0 && at + 1 < from.length; at = from.indexOf(0xff, at + 1)) {
    const next = from[at + 1]!;
    if (next !== 0 && next !== 0xff && (next < 0xd0 || next > 0xd7)) return at;
  }
  throw new Refusal(NO_PICTURE);
}
