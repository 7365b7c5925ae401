import { ended, message, value } from '../../tests/support/answers';
import { ownDatabase } from '../../tests/support/database';
import { DEFAULT_STYLE, PATTERNS, type Built, type PatternChoice } from '@/core';
import { group } from '@/server/repositories/groups';
import { contentOf, lesson, lessonHeads } from '@/server/repositories/lessons';
import { readings } from '@/server/repositories/readings';
import { session } from '@/server/repositories/sessions';
import { keepReading } from './check/actions';
import {
  changeDay,
  changeStudent,
  enrol,
  letLeave,
  newGroup,
  putAwayGroup,
  putAwaySession,
  renameGroup,
} from './classes/actions';
import { importLesson, startLesson } from './lessons/actions';
import { lessonJson } from './lessons/files';
import { keepStyle } from './settings/actions';
import { giveLesson, keepLesson, putAwayLesson, shortFor } from './sheet/actions';
import { renewSession, takeBackRenewal, whatRenewalChanges } from './check/actions';
import type { RenewalChanges } from '@/server/renewal';
import { tick } from './today/actions';

ownDatabase();

const opened = async (id: number) => {
  const held = await lesson(id);
  return { version: held.version, ...contentOf(held) };
};

const makeGroup = async (name: string, list = 'Wren\nFenn') => {
  const id = value(await newGroup(name, ''));
  value(await enrol(id, list));
  return id;
};

describe('starting, keeping and moving lessons', () => {
  it('starts with the house style’s wishes', async () => {
    value(await keepStyle(0, { ...DEFAULT_STYLE, amps: 0.006 }));
    const id = value(await startLesson('single', '  Mole lamp  '));
    const held = await lesson(id);
    expect(held.title).toBe('Mole lamp');
    expect(held.choice.params).toMatchObject({ amps: 0.006 });
    expect((await lesson(value(await startLesson('single', '')))).title).toBe('One lamp');
    value(await keepStyle(1, DEFAULT_STYLE));
  });

  it('keeps what is on the screen, and refuses what no screen would send', async () => {
    const id = value(await startLesson('single', 'Kept'));
    const { version, ...content } = await opened(id);
    const saved = value(await keepLesson(id, version, { ...content, title: 'Kept well' }));
    expect(saved.version).toBe(version + 1);
    expect(message(await keepLesson(id, saved.version, { ...content, title: '' }))).toContain(
      'The title of the lesson is missing. Nothing was saved.',
    );
    const odd = {
      ...content,
      choice: { pattern: 'single', params: { ...content.choice.params, amps: 9 } } as PatternChoice,
    };
    expect(message(await keepLesson(id, saved.version, odd))).toContain('Nothing was saved');
    expect((await lesson(id)).title).toBe('Kept well');
    expect(message(await keepLesson(999, 1, content))).toBe('This lesson is not there any more.');
  });

  it('exports a lesson that imports as the same lesson', async () => {
    const id = value(await startLesson('single', 'Travels'));
    const file = await lessonJson(id);
    expect(file.name).toBe('travels.json');
    const there = value(await importLesson(file.text));
    expect(there.differences).toEqual([]);
    const [one, other] = [await lesson(id), await lesson(there.id)];
    expect({ ...other, id, position: one.position, updatedAt: one.updatedAt }).toEqual(one);
  });

  it('says when the sender’s lamp is another', async () => {
    const id = value(await startLesson('single', 'Other lamp'));
    const file = JSON.parse((await lessonJson(id)).text) as { lamps: { vf: number }[] };
    file.lamps[0]!.vf = 2.05;
    const there = value(await importLesson(JSON.stringify(file)));
    expect(there.differences.join(' ').replaceAll('\u202f', ' ')).toContain(
      'has 2.05 V at 20.0 mA, the one in this store 1.95 V at 20.0 mA',
    );
  });

  it('lists each of the sender’s values that is another one here, with its current', async () => {
    const id = value(await startLesson('single', 'Other drawer'));
    const file = JSON.parse((await lessonJson(id)).text) as { built: Built[] };
    const own = Object.fromEntries(file.built.map((built) => [built.part, built]));
    const sent = {
      ...file,
      built: [{ ...own['R1']!, value: 1000, amps: 0.003 }, own['D1'], { ...own['R1'], part: 'R2' }],
    };
    const there = value(await importLesson(JSON.stringify(sent)));
    const said = there.differences.join('\n').replaceAll('\u202f', ' ');
    const milliamps = (1000 * own['R1']!.amps).toPrecision(3);
    expect(said).toContain(
      `R1 is ${own['R1']!.value} Ω here and carries ${milliamps} mA; the sender’s is 1 kΩ and carries 3.00 mA.`,
    );
    expect(said).toContain('The sender’s build has a resistor R2 of');
    expect(said).toContain('The build worked out here has a supply B1 of');
    expect(said).not.toContain('D1');
  });

  it('imports nothing from a file that is not whole', async () => {
    const before = (await lessonHeads()).length;
    expect(message(await importLesson('{"format":"mivvet.lesson/1"}'))).toMatch(
      /^Nothing was imported\. lesson: title is missing\./u,
    );
    expect(message(await importLesson('not a file'))).toContain('Nothing was imported.');
    expect(await lessonHeads()).toHaveLength(before);
  });

  it('puts away and takes out', async () => {
    const id = value(await startLesson('single', 'Away'));
    value(await putAwayLesson(id, true));
    expect((await lesson(id)).archivedAt).not.toBeNull();
    value(await putAwayLesson(id, false));
    expect((await lesson(id)).archivedAt).toBeNull();
  });
});

