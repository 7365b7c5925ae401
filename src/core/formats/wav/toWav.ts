/** Bytes before the samples: RIFF, format and data heads. */
const HEAD = 44;
const FULL = 0x7fff;

/**
 * A sound as a WAV file: one channel of 16-bit PCM.
 * Source of the layout: Multimedia Programming Interface and Data Specifications 1.0, IBM & Microsoft 1991.
 *
 * @param samples from −1 to 1; what lies beyond is cut
 * @param rate samples a second
 */
export function toWav(samples: Float64Array, rate: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(HEAD + 2 * samples.length);
  const view = new DataView(bytes.buffer);
  const text = (at: number, word: string) =>
    [...word].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)));
  text(0, 'RIFF');
  view.setUint32(4, HEAD - 8 + 2 * samples.length, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, 2 * rate, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, 2 * samples.length, true);
  samples.forEach((value, i) => {
    view.setInt16(HEAD + 2 * i, Math.round(Math.max(-1, Math.min(1, value)) * FULL), true);
  });
  return bytes;
}
