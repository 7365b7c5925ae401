import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Hertz, Seconds } from '../../quantities/units';

/** What a WAV file says of itself, and where its samples lie. */
export interface WavHead {
  readonly rate: Hertz;
  readonly channels: number;
  readonly bits: number;
  /** Bytes that each sample takes; its bits are the upper ones. */
  readonly width: number;
  /** Samples are fractions rather than whole numbers. */
  readonly fractions: boolean;
  /** Place of the first sample, in bytes. */
  readonly from: number;
  /** How long it says that it is, and how much of that is there. */
  readonly said: Seconds;
  readonly there: Seconds;
}

type Format = Omit<WavHead, 'from' | 'said' | 'there'>;

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

/** Bytes of a file from one place up to another; fewer where it ends before. */
export type ReadBytes = (from: number, to: number) => Promise<Uint8Array>;

/** A format that is longer is no more telling. */
const FORMAT_BYTES = 40;
/** A file of more pieces than this is none that anybody has made for listening. */
const PIECES_MOST = 5000;

/**
 * Reads the head of a WAV file, wherever in it its pieces lie: of each only its name and length are read.
 * Source of the layout: Multimedia Programming Interface and Data Specifications 1.0, IBM & Microsoft 1991.
 *
 * @param size how long the whole file is
 * @returns where its samples lie, or what is wrong with it
 */
export async function wavHead(read: ReadBytes, size: number): Promise<Outcome<WavHead>> {
  const start = await read(0, 12);
  if (start.length < 12 || wordAt(start, 0) !== 'RIFF' || wordAt(start, 8) !== 'WAVE')
    return refused(finding('wav-none', { like: likeness(start) }));
  let format: Format | undefined;
  let samples: { readonly from: number; readonly length: number } | undefined;
  let at = 12;
  for (let n = 0; n < PIECES_MOST && at + 8 <= size && !(format && samples); n++) {
    const head = await read(at, at + 8);
    if (head.length < 8) break;
    const [name, length] = [wordAt(head, 0), viewOf(head).getUint32(4, true)];
    const body = at + 8;
    if (name === 'fmt ') {
      const said = await read(body, body + Math.min(length, FORMAT_BYTES));
      if (said.length < 16) break;
      const found = formatIn(viewOf(said));
      if (!found.ok) return found;
      format = found.value;
    }
    if (name === 'data') samples = { from: body, length };
    // Pieces begin at even places.
    at = body + length + (length % 2);
  }
  if (!format || !samples) return refused(finding('wav-headless', {}));
  return measured(format, samples.from, samples.length, size);
}

function viewOf(bytes: Uint8Array): DataView {
  return new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
}

function wordAt(bytes: Uint8Array, at: number): string {
  return String.fromCharCode(...bytes.subarray(at, at + 4));
}

function likeness(start: Uint8Array): string {
  const text = String.fromCharCode(...start.subarray(0, 12));
  return OTHERS.find(([begins]) => begins.test(text))?.[1] ?? '';
}

function formatIn(view: DataView): Outcome<Format> {
  const plain = view.getUint16(0, true);
  const sort = plain === EXTENDED && view.byteLength >= 26 ? view.getUint16(24, true) : plain;
  const channels = view.getUint16(2, true);
  const rate = view.getUint32(4, true);
  const bits = view.getUint16(14, true);
  if (channels < 1 || channels > 8) return refused(finding('wav-channels', { channels }));
  if (rate < 4000 || rate > 400_000) return refused(finding('wav-rate', { rate }));
  // Samples of 24 bits may stand in frames of 32, with nothing in the last eight.
  const said = view.getUint16(12, true) / channels;
  // A recorder may leave the size of a frame unsaid, or say one that holds no sample.
  const width = 8 * said >= bits ? said : Math.ceil(bits / 8);
  const widths = sort === WHOLE ? [1, 2, 3, 4] : sort === FRACTIONS ? [4, 8] : [];
  const fits = sort === WHOLE ? bits >= 8 && bits <= 8 * width : bits === 8 * width;
  if (!widths.includes(width) || !fits) return refused(finding('wav-packed', { sort, bits }));
  return accepted({ rate, channels, bits, width, fractions: sort === FRACTIONS });
}

function measured(format: Format, from: number, length: number, size: number): Outcome<WavHead> {
  const each = format.channels * format.width;
  // A recorder that was cut off leaves its length unsaid.
  const unsaid = length === 0xffffffff || length === 0;
  const bytes = Math.max(0, Math.min(unsaid ? Infinity : length, size - from));
  const there = Math.floor(bytes / each) / format.rate;
  if (there === 0) return refused(finding('wav-empty', {}));
  return accepted({ ...format, from, said: unsaid ? there : Math.floor(length / each) / format.rate, there });
}