describe('groups', () => {
  it('need a name, and take lists whole or not at all', async () => {
    expect(message(await newGroup('   ', ''))).toBe('The name of the group is missing. Nothing was saved.');
    const id = await makeGroup('Tern');
    expect(message(await enrol(id, 'Pim\npim'))).toMatch(/^Nobody was added\..*“pim” stands twice/u);
    expect(message(await enrol(id, ''))).toContain('at least one nickname');
    expect(message(await enrol(id, 'Wren'))).toContain('in this group already');
    expect(value(await enrol(id, 'Quill Marsh'))).toMatchObject({
      added: 1,
      note: expect.stringContaining('looks like a full name') as string,
    });
    expect((await group(id)).students.map((s) => `${s.bench} ${s.nickname}`)).toEqual([
      '1 Wren',
      '2 Fenn',
      '3 Quill Marsh',
    ]);
    expect(value(await renameGroup(id, 1, { name: 'Terns', meets: 'at six' }))).toBe(2);
    value(await putAwayGroup(id, true));
    expect((await group(id)).archivedAt).not.toBeNull();
  });

  it('let students change, leave and come back', async () => {
    const id = await makeGroup('Plover');
    const [wren] = (await group(id)).students;
    value(await changeStudent(wren!.id, 1, { bench: 9, nickname: 'Wren "W"' }));
    expect((await group(id)).students.find((s) => s.id === wren!.id)).toMatchObject({
      bench: 9,
      nickname: 'Wren "W"',
    });
    expect(message(await changeStudent(wren!.id, 2, { bench: 0, nickname: 'Wren' }))).toContain(
      'bench number',
    );
    expect(message(await changeStudent(wren!.id, 2, { bench: 9, nickname: '' }))).not.toBe('went through');
    value(await letLeave(wren!.id, true));
    value(await letLeave(wren!.id, false));
    expect(message(await letLeave(4711, true))).toBe('This student is not there any more.');
  });
});

