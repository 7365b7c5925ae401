import { ownDatabase } from '../../../tests/support/database';
import { givenClass } from '../../../tests/support/givenClass';
import { jpegWith } from '../../../tests/support/jpeg';
import { eraseStudent, type Student } from '../repositories/groups';
import {
  addPhoto,
  keepCornersOf,
  photoBytes,
  photographed,
  photosOf,
  removePhoto,
} from '../repositories/photos';
import { pictureRule, saveSetting } from '../repositories/settings';
import { heldOfStudent } from '../heldOfStudent';
import type { Marks } from '@/messages/seen';
import { addFound } from '../repositories/foundFaults';
import { addReading, readings } from '../repositories/readings';
import { besideOf, keepMarksOf } from './beside';
import { cleanPicture } from './jpeg';
import { letPicturesGo } from './retention';

describe('a picture that is kept', () => {
  it('has lost its place, its device, its comment and what hung behind its end, and is the same picture', () => {
    const { jpeg, width, height } = cleanPicture(jpegWith({ width: 640, height: 480 }));
    expect([width, height]).toEqual([640, 480]);
    const text = jpeg.toString('latin1');
    for (const told of ['Exif', 'GPS 54.1 N', 'Pocket Camera 5', 'taken at the pier', 'trailing'])
      expect(text).not.toContain(told);
    // Tables, frame, scan and the scan's own data are as they were; a stuffed byte and a restart do not end it.
    expect(text).toContain('tables');
    expect(text).toContain('scan-data\xff\x00more\xff\xd0still');
    expect(jpeg.subarray(-2)).toEqual(Buffer.from([0xff, 0xd9]));
    expect(cleanPicture(jpeg).jpeg).toEqual(jpeg);
  });

  it('may be progressive, with several scans', () => {
    const { jpeg } = cleanPicture(jpegWith({ width: 8, height: 8, scans: 3, frame: 0xc2 }));
    expect(jpeg.toString('latin1').match(/scan-data/gu)).toHaveLength(3);
  });

  it.each([
    ['nothing', Buffer.alloc(0)],
    ['a PNG', Buffer.from('\x89PNG\r\n\x1a\n0000IHDR', 'latin1')],
    ['a page of the web', Buffer.from('\xff\xd8<script>alert(1)</script>', 'latin1')],
    ['one that is cut off', jpegWith({ width: 8, height: 8 }).subarray(0, 60)],
    // A frame that ends before it says how large it is, with nothing behind it.
    ['one whose frame is too short', Buffer.from('\xff\xd8\xff\xc0\x00\x04\x08\x00', 'latin1')],
    ['one without a frame', jpegWith({ width: 8, height: 8, frame: 0xe5 })],
  ])('is not %s', (_, bytes) => {
    expect(() => cleanPicture(bytes)).toThrow('no picture that can be kept');
  });

  it('is one: of a file with two frames nobody could say which is meant', () => {
    const one = jpegWith({ width: 8, height: 8 });
    const frame = one.indexOf(Buffer.from([0xff, 0xc0]));
    const length = 2 + one.readUInt16BE(frame + 2);
    const twice = Buffer.concat([one.subarray(0, frame + length), one.subarray(frame)]);
    expect(() => cleanPicture(twice)).toThrow('more than one picture');
  });

  it('is not larger than a screen shows', () => {
    expect(() => cleanPicture(jpegWith({ width: 9000, height: 10 }))).toThrow('too large');
    expect(() => cleanPicture(Buffer.alloc(2_000_000))).toThrow('too large');
  });
});

