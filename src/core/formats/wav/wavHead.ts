import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Hertz, Seconds } from '../../quantities/units';

/** What a WAV file says of itself, and where its samples lie. */
export interface WavHead {
  readonly rate: Hertz;
  readonly channels: number;
  readonly bits: number;
  /** Samples are fractions rather than whole numbers. */
  readonly fractions: boolean;
  /** Place of the first sample, in bytes. */
  readonly from: number;
  /** How long it says that it is, and how much of that is there. */
  readonly said: Seconds;
  readonly there: Seconds;
}

const WHOLE = 1;
const FRACTIONS = 3;
/** The sort of samples stands further on in its head. */
const EXTENDED = 0xfffe;

/** Files that are taken for sounds, by how they begin. */
const OTHERS: readonly (readonly [RegExp, string])[] = [
  [/^ID3|^\xff[\xe2-\xff]/u, 'an MP3'],
  [/^OggS/u, 'an Ogg'],
  [/^fLaC/u, 'a FLAC'],
  [/^FORM/u, 'an AIFF'],
  [/^....ftyp/u, 'an MPEG-4'],
];

/**
 * Reads the head of a WAV file.
 * Source of the layout: Multimedia Programming Interface and Data Specifications 1.0, IBM & Microsoft 1991.
 *
 * @param start its first bytes, or all of them
 * @param size how long the whole file is
 * @returns where its samples lie, or what is wrong with it
 */
export function wavHead(start: Uint8Array, size: number): Outcome<WavHead> {
  const view = new DataView(start.buffer, start.byteOffset, start.byteLength);
  const word = (at: number) => String.fromCharCode(...start.subarray(at, at + 4));
  if (size < 12 || word(0) !== 'RIFF' || word(8) !== 'WAVE')
    return refused(finding('wav-none', { like: likeness(start) }));
  let format: Omit<WavHead, 'from' | 'said' | 'there'> | undefined;
  for (let at = 12; at + 8 <= start.length;) {
    const [name, length] = [word(at), view.getUint32(at + 4, true)];
    const body = at + 8;
    if (name === 'fmt ' && body + 16 <= start.length) {
      const read = formatAt(view, body, length);
      if (!read.ok) return read;
      format = read.value;
    }
    if (name === 'data')
      return format ? measured(format, body, length, size) : refused(finding('wav-headless', {}));
    // Pieces begin at even places.
    at = body + length + (length % 2);
  }
  return refused(finding('wav-headless', {}));
}

function likeness(start: Uint8Array): string {
  const text = String.fromCharCode(...start.subarray(0, 12));
  return OTHERS.find(([begins]) => begins.test(text))?.[1] ?? '';
}

function formatAt(
  view: DataView,
  at: number,
  length: number,
): Outcome<Omit<WavHead, 'from' | 'said' | 'there'>> {
  const plain = view.getUint16(at, true);
  const sort =
    plain === EXTENDED && length >= 26 && at + 26 <= view.byteLength ? view.getUint16(at + 24, true) : plain;
  const channels = view.getUint16(at + 2, true);
  const rate = view.getUint32(at + 4, true);
  const bits = view.getUint16(at + 14, true);
  const known = sort === WHOLE ? [8, 16, 24, 32] : sort === FRACTIONS ? [32, 64] : [];
  if (!known.includes(bits)) return refused(finding('wav-packed', { sort, bits }));
  if (channels < 1 || channels > 8) return refused(finding('wav-channels', { channels }));
  if (rate < 4000 || rate > 400_000) return refused(finding('wav-rate', { rate }));
  return accepted({ rate, channels, bits, fractions: sort === FRACTIONS });
}

function measured(
  format: Omit<WavHead, 'from' | 'said' | 'there'>,
  from: number,
  length: number,
  size: number,
): Outcome<WavHead> {
  const each = (format.channels * format.bits) / 8;
  // A recorder that was cut off leaves its length unsaid.
  const unsaid = length === 0xffffffff || length === 0;
  const bytes = Math.max(0, Math.min(unsaid ? Infinity : length, size - from));
  const there = Math.floor(bytes / each) / format.rate;
  if (there === 0) return refused(finding('wav-empty', {}));
  return accepted({ ...format, from, said: unsaid ? there : Math.floor(length / each) / format.rate, there });
}