describe('sessions', () => {
  it('are given, moved, renewed and put away', async () => {
    const lessonId = value(await startLesson('single', 'Given'));
    const groupId = await makeGroup('Knot');
    expect(message(await giveLesson(lessonId, groupId, '31 December'))).toBe(
      'Choose the day of the session first.',
    );
    const id = value(await ended<number>(await giveLesson(lessonId, groupId, '2026-12-01')));
    const twice = await giveLesson(lessonId, groupId, '2026-12-01');
    expect(twice).toMatchObject({ ok: false, ask: true });
    expect(message(twice)).toContain('Knot has this lesson on that day already');
    const lamps = (await session(id)).summary.kit.find((l) => l.key === 'led red')!.need;
    expect(lamps).toBeGreaterThanOrEqual(2);
    // Nothing is in this store: all that the session wants is missing.
    expect(value(await shortFor(id, '2026-11-30'))).toContain(`${lamps} more lamp, red`);
    // Two at the same moment give it once; the second is asked when its turn comes.
    const [first, second] = await Promise.all(
      [1, 2].map(async () => ended<number>(await giveLesson(lessonId, groupId, '2026-12-03'))),
    );
    expect([first!.ok, second!.ok].sort()).toEqual([false, true]);
    expect([first, second].find((answer) => !answer!.ok)).toMatchObject({ ask: true });
    // A day that is years away is likely a slip of the fingers.
    const far = await giveLesson(lessonId, groupId, '2206-12-01');
    expect(far).toMatchObject({ ok: false, ask: true, message: expect.stringContaining('years from now') });
    expect(await changeDay(id, 1, '1926-12-08')).toMatchObject({ ok: false, ask: true });
    expect(value(await changeDay(id, 1, '2026-12-08'))).toBe(2);
    expect(message(await changeDay(id, 1, '2026-12-09'))).toContain('Somebody else');

    const { version, ...content } = await opened(lessonId);
    const params = {
      ...PATTERNS.single.defaults(DEFAULT_STYLE),
      lamp: 'blue',
      supply: { kind: 'usb', cells: 1, age: 'nominal' },
    } as const;
    value(await keepLesson(lessonId, version, { ...content, choice: { pattern: 'single', params } }));
    const before = await session(id);
    const { version: asked, points } = value(await ended<RenewalChanges>(await whatRenewalChanges(id)));
    expect(points.map(({ name }) => name)).toEqual(expect.arrayContaining(['across R1', 'across D1']));
    expect((await session(id)).expectation).toEqual(before.expectation);
    expect(message(await ended(await renewSession(id, asked - 1)))).toContain('Somebody else');
    value(await ended(await renewSession(id, asked)));
    const renewed = await session(id);
    expect(renewed.summary.sentence).toContain('blue lamp');
    expect(renewed.expectation.limits.volts).toBeCloseTo(5, 9);
    expect(renewed.renewed).toBe(true);
    value(await takeBackRenewal(id));
    expect(await session(id)).toMatchObject({ expectation: before.expectation, renewed: false });
    expect(message(await takeBackRenewal(id))).toContain('nothing from before');
    expect(value(await tick(id, 'jumper', true))).toEqual(['jumper']);
    value(await putAwaySession(id, true));
    expect((await session(id)).archivedAt).not.toBeNull();
  });

  it('are refused for a lesson without a sum that works', async () => {
    const lessonId = value(await startLesson('single', 'Dark'));
    const { version, ...content } = await opened(lessonId);
    const params = {
      ...PATTERNS.single.defaults(DEFAULT_STYLE),
      lamp: 'violet',
      supply: { kind: 'aa-alkaline', cells: 1, age: 'fresh' },
    } as const;
    value(await keepLesson(lessonId, version, { ...content, choice: { pattern: 'single', params } }));
    expect(message(await ended(await giveLesson(lessonId, await makeGroup('Dunlin'), '2026-12-01')))).toMatch(
      /no sum that works yet.*cannot push/u,
    );
  });

  it('take readings of their own students, once each', async () => {
    const lessonId = value(await startLesson('single', 'Read'));
    const groupId = await makeGroup('Godwit');
    const sessionId = value(await ended<number>(await giveLesson(lessonId, groupId, '2026-12-01')));
    const [student] = (await group(groupId)).students;
    const reading = {
      sessionId,
      studentId: student!.id,
      point: 'R1',
      kind: 'first',
      value: 2.9,
      step: 0.01,
      typed: '2.90',
      meter: 'class meter',
      takenBy: 'K',
      takenAt: '2026-12-01T17:00:00.000Z',
      entryKey: '5f0c1a52-7d8e-4a55-9d0b-0a3d8f6f1c11',
    } as const;
    value(await keepReading(reading));
    value(await keepReading(reading));
    expect(await readings([sessionId])).toHaveLength(1);
    expect(message(await keepReading({ ...reading, value: 1e9 }))).toBe(
      'The figure must be at most 10000. Nothing was saved.',
    );
    expect(message(await keepReading({ ...reading, entryKey: 'x' }))).toContain('The reading is not written');
    const other = { ...reading, entryKey: '5f0c1a52-7d8e-4a55-9d0b-0a3d8f6f1c12' };
    expect(message(await keepReading({ ...other, studentId: 99999 }))).toContain('not there any more');
    expect(message(await keepReading({ ...other, point: 'R77' }))).toContain('no such checkpoint');
    const [stranger] = (await group(await makeGroup('Ruff'))).students;
    expect(message(await keepReading({ ...other, studentId: stranger!.id }))).toContain(
      'is not in the group that this session is for',
    );
  });
});
