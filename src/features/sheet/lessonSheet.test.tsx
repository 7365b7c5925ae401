/** @jest-environment jsdom */
import { act, waitFor } from '@testing-library/react';
import { contentOf, line, openLesson, SAVED_AT, SINGLE, stage } from '../../../tests/support/lessonScreen';
import { visited } from '../../../tests/support/navigation';
import { retype, row, said, screen, within } from '../../../tests/support/screen';
import { choiceWith, sheetWith } from '../../../tests/support/sheets';
import { formatQuantity, THIN } from '@/core';
import { jobsCameTo } from '../../../tests/support/jobs';
import { kept as store } from '@/ui/kept';
import { giveLesson, keepLesson, putAwayLesson, shortFor } from './actions';
import { Drafts, type LessonDraft } from './drafts';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  keepLesson: jest.fn(),
  putAwayLesson: jest.fn(),
  giveLesson: jest.fn(),
  shortFor: jest.fn(),
}));

jest.mock('@/features/asking/actions', () => ({ stopWork: jest.fn() }));

const keep = jest.mocked(keepLesson);
const draftsHere = () => store.keys('mivvet.lesson.7.').map((key) => store.read<LessonDraft>(key)!);
const leaveDraft = (content: unknown, version: number) =>
  store.write('mivvet.lesson.7.gone', { content, at: SAVED_AT, version });
const kept = (version: number) => ({ ok: true as const, value: { version, at: SAVED_AT } });

beforeEach(() => {
  jest.clearAllMocks();
  localStorage.clear();
  visited.length = 0;
  let version = 1;
  keep.mockImplementation(async () => kept(++version));
});

describe('the sentence', () => {
  it('is solved while it is typed, and the last figures that worked stay under what cannot be', async () => {
    const { user } = openLesson();
    expect(line('real current with it')).toBe('8.85 mA');
    await user.selectOptions(screen.getByLabelText('Supply'), 'block-9v');
    await waitFor(() => expect(line('supply, fresh')).toBe('9.50 V'));
    await retype(user, 'Wanted current', '5');
    // (9.50 V − 1.84 V) / 5 mA less 1.7 Ω is 1.53 kΩ: the next one up of twelve a decade.
    await waitFor(() => expect(line('to choose from')).toBe('1.8 kΩ'));
    await retype(user, 'Wanted current', 'five');
    expect(said(document.querySelector('.note.refusal'))).toContain('five');
    expect(line('to choose from')).toBe('1.8 kΩ');
  });

  it('says why a supply cannot do it', async () => {
    const { user } = openLesson();
    await user.selectOptions(screen.getByLabelText('Lamp'), 'blue');
    await retype(user, 'Number of cells', '1');
    await waitFor(() => expect(said(document.querySelector('.note.refusal'))).toMatch(/1.60 V/u));
    expect(screen.getByText('The figures below are the last ones that worked.')).toBeTruthy();
  });

  it('shows the way on where it does not fit its board', async () => {
    const choice = choiceWith('panel', {}, 'half');
    const build = { ...choice.build!, rails: 'wires only' } as const;
    const { user } = openLesson({ ...choice, build });
    expect(said(document.querySelector('.note.refusal'))).toContain('too much for the half board');
    await user.click(screen.getByRole('button', { name: /full-size breadboard$/u }));
    await waitFor(() => expect(document.querySelector('.note.refusal')).toBeNull(), { timeout: 20000 });
    expect(document.querySelector('.lesson-main table')).toBeTruthy();
  }, 30000);

  it('marks figures of the sentence before as such until its own are there', async () => {
    const { user } = openLesson();
    const marked = () => document.querySelector('.stage-view')!.classList.contains('stale');
    const never = new Promise<never>(() => undefined);
    const { coreWorker } = jest.requireMock<{ coreWorker(): { sheet(...asked: unknown[]): unknown } }>(
      '@/workers/client',
    );
    const slow = jest.spyOn(coreWorker(), 'sheet').mockReturnValue(never);
    await user.selectOptions(screen.getByLabelText('Lamp'), 'yellow');
    await screen.findByText(/^Being worked out: the figures and the board/u);
    expect(marked()).toBe(true);
    expect(line('real current with it')).toBe('8.85 mA');
    // Back at the sentence that they are of, they are marked no more.
    await user.selectOptions(screen.getByLabelText('Lamp'), 'red');
    await waitFor(() => expect(marked()).toBe(false));
    slow.mockRestore();
  });

  it('goes back and forth', async () => {
    const { amps } = sheetWith({ lamp: 'yellow' }).sums.design;
    const yellow = formatQuantity(amps, 'A').replaceAll(THIN, ' ');
    const { user } = openLesson();
    await user.selectOptions(screen.getByLabelText('Lamp'), 'yellow');
    await waitFor(() => expect(line('real current with it')).toBe(yellow));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(line('real current with it')).toBe('8.85 mA'));
    await user.keyboard('{Control>}y{/Control}');
    await waitFor(() => expect(line('real current with it')).toBe(yellow));
  });
});