describe('pictures of benches', () => {
  ownDatabase();
  let session = 0;
  let students: readonly Student[] = [];
  let key = 0;
  /** As a phone sends them whose clock is decades off. */
  const take = (student: number, arrivedAt = '2026-11-27T17:00:00.000Z', entryKey = `photo-${key++}`) =>
    addPhoto(
      {
        ...cleanPicture(jpegWith({ width: 40, height: 30 })),
        sessionId: session,
        studentId: students[student]!.id,
        takenAt: key % 2 ? '1970-01-01T00:00:00.000Z' : '9999-12-31T00:00:00.000Z',
        entryKey,
      },
      arrivedAt,
    );

  beforeAll(async () => {
    ({ session, students } = await givenClass('Wren', 'Fenn'));
  });

  it('come with what lies on the plan, are kept once, and are found by their bench', async () => {
    const id = await take(0, undefined, 'twice');
    expect(await take(0, undefined, 'twice')).toBe(id);
    const corners = [
      { x: 0.1, y: 0.1 },
      { x: 0.9, y: 0.1 },
      { x: 0.8, y: 0.9 },
      { x: 0.2, y: 0.9 },
    ] as const;
    await keepCornersOf(session, id, corners);
    const beside = await besideOf(session, students[0]!.id);
    expect(beside.photos).toEqual([
      { id, width: 40, height: 30, corners, arrivedAt: '2026-11-27T17:00:00.000Z' },
    ]);
    expect(beside.parts).toEqual(expect.arrayContaining(['R1', 'D1', 'W1']));
    expect(beside.sheet!.plan.placements.map(({ part }) => part)).toContain('R1');
    expect((await photoBytes(session, id))!.readUInt16BE(0)).toBe(0xffd8);
    // By the number of another session it is not there.
    expect(await photoBytes(session + 1, id)).toBeUndefined();
    expect(await photographed(session)).toEqual([students[0]!.id]);
    // Who asks what is held of them hears of it.
    expect((await heldOfStudent(students[0]!.id)).pictures).toEqual([
      {
        day: '2026-11-27',
        takenAt: '9999-12-31T00:00:00.000Z',
        arrivedAt: '2026-11-27T17:00:00.000Z',
        width: 40,
        height: 30,
      },
    ]);
    await expect(besideOf(session, 999)).rejects.toThrow('not in this session');
  });

  it('have what differs kept beside what was last said of the lamps, by whomever', async () => {
    const studentId = students[0]!.id;
    const say = (marks: Marks, entryKey: string) =>
      keepMarksOf({
        sessionId: session,
        studentId,
        marks,
        takenBy: 'K',
        takenAt: '2026-11-27T17:05:00.000Z',
        entryKey,
      });
    expect(await say({ R1: 'astray' }, 'marks-1')).toBe('R1 in another hole');
    await addReading({
      sessionId: session,
      studentId,
      point: 'seen',
      kind: 'correction',
      value: 1,
      step: 0,
      typed: 'D1 dim',
      meter: 'class meter',
      takenBy: 'L',
      takenAt: '2026-11-27T17:06:00.000Z',
      entryKey: 'marks-2',
    });
    expect(await say({ R1: 'astray', D1: 'turned' }, 'marks-3')).toBe(
      'D1 dim, R1 in another hole, D1 turned round',
    );
    expect(await say({}, 'marks-4')).toBe('D1 dim');
    expect((await besideOf(session, studentId)).seen).toBe('D1 dim');
    // Of a bench that has been mended since nothing is carried on.
    await addFound({
      sessionId: session,
      studentId,
      cause: { code: 'lamp-reversed', data: { part: 'D1' } },
      words: 'D1 the wrong way round',
      foundBy: 'K',
      foundAt: '2026-11-27T17:08:00.000Z',
      entryKey: 'marks-found',
    });
    expect((await besideOf(session, studentId)).seen).toBeUndefined();
    expect(await say({ W1: 'missing' }, 'marks-5')).toBe('W1 missing');
    expect((await readings([session])).at(-1)).toMatchObject({ kind: 'retest', value: 1 });
  });

  it('are few of each bench: a newer one takes the oldest’s place', async () => {
    const ids: number[] = [];
    for (let i = 0; i < 8; i++) ids.push(await take(1));
    expect((await photosOf(session, students[1]!.id)).map(({ id }) => id)).toEqual(ids.slice(-6).reverse());
    await removePhoto(session, ids[7]!);
    expect((await photosOf(session, students[1]!.id))[0]!.id).toBe(ids[6]);
  });

  it('go when the house has kept them for as long as it says, and with who is erased', async () => {
    await take(0, '2026-11-01T17:00:00.000Z');
    const now = new Date('2026-11-28T12:00:00.000Z');
    expect((await pictureRule()).value.days).toBe(30);
    expect(await letPicturesGo(now)).toBe(0);
    await saveSetting('pictures', 0, { days: 7 });
    expect(await letPicturesGo(now)).toBe(1);
    expect(await photosOf(session, students[0]!.id)).toHaveLength(1);
    await eraseStudent(students[0]!.id, now.toISOString());
    expect(await photosOf(session, students[0]!.id)).toHaveLength(0);
    expect(await photographed(session)).toEqual([students[1]!.id]);
  });
});
