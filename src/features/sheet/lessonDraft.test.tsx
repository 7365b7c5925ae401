/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { LessonContent } from '@/server/repositories/lessons';
import { kept as store } from '@/ui/kept';
import { keepLesson } from './actions';
import type { LessonDraft } from './drafts';
import { useLessonDraft } from './useLessonDraft';

jest.mock('./actions', () => ({ keepLesson: jest.fn() }));

const SAVED_AT = '2026-11-20T09:00:00.000Z';
const titled = (title: string) => ({ title }) as LessonContent;
const FIRST = titled('Pier lamp');

type Answer = Awaited<ReturnType<typeof keepLesson>>;
/** What was sent to be kept, each with the way to answer it. */
const sent: { version: number; title: string; answer(given: Answer | 'lost'): Promise<void> }[] = [];
const done = (version: number): Answer => ({ ok: true, value: { version, at: SAVED_AT } });
const standsThere = (title: string, version: number): Answer => ({
  ok: false,
  message: 'Somebody else has changed it.',
  theirs: { value: titled(title), version },
});

beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  jest.useFakeTimers();
  jest.mocked(keepLesson).mockImplementation(
    (_id, version, { title }) =>
      new Promise((resolve, reject) => {
        sent.push({
          version,
          title,
          answer: (given) =>
            act(async () => {
              if (given === 'lost') reject(new Error('no answer'));
              else resolve(given);
              await Promise.resolve();
            }),
        });
      }),
  );
});
afterEach(() => jest.useRealTimers());

function opened() {
  const { result } = renderHook(() => useLessonDraft(7, FIRST, 1, SAVED_AT));
  const drafts = () =>
    store.keys('mivvet.lesson.7.').map((key) => store.read<LessonDraft>(key)!.content.title);
  return {
    now: () => result.current,
    type: (title: string) => act(() => result.current.change(titled(title))),
    rest: (ms = 600) => act(async () => void (await jest.advanceTimersByTimeAsync(ms))),
    drafts,
  };
}

it('a change is in this browser at once, in the database when typing rests, and saved when that is certain', async () => {
  const page = opened();
  page.type('Mole lamp');
  expect([page.now().save.kind, page.drafts()]).toEqual(['waiting', ['Mole lamp']]);
  await page.rest();
  expect(sent).toMatchObject([{ version: 1, title: 'Mole lamp' }]);
  expect(page.now().save.kind).toBe('waiting');
  await sent[0]!.answer(done(2));
  expect([page.now().save.kind, page.drafts()]).toEqual(['saved', []]);
});

it('what is done again while taking it back is on its way is not saved until it is sent once more', async () => {
  const page = opened();
  page.type('Mole lamp');
  await page.rest();
  await sent[0]!.answer(done(2));
  act(() => page.now().undo!());
  await page.rest();
  expect(sent[1]).toMatchObject({ version: 2, title: 'Pier lamp' });
  act(() => page.now().redo!());
  // The database had it before; whether it has it now hangs on what is under way.
  expect([page.now().save.kind, page.drafts()]).toEqual(['waiting', ['Mole lamp']]);
  await sent[1]!.answer(done(3));
  await page.rest();
  expect(sent[2]).toMatchObject({ version: 3, title: 'Mole lamp' });
  await sent[2]!.answer(done(4));
  expect([page.now().save.kind, page.drafts()]).toEqual(['saved', []]);
  expect(sent).toHaveLength(3);
});

it('a change whose answer was lost is not mistaken for somebody else’s', async () => {
  const page = opened();
  page.type('Mole lamp');
  await page.rest();
  await sent[0]!.answer('lost');
  expect(page.now().save).toMatchObject({ kind: 'failed' });
  page.type('Quay lamp');
  expect(page.drafts()).toEqual(['Quay lamp']);
  await page.rest();
  expect(sent[1]).toMatchObject({ version: 1, title: 'Quay lamp' });
  // It had come through after all, and is what stands in the way.
  await sent[1]!.answer(standsThere('Mole lamp', 2));
  expect(sent[2]).toMatchObject({ version: 2, title: 'Quay lamp' });
  await sent[2]!.answer(done(3));
  expect(page.now().save.kind).toBe('saved');
});

it('the same lesson that stands there already counts as saved; another one waits for a choice', async () => {
  const page = opened();
  page.type('Mole lamp');
  await page.rest();
  await sent[0]!.answer(standsThere('Mole lamp', 5));
  expect(page.now().save.kind).toBe('saved');
  page.type('Quay lamp');
  await page.rest();
  expect(sent[1]).toMatchObject({ version: 5 });
  await sent[1]!.answer(standsThere('Gate lamp', 6));
  expect(page.now().save).toMatchObject({ kind: 'failed', theirs: { version: 6 } });
  await page.rest(60_000);
  expect(sent).toHaveLength(2);
  act(() => page.now().keepMine());
  await page.rest(0);
  expect(sent[2]).toMatchObject({ version: 6, title: 'Quay lamp' });
  await sent[2]!.answer(done(7));
  expect(page.now().save.kind).toBe('saved');
});
