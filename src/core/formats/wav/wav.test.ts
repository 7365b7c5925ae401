import { lengthOf } from '../../numerics/sound';
import { bytesOf, fromWav } from './fromWav';
import { toWav } from './toWav';
import { wavHead } from './wavHead';

/** A tone of two channels, the right one at half of the left. */
const at = (i: number, rate: number, hertz = 1000) => 0.8 * Math.sin((2 * Math.PI * hertz * i) / rate);

const word = (text: string) => [...text].map((letter) => letter.charCodeAt(0));
const long = (value: number) => [0, 8, 16, 24].map((shift) => (value >>> shift) & 0xff);
const short = (value: number) => long(value).slice(0, 2);

/** The bytes of one sample, written here by itself. */
function sampleOf(value: number, bits: number, fractions: boolean): number[] {
  if (fractions) {
    const view = new DataView(new ArrayBuffer(bits / 8));
    if (bits === 64) view.setFloat64(0, value, true);
    else view.setFloat32(0, value, true);
    return [...new Uint8Array(view.buffer)];
  }
  if (bits === 8) return [128 + Math.round(127 * value)];
  return long(Math.round((2 ** (bits - 1) - 1) * value)).slice(0, bits / 8);
}

const USUAL = {
  rate: 44_100,
  channels: 1,
  bits: 16,
  fractions: false,
  extended: false,
  seconds: 0.1,
  hertz: 1000,
  between: 0,
};

/** A WAV file of any sort. */
function file(sort: Partial<typeof USUAL> = {}): Uint8Array {
  const { rate, channels, bits, fractions, extended, seconds, hertz, between } = { ...USUAL, ...sort };
  const width = (channels * bits) / 8;
  const kind = short(fractions ? 3 : 1);
  const format = [
    ...(extended ? short(0xfffe) : kind),
    ...short(channels),
    ...long(rate),
    ...long(rate * width),
    ...short(width),
    ...short(bits),
    ...(extended
      ? [...short(22), ...short(bits), ...long(3), ...kind, ...new Array<number>(14).fill(0)]
      : []),
  ];
  const samples = Array.from({ length: Math.round(seconds * rate) }, (_, i) =>
    Array.from({ length: channels }, (__, channel) =>
      sampleOf(at(i, rate, hertz) / (channel + 1), bits, fractions),
    ).flat(),
  ).flat();
  const list = between ? [...word('LIST'), ...long(between), ...new Array<number>(between).fill(0)] : [];
  const rest = [
    ...word('WAVEfmt '),
    ...long(format.length),
    ...format,
    ...list,
    ...word('data'),
    ...long(samples.length),
  ];
  return Uint8Array.from([...word('RIFF'), ...long(rest.length + samples.length), ...rest, ...samples]);
}

const from = (bytes: Uint8Array) => async (at: number, to: number) => bytes.slice(at, to);

async function read(bytes: Uint8Array, size = bytes.length) {
  const head = await wavHead(from(bytes), size);
  if (!head.ok) throw new Error(JSON.stringify(head.findings));
  return head.value;
}

