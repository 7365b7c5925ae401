interface Told {
  readonly width: number;
  readonly height: number;
  readonly scans?: number;
  /** Marker of the frame: 0xC0 is baseline. */
  readonly frame?: number;
}

const segment = (marker: number, body: Buffer): Buffer => {
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
};
const text = (words: string) => Buffer.from(words, 'latin1');

/** The outside of a JPEG, as a phone writes it: with place, device, a comment, and something behind its end. */
export function jpegWith({ width, height, scans = 1, frame = 0xc0 }: Told): Buffer {
  const size = Buffer.from([8, 0, 0, 0, 0, 1, 1, 0x11, 0]);
  size.writeUInt16BE(height, 1);
  size.writeUInt16BE(width, 3);
  const scan = Buffer.concat([
    segment(0xc4, text('huffman')),
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    text('scan-data\xff\x00more\xff\xd0still'),
  ]);
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, text('JFIF\0thumbnail')),
    segment(0xe1, text('Exif\0\0GPS 54.1 N; Pocket Camera 5')),
    segment(0xfe, text('taken at the pier')),
    segment(0xdb, text('tables')),
    segment(frame, size),
    ...Array.from({ length: scans }, () => scan),
    Buffer.from([0xff, 0xd9]),
    text('trailing'),
  ]);
}