describe('saving', () => {
  it('follows when typing rests, with the version that it was read at', async () => {
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    const newest = () => keep.mock.calls[keep.mock.calls.length - 1]![2].title;
    await waitFor(() => expect(newest()).toBe('Pier light'));
    expect(keep.mock.calls[0]!.slice(0, 2)).toEqual([7, 1]);
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    expect(draftsHere()).toEqual([]);
  });

  it('refused, keeps it here and tries again on wish', async () => {
    keep.mockRejectedValue(new Error('gone'));
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    await screen.findByText(/the program does not answer/u);
    expect(draftsHere().map((draft) => draft.content.title)).toEqual(['Pier light']);
    keep.mockImplementation(async () => kept(2));
    await user.click(screen.getByRole('button', { name: 'Save again' }));
    await waitFor(() => expect(draftsHere()).toEqual([]));
  });

  it('is done where what was typed is undone and done again before it was sent', async () => {
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    const calls = keep.mock.calls.length;
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    await screen.findByDisplayValue('Pier light');
    expect(keep.mock.calls.length - calls).toBeLessThanOrEqual(2);
    expect(draftsHere()).toEqual([]);
  });

  it('is not said to be done while a newer change waits', async () => {
    let arrive: (() => void) | undefined;
    keep.mockImplementationOnce(() => new Promise((resolve) => (arrive = () => resolve(kept(2)))));
    const { user } = openLesson();
    const title = screen.getByLabelText('Title of the lesson');
    await user.type(title, 'A');
    await waitFor(() => expect(arrive).toBeDefined());
    await user.type(title, 'B');
    await act(async () => arrive!());
    expect(document.querySelector('.save-state')!.textContent).not.toMatch(/^saved/u);
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    expect(keep.mock.calls[keep.mock.calls.length - 1]![2].title).toMatch(/AB$/u);
  });

  it('overtaken by somebody else, leaves the choice', async () => {
    const theirs = contentOf(SINGLE, { title: 'Their lamp' });
    keep.mockResolvedValueOnce({
      ok: false,
      message: 'Somebody saved this lesson.',
      theirs: { version: 5, value: theirs },
    });
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'My lamp');
    await screen.findByText(/Somebody saved this lesson/u);
    expect(said(screen.getByRole('row', { name: /^title/u }))).toBe('titleMy lampTheir lamp');
    await user.click(screen.getByRole('button', { name: 'Load theirs' }));
    await screen.findByDisplayValue('Their lamp');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByDisplayValue('My lamp');
    await waitFor(() =>
      expect(keep).toHaveBeenLastCalledWith(7, 5, expect.objectContaining({ title: 'My lamp' })),
    );
  });

  it('puts back by itself what was not saved before, also from when a lesson said less', async () => {
    const { homework: _homework, extras: _extras, ...older } = contentOf(SINGLE, { title: 'From before' });
    leaveDraft(older, 1);
    openLesson(SINGLE, 'kit');
    await screen.findByDisplayValue('From before');
    expect(screen.getByText(/had not been saved; they are put back/u)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Add a thing' })).toBeTruthy();
    await waitFor(() =>
      expect(keep).toHaveBeenLastCalledWith(7, 1, expect.objectContaining({ title: 'From before' })),
    );
    await waitFor(() => expect(draftsHere()).toEqual([]));
  });

  it('shows both where somebody has saved the lesson since, and changes nothing by itself', async () => {
    leaveDraft(contentOf(SINGLE, { title: 'Mine', aim: 'a glow' }), 0);
    const { user } = openLesson();
    await screen.findByText(/somebody has saved this lesson since/u);
    expect(said(screen.getByRole('row', { name: /^title/u }))).toBe('titleMinePier lamp');
    expect(said(screen.getByRole('row', { name: /^aim/u }))).toBe('aima glow');
    expect(keep).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Leave it as it stands' }));
    expect(draftsHere()).toEqual([]);
    expect((screen.getByLabelText('Title of the lesson') as HTMLInputElement).value).toBe('Pier lamp');
  });

  it('of two tabs keeps what each is at', async () => {
    keep.mockRejectedValue(new Error('gone'));
    const one = openLesson();
    await retype(one.user, 'Title of the lesson', 'One');
    await waitFor(() => expect(draftsHere()).toHaveLength(1));
    const kept = window.localStorage.key(0)!;
    const other = new Drafts(7);
    other.keep({ content: contentOf(SINGLE, { title: 'Other' }), at: SAVED_AT, version: 1 });
    await retype(one.user, 'Title of the lesson', 'One more');
    expect(
      draftsHere()
        .map((draft) => draft.content.title)
        .sort(),
    ).toEqual(['One more', 'Other']);
    expect(window.localStorage.getItem(kept)).toContain('One more');
    other.close();
  });

  it('says so where this browser keeps nothing', async () => {
    keep.mockRejectedValue(new Error('gone'));
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('QuotaExceededError');
    });
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    await screen.findByText(/own store is full or blocked/u);
    jest.restoreAllMocks();
  });

  it('puts a lesson away and leaves it', async () => {
    jest.mocked(putAwayLesson).mockResolvedValue({ ok: true, value: null });
    const { user } = openLesson();
    await user.click(screen.getByRole('button', { name: 'Put away' }));
    await waitFor(() => expect(visited).toContain('/lessons'));
    expect(putAwayLesson).toHaveBeenCalledWith(7, true);
  });
});