describe('a WAV file', () => {
  it.each([
    { bits: 8 },
    { bits: 16 },
    { bits: 24 },
    { bits: 32 },
    { bits: 32, fractions: true },
    { bits: 64, fractions: true },
    { bits: 24, extended: true },
    { bits: 16, between: 26 },
  ])('of sort %j is read sample by sample', async (sort) => {
    const bytes = file({ ...sort, rate: 32_000, channels: 2 });
    const head = await read(bytes);
    expect(head).toMatchObject({ rate: 32_000, channels: 2, bits: sort.bits });
    expect(head.there).toBeCloseTo(0.1, 6);
    const [first, last] = bytesOf(head, 0, 60);
    const { left, right } = fromWav(head, bytes.slice(first, last));
    expect(lengthOf(left)).toBeCloseTo(0.1, 6);
    for (let i = 0; i < 3200; i += 7) {
      expect(left.samples[i]).toBeCloseTo(at(i, 32_000), sort.bits === 8 ? 1 : 4);
      expect(right.samples[i]).toBeCloseTo(at(i, 32_000) / 2, sort.bits === 8 ? 1 : 4);
    }
  });

  it('of 24 bits, two channels and 96 kHz comes out at the rate of the lamps, its tone unchanged', async () => {
    const bytes = file({ rate: 96_000, bits: 24, channels: 2 });
    const head = await read(bytes);
    const { left } = fromWav(head, bytes.slice(...bytesOf(head, 0, 60)));
    expect(left.rate).toBe(32_000);
    for (let i = 60; i < left.samples.length - 60; i += 11)
      expect(left.samples[i]).toBeCloseTo(at(i, 32_000), 2);
  });

  it('loses what no lamp follows, instead of folding it down', async () => {
    const bytes = file({ rate: 96_000, hertz: 25_000 });
    const head = await read(bytes);
    const { left } = fromWav(head, bytes.slice(...bytesOf(head, 0, 60)));
    const largest = left.samples.slice(100, -100).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    expect(largest).toBeLessThan(0.01);
  });

  it('is read from any second on', async () => {
    const bytes = file({ rate: 8000, seconds: 3 });
    const head = await read(bytes);
    const [first, last] = bytesOf(head, 1.5, 0.5);
    const { left } = fromWav(head, bytes.slice(first, last));
    expect(left.samples).toHaveLength(4000);
    expect(left.samples[3]).toBeCloseTo(at(12_003, 8000), 3);
    expect(bytesOf(head, 2.9, 10)[1]).toBe(bytes.length);
  });

  it('that was written here comes back', async () => {
    const samples = Float64Array.from({ length: 500 }, (_, i) => at(i, 16_000));
    const bytes = toWav(samples, 16_000);
    const head = await read(bytes);
    const { left, right } = fromWav(head, bytes.slice(...bytesOf(head, 0, 60)));
    expect(right).toBe(left);
    left.samples.forEach((value, i) => expect(value).toBeCloseTo(samples[i]!, 4));
  });

  it('has its pieces anywhere: behind a large one, or with its format behind its samples', async () => {
    const plain = file({ rate: 8000, seconds: 0.5 });
    const large = file({ rate: 8000, seconds: 0.5, between: 3_000_000 });
    expect(await read(large)).toMatchObject({ there: 0.5, from: 3_000_000 + 52 });
    // The format is the first piece, 24 bytes long; here it comes last.
    const [riff, format, rest] = [plain.slice(0, 12), plain.slice(12, 36), plain.slice(36)];
    const turned = Uint8Array.from([...riff, ...rest, ...format]);
    const head = await read(turned);
    expect(head).toMatchObject({ rate: 8000, there: 0.5, from: 20 });
    const { left } = fromWav(head, turned.slice(...bytesOf(head, 0, 60)));
    expect(left.samples[7]).toBeCloseTo(at(7, 8000), 3);
  });

  it('may have its bits padded in wider frames', async () => {
    const wide = file({ rate: 32_000, bits: 32 });
    // 24 bits a sample, in frames of 32 of which the last eight hold nothing.
    new DataView(wide.buffer).setUint16(34, 24, true);
    for (let i = 44; i < wide.length; i += 4) wide[i] = 0;
    const head = await read(wide);
    expect(head).toMatchObject({ bits: 24, width: 4 });
    expect(head.there).toBeCloseTo(0.1, 6);
    const { left } = fromWav(head, wide.slice(...bytesOf(head, 0, 60)));
    for (let i = 0; i < 3200; i += 7) expect(left.samples[i]).toBeCloseTo(at(i, 32_000), 4);
  });

  it('that breaks off says how much of it is there', async () => {
    const bytes = file({ rate: 8000, seconds: 10 });
    const cut = bytes.slice(0, 44 + 2 * 8000 * 3);
    expect(await read(cut)).toMatchObject({ said: 10, there: 3 });
  });

  it('whose length was never written down is as long as it is', async () => {
    const bytes = file({ rate: 8000, seconds: 2 });
    new DataView(bytes.buffer).setUint32(40, 0xffffffff, true);
    expect(await read(bytes)).toMatchObject({ said: 2, there: 2 });
  });
});

describe('what is no WAV file', () => {
  const text = (words: string) => new TextEncoder().encode(words.padEnd(40, '.'));
  const changed = (change: (view: DataView) => void) => {
    const bytes = file();
    change(new DataView(bytes.buffer));
    return bytes;
  };

  it.each([
    ['nothing', new Uint8Array(0), 'wav-none', { like: '' }],
    ['a picture', text('\u0089PNG'), 'wav-none', { like: '' }],
    ['an MP3', text('ID3 and so on'), 'wav-none', { like: 'an MP3' }],
    ['an Ogg', text('OggS and so on'), 'wav-none', { like: 'an Ogg' }],
    ['a FLAC', text('fLaC and so on'), 'wav-none', { like: 'a FLAC' }],
    ['a head alone', file().slice(0, 20), 'wav-headless', {}],
    ['a head without samples', file().slice(0, 36), 'wav-headless', {}],
    ['samples of no length', file().slice(0, 44), 'wav-empty', {}],
    [
      'four bits a sample',
      changed((view) => view.setUint16(34, 4, true)),
      'wav-packed',
      { sort: 1, bits: 4 },
    ],
    ['a packed sort', changed((view) => view.setUint16(20, 2, true)), 'wav-packed', { sort: 2, bits: 16 }],
    ['no channel', changed((view) => view.setUint16(22, 0, true)), 'wav-channels', { channels: 0 }],
    ['a rate of 10', changed((view) => view.setUint32(24, 10, true)), 'wav-rate', { rate: 10 }],
  ])('%s is refused by name', async (_, bytes, code, data) => {
    expect(await wavHead(from(bytes), bytes.length)).toMatchObject({ ok: false, findings: [{ code, data }] });
  });

  it('never throws, whatever a byte is changed to', async () => {
    const bytes = file({ seconds: 0.01 });
    for (let place = 0; place < 60; place++) {
      for (const value of [0, 1, 127, 255]) {
        const altered = bytes.slice();
        altered[place] = value;
        const head = await wavHead(from(altered), altered.length);
        if (head.ok) fromWav(head.value, altered.slice(...bytesOf(head.value, 0, 1)));
        expect(head.ok || head.findings.length > 0).toBe(true);
      }
    }
  });
});
