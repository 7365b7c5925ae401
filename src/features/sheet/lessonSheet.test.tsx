/** @jest-environment jsdom */
import { act, waitFor } from '@testing-library/react';
import { contentOf, line, openLesson, SAVED_AT, SINGLE, stage } from '../../../tests/support/lessonScreen';
import { visited } from '../../../tests/support/navigation';
import { retype, row, said, screen, within } from '../../../tests/support/screen';
import { sheetWith } from '../../../tests/support/sheets';
import { formatQuantity, THIN } from '@/core';
import { giveLesson, keepLesson, loadLesson, putAwayLesson } from './actions';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  keepLesson: jest.fn(),
  loadLesson: jest.fn(),
  putAwayLesson: jest.fn(),
  giveLesson: jest.fn(),
}));

const keep = jest.mocked(keepLesson);
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
    await waitFor(() => expect(newest()).toBe('Pier light'), { timeout: 10_000 });
    expect(keep.mock.calls[0]!.slice(0, 2)).toEqual([7, 1]);
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    expect(localStorage.getItem('mivvet.lesson.7')).toBeNull();
  });

  it('refused, keeps it here and tries again on wish', async () => {
    keep.mockRejectedValue(new Error('gone'));
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    await screen.findByText(/the program does not answer/u, undefined, { timeout: 10_000 });
    expect(localStorage.getItem('mivvet.lesson.7')).toContain('Pier light');
    keep.mockImplementation(async () => kept(2));
    await user.click(screen.getByRole('button', { name: 'Save again' }));
    await waitFor(() => expect(localStorage.getItem('mivvet.lesson.7')).toBeNull());
  });

  it('is done where what was typed is undone and done again before it was sent', async () => {
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'Pier light');
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy(), { timeout: 10_000 });
    const calls = keep.mock.calls.length;
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy(), { timeout: 10_000 });
    await screen.findByDisplayValue('Pier light');
    expect(keep.mock.calls.length - calls).toBeLessThanOrEqual(2);
    expect(localStorage.getItem('mivvet.lesson.7')).toBeNull();
  });

  it('is not said to be done while a newer change waits', async () => {
    let arrive: (() => void) | undefined;
    keep.mockImplementationOnce(() => new Promise((resolve) => (arrive = () => resolve(kept(2)))));
    const { user } = openLesson();
    const title = screen.getByLabelText('Title of the lesson');
    await user.type(title, 'A');
    await waitFor(() => expect(arrive).toBeDefined(), { timeout: 10_000 });
    await user.type(title, 'B');
    await act(async () => arrive!());
    expect(document.querySelector('.save-state')!.textContent).not.toMatch(/^saved/u);
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy(), { timeout: 10_000 });
    expect(keep.mock.calls[keep.mock.calls.length - 1]![2].title).toMatch(/AB$/u);
  });

  it('overtaken by somebody else, leaves the choice', async () => {
    keep.mockResolvedValueOnce({ ok: false, conflict: true, message: 'Somebody saved this lesson.' });
    const theirs = contentOf(SINGLE, { title: 'Their lamp' });
    jest.mocked(loadLesson).mockResolvedValue({ ok: true, value: { version: 5, content: theirs } });
    const { user } = openLesson();
    await retype(user, 'Title of the lesson', 'My lamp');
    await screen.findByText(/Somebody saved this lesson/u, undefined, { timeout: 10_000 });
    await user.click(screen.getByRole('button', { name: 'Load theirs' }));
    await screen.findByDisplayValue('Their lamp');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByDisplayValue('My lamp');
    await waitFor(
      () => expect(keep).toHaveBeenLastCalledWith(7, 5, expect.objectContaining({ title: 'My lamp' })),
      {
        timeout: 10_000,
      },
    );
  });

  it('offers what was not saved before, also from when a lesson said less', async () => {
    const { homework: _homework, extras: _extras, ...older } = contentOf(SINGLE, { title: 'From before' });
    localStorage.setItem('mivvet.lesson.7', JSON.stringify({ content: older, at: SAVED_AT }));
    const { user } = openLesson(SINGLE, 'kit');
    await user.click(await screen.findByRole('button', { name: 'Bring them back' }));
    await screen.findByDisplayValue('From before');
    expect(screen.getByRole('button', { name: 'Add a thing' })).toBeTruthy();
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
    const ghosts = document.querySelectorAll('.one-step svg g[opacity="0.22"]');
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
    expect(document.querySelectorAll('.big-board svg g[opacity="0.22"]')).toHaveLength(2);
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
    jest.mocked(giveLesson).mockResolvedValueOnce({ ok: true, value: 12 });
    await user.click(screen.getByRole('button', { name: 'Give it' }));
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(giveLesson).toHaveBeenLastCalledWith(7, 3, '2026-11-25');
  });

  it('show the sums as the students get them', async () => {
    const { user } = openLesson(SINGLE, 'sums', { level: 'card' });
    await user.selectOptions(screen.getByLabelText('Shown with'), 'card');
    expect(line('divided by the current')).toBe('291 Ω');
    expect(screen.getByRole('option', { name: 'a card, as the students get it' })).toBeTruthy();
  });
});