describe('the other stages', () => {
  it('are reached from the margin, and tell their headline there', async () => {
    const { user } = openLesson();
    expect(said(stage(/^Sums/u))).toBe('Sums 330 Ω → 8.85 mA');
    for (const name of [/^Aim/u, /^Parts/u, /^Plan/u, /^Steps/u, /^Checks/u, /^Kit/u, /^Class/u]) {
      await user.click(stage(name));
      expect(stage(name).getAttribute('aria-current')).toBe('step');
      expect(document.querySelector('.stage-view h2')).not.toBeNull();
    }
  });

  it('show one step at a time, forwards and back, with what is placed by then', async () => {
    const { user } = openLesson(SINGLE, 'steps');
    await user.click(screen.getByRole('button', { name: 'One step at a time' }));
    const screenful = within(screen.getByRole('dialog', { name: 'Pier lamp, one step at a time' }));
    expect(screenful.getByText('Pier lamp: step 1 of 8')).toBeTruthy();
    await user.click(screenful.getByRole('button', { name: 'Next step' }));
    await user.keyboard('{ArrowRight}');
    expect(screen.getByText('Pier lamp: step 3 of 8')).toBeTruthy();
    const ghosts = document.querySelectorAll('.one-step svg g[opacity="0.22"]:not([data-label])');
    expect(ghosts).toHaveLength(2);
    await user.click(screenful.getByRole('button', { name: 'Back' }));
    expect(screen.getByText('Pier lamp: step 2 of 8')).toBeTruthy();
  });

  it('show at a step the board as it is by then, and what was done before it as done', async () => {
    const { user } = openLesson(SINGLE, 'steps');
    await user.click(screen.getByRole('button', { name: /Put the resistor R1/u }));
    const now = screen.getByRole('button', { name: /Put the resistor R1/u, current: 'step' });
    expect(now.getAttribute('aria-expanded')).toBe('true');
    expect(screen.getAllByText('✓')).toHaveLength(2);
    expect(screen.getByRole('img', { name: 'The board at step 3' })).toBeTruthy();
    expect(document.querySelectorAll('.big-board svg g[opacity="0.22"]:not([data-label])')).toHaveLength(2);
  });

  it('pack what a lesson wants besides its circuit', async () => {
    const { user } = openLesson(SINGLE, 'kit');
    await user.click(screen.getByRole('button', { name: 'Add a thing' }));
    await retype(user, 'Thing 1', 'jar');
    await user.tab();
    await waitFor(() => row(/^jar extra/u));
    await user.click(screen.getByRole('button', { name: 'Take jar off the list' }));
    await waitFor(() => expect(screen.queryByRole('row', { name: /^jar extra/u })).toBeNull());
  });

  it('give the lesson to a group, and say why when that fails', async () => {
    jest.mocked(giveLesson).mockResolvedValueOnce({ ok: false, message: 'No sum that works yet.' });
    const { user } = openLesson(SINGLE, 'class');
    await user.click(screen.getByRole('button', { name: 'Give it' }));
    await screen.findByText('No sum that works yet.');
    jest.mocked(giveLesson).mockResolvedValueOnce({ ok: true, value: 'a job' });
    jobsCameTo({ ok: true, value: 12 });
    jest.mocked(shortFor).mockResolvedValueOnce({ ok: true, value: ['3 more red lamps'] });
    await user.click(screen.getByRole('button', { name: 'Give it' }));
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(giveLesson).toHaveBeenLastCalledWith(7, 3, '2026-11-25', false);
    expect(shortFor).toHaveBeenCalledWith(12, '2026-11-25');
    expect(await screen.findByText('3 more red lamps')).toBeTruthy();
  });

  it('show the sums as the students get them', async () => {
    const { user } = openLesson(SINGLE, 'sums', { level: 'card' });
    await user.selectOptions(screen.getByLabelText('Shown with'), 'card');
    expect(line('divided by the current')).toBe('291 Ω');
    expect(screen.getByRole('option', { name: 'a card, as the students get it' })).toBeTruthy();
  });
});
