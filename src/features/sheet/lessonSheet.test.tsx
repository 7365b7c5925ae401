/** @jest-environment jsdom */
import { act, waitFor } from '@testing-library/react';
import { choiceWith, requestWith, sheetWith } from '../../../tests/support/sheets';
import { visited } from '../../../tests/support/navigation';
import { retype, row, said, screen, show, within } from '../../../tests/support/screen';
import { formatQuantity, lessonWords, makeSheet, THIN, type PatternChoice, type Plan } from '@/core';
import type { LessonContent } from '@/server/repositories/lessons';
import { z } from 'zod';
import { giveLesson, keepLesson, loadLesson, putAwayLesson } from './actions';
import { LessonSheet } from './LessonSheet';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  keepLesson: jest.fn(),
  loadLesson: jest.fn(),
  putAwayLesson: jest.fn(),
  giveLesson: jest.fn(),
}));

const keep = jest.mocked(keepLesson);
const SAVED_AT = '2026-11-25T10:00:00.000Z';
const kept = (version: number) => ({ ok: true as const, value: { version, at: SAVED_AT } });

function contentOf(choice: PatternChoice, more: Partial<LessonContent> = {}): LessonContent {
  return { ...z.object(lessonWords).parse({ title: 'Pier lamp' }), choice, plan: null, ...more };
}

const SINGLE = requestWith().choice;

function open(choice: PatternChoice = SINGLE, stage = 'sums', more: Partial<LessonContent> = {}) {
  window.history.replaceState(null, '', `?stage=${stage}`);
  const { choice: _choice, ageGroup: _age, plan: _plan, ...surroundings } = requestWith();
  const content = contentOf(choice, more);
  const around = { ...surroundings, draws: { ...surroundings.draws, samples: 50 } };
  return show(
    <LessonSheet
      id={7}
      place="Model harbour · lesson 1 of 12"
      content={content}
      version={1}
      updatedAt={SAVED_AT}
      archived={false}
      first={makeSheet({ ...requestWith(), ...around, choice })}
      surroundings={around}
      restDraws={60}
      batteries={[]}
      course={[]}
      words={{}}
      groups={[{ id: 3, name: 'Tern', students: 14 }]}
      sessions={[]}
      today="2026-11-25"
    />,
  );
}

const line = (name: string) => said(row(new RegExp(name, 'u')).querySelector('td:last-child'));
const verdict = () => said(document.querySelector('.what-happens'));
const stage = (name: RegExp) => within(screen.getByRole('navigation')).getByRole('button', { name });

beforeEach(() => {
  jest.clearAllMocks();
  localStorage.clear();
  visited.length = 0;
  let version = 1;
  keep.mockImplementation(async () => kept(++version));
});

describe('the sentence', () => {
  it('is solved while it is typed, and the last figures that worked stay under what cannot be', async () => {
    const { user } = open();
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
    const { user } = open();
    await user.selectOptions(screen.getByLabelText('Lamp'), 'blue');
    await retype(user, 'Number of cells', '1');
    await waitFor(() => expect(said(document.querySelector('.note.refusal'))).toMatch(/1.60 V/u));
    expect(screen.getByText('The figures below are the last ones that worked.')).toBeTruthy();
  });

  it('goes back and forth', async () => {
    const { amps } = sheetWith({ lamp: 'yellow' }).sums.design;
    const yellow = formatQuantity(amps, 'A').replaceAll(THIN, ' ');
    const { user } = open();
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
    const { user } = open();
    await retype(user, 'Title of the lesson', 'Pier light');
    await waitFor(() => expect(keep).toHaveBeenCalledTimes(1), { timeout: 3000 });
    expect(keep.mock.calls[0]!.slice(0, 2)).toEqual([7, 1]);
    expect(keep.mock.calls[0]![2].title).toBe('Pier light');
    await waitFor(() => expect(screen.getByText(/^saved/u)).toBeTruthy());
    expect(localStorage.getItem('mivvet.lesson.7')).toBeNull();
  });

  it('refused, keeps it here and tries again on wish', async () => {
    keep.mockRejectedValueOnce(new Error('gone'));
    const { user } = open();
    await retype(user, 'Title of the lesson', 'Pier light');
    await screen.findByText(/the program does not answer/u, undefined, { timeout: 3000 });
    expect(localStorage.getItem('mivvet.lesson.7')).toContain('Pier light');
    await user.click(screen.getByRole('button', { name: 'Save again' }));
    await waitFor(() => expect(localStorage.getItem('mivvet.lesson.7')).toBeNull());
  });

  it('overtaken by somebody else, leaves the choice', async () => {
    keep.mockResolvedValueOnce({ ok: false, conflict: true, message: 'Somebody saved this lesson.' });
    const theirs = contentOf(SINGLE, { title: 'Their lamp' });
    jest.mocked(loadLesson).mockResolvedValue({ ok: true, value: { version: 5, content: theirs } });
    const { user } = open();
    await retype(user, 'Title of the lesson', 'My lamp');
    await screen.findByText(/Somebody saved this lesson/u, undefined, { timeout: 3000 });
    await user.click(screen.getByRole('button', { name: 'Load theirs' }));
    await screen.findByDisplayValue('Their lamp');
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await screen.findByDisplayValue('My lamp');
    await waitFor(
      () => expect(keep).toHaveBeenLastCalledWith(7, 5, expect.objectContaining({ title: 'My lamp' })),
      {
        timeout: 3000,
      },
    );
  });

  it('offers what was not saved before, also from when a lesson said less', async () => {
    const { homework: _homework, extras: _extras, ...older } = contentOf(SINGLE, { title: 'From before' });
    localStorage.setItem('mivvet.lesson.7', JSON.stringify({ content: older, at: SAVED_AT }));
    const { user } = open(SINGLE, 'kit');
    await user.click(await screen.findByRole('button', { name: 'Bring them back' }));
    await screen.findByDisplayValue('From before');
    expect(screen.getByRole('button', { name: 'Add a thing' })).toBeTruthy();
  });

  it('puts a lesson away and leaves it', async () => {
    jest.mocked(putAwayLesson).mockResolvedValue({ ok: true, value: null });
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'Put away' }));
    await waitFor(() => expect(visited).toContain('/lessons'));
    expect(putAwayLesson).toHaveBeenCalledWith(7, true);
  });
});

describe('the plan', () => {
  const piece = (name: RegExp) => screen.getByRole('button', { name });
  const saidPlan = (): Plan => keep.mock.calls[keep.mock.calls.length - 1]![2].plan!;

  it('takes a hole as text; what still makes the circuit is kept, fixed where it was put', async () => {
    const { user } = open(SINGLE, 'plan');
    const field = screen.getByLabelText('R1 leg: hole', { selector: '[title="c3"]' });
    await user.clear(field);
    await user.type(field, 'b3{Enter}');
    await waitFor(() => expect(keep).toHaveBeenCalled(), { timeout: 3000 });
    const placed = saidPlan().placements.find(({ part }) => part === 'R1')!;
    expect(placed).toMatchObject({ legs: { a: 'b3', b: 'c8' }, fixed: true });
    expect(verdict()).toContain('Right.');
  });

  it('says why a hole cannot be had', async () => {
    const { user } = open(SINGLE, 'plan');
    const field = screen.getByLabelText('R1 leg: hole', { selector: '[title="c3"]' });
    await user.clear(field);
    await user.type(field, 'k99{Enter}');
    await waitFor(() => expect(verdict()).toContain('k99'));
    expect(keep).not.toHaveBeenCalled();
  });

  it('with a part turned, bridged or taken away shows what that does, and keeps the lesson', async () => {
    const { user } = open(SINGLE, 'plan');
    const lamp = row(/^lamp D1/u);
    await user.click(within(lamp).getByRole('button', { name: 'turn round' }));
    await waitFor(() =>
      expect(verdict()).toMatch(
        /Not as planned\. The lamp D1 is the wrong way round: it blocks, with 4\.80 V across it/u,
      ),
    );
    await user.click(screen.getByRole('button', { name: 'Put it back' }));
    await waitFor(() => expect(verdict()).toContain('Right.'));
    await user.selectOptions(screen.getByLabelText('In place of R1'), 'wire');
    await waitFor(() => expect(verdict()).toMatch(/Not as planned/u));
    await user.selectOptions(screen.getByLabelText('In place of R1'), '');
    await waitFor(() => expect(verdict()).toContain('Right.'));
    await user.click(screen.getByRole('button', { name: 'Take D1 away' }));
    await user.click(await screen.findByRole('button', { name: 'put the lamp D1 back' }));
    await waitFor(() => expect(verdict()).toContain('Right.'));
  });

  it('is worked by keys: arrows move, t turns, w bridges, Delete takes away, Escape puts back', async () => {
    const { user } = open(SINGLE, 'plan');
    act(() => piece(/^The resistor R1:/u).focus());
    await user.keyboard('{ArrowLeft}');
    await waitFor(() => piece(/^The resistor R1: leg in b3, leg in b8/u));
    await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    await waitFor(() => expect(verdict()).toContain('Not as planned.'));
    await user.keyboard('{Escape}');
    await waitFor(() => expect(verdict()).toContain('Right.'));
    act(() => piece(/^The lamp D1:/u).focus());
    await user.keyboard('t');
    await waitFor(() => expect(verdict()).toContain('Not as planned.'));
    await user.keyboard('{Escape}');
    act(() => piece(/^The resistor R1:/u).focus());
    await user.keyboard('w');
    await waitFor(() => expect(verdict()).toMatch(/D1/u));
    await user.keyboard('{Escape}{Delete}');
    await screen.findByRole('button', { name: 'put the resistor R1 back' });
  });

  it('takes one more jumper or part, with its colour, and says where it may not go', async () => {
    const { user } = open(SINGLE, 'plan');
    await user.selectOptions(screen.getByLabelText('Piece to add'), 'R 1000');
    await user.type(screen.getByLabelText('New piece from'), 'e3');
    await user.type(screen.getByLabelText('New piece to'), 'd8{Enter}');
    // 1 kΩ beside the 330 Ω: more current than planned.
    await waitFor(() => expect(verdict()).toMatch(/Not as planned\..*11\.[0-9] mA/u));
    await user.selectOptions(screen.getByLabelText('Piece to add'), 'blue');
    await user.type(screen.getByLabelText('New piece from'), 'a1');
    await user.type(screen.getByLabelText('New piece to'), 'c3{Enter}');
    await waitFor(() => expect(verdict()).toMatch(/c3 .*R1|R1.*c3/u));
  });

  it('lies again as it did when it is laid out anew', async () => {
    const { user } = open(SINGLE, 'plan');
    act(() => piece(/^The resistor R1:/u).focus());
    await user.keyboard('{ArrowLeft}');
    await waitFor(() => expect(keep).toHaveBeenCalled(), { timeout: 3000 });
    await user.click(screen.getByRole('button', { name: 'Lay it out again' }));
    await waitFor(() => piece(/^The resistor R1: leg in c3, leg in c8/u));
  });

  it('on another board is laid out for it, held as one likes', async () => {
    const { user } = open(choiceWith('strings'), 'plan');
    await user.selectOptions(screen.getByLabelText('Board'), 'strip');
    await waitFor(() => expect(screen.getByText(/\d+ joints, about/u)).toBeTruthy());
    await user.selectOptions(screen.getByLabelText('Board held'), 'flat');
    await waitFor(() =>
      expect(document.querySelector('.board-panel svg')!.getAttribute('data-view')).toBe('plain'),
    );
    await user.click(screen.getByRole('button', { name: 'Turn it over' }));
    expect(document.querySelector('.board-panel svg')!.getAttribute('data-face')).toBe('copper');
  });
});

describe('the dry run', () => {
  it('holds its answer back until one is ventured, then says who was right', async () => {
    const { user } = open(SINGLE, 'try');
    const list = await screen.findByLabelText('What goes wrong');
    await waitFor(() => expect(within(list).getAllByRole('option').length).toBeGreaterThan(20), {
      timeout: 5000,
    });
    await user.selectOptions(
      list,
      within(list).getByRole('option', { name: /^D1: lamp the wrong way round/u }),
    );
    expect(screen.queryByText('the meter would read')).toBeNull();
    await user.type(screen.getByLabelText(/if you dare/u), '2');
    await user.click(screen.getByRole('button', { name: 'it gets dimmer' }));
    expect(said(screen.getByText(/Not as you said/u).parentElement)).toContain('D1 goes dark: no current.');
    expect(said(screen.getByText(/You expected/u))).toMatch(/You expected 2.00 V .*; it is 4.80 V/u);
  });

  it('walks down to the floor and stops above what would be too much', async () => {
    const { user } = open(SINGLE, 'try');
    const walk = await screen.findByRole('group', { name: 'Walk down' }, { timeout: 5000 });
    const down = within(walk).getByRole('button', { name: 'one value down' });
    while (!(down as HTMLButtonElement).disabled) await user.click(down);
    const words = said(within(walk).getByRole('status'));
    const [now, next] = [...words.matchAll(/([\d.]+) mA/gu)].map(([, amps]) => Number(amps));
    expect(words).toContain('Stop here');
    expect(now).toBeLessThanOrEqual(20);
    expect(next).toBeGreaterThan(20);
  });
});

describe('the other stages', () => {
  it('are reached from the margin, and tell their headline there', async () => {
    const { user } = open();
    expect(said(stage(/^Sums/u))).toBe('Sums 330 Ω → 8.85 mA');
    for (const name of [/^Aim/u, /^Parts/u, /^Plan/u, /^Steps/u, /^Checks/u, /^Kit/u, /^Class/u]) {
      await user.click(stage(name));
      expect(stage(name).getAttribute('aria-current')).toBe('step');
      expect(document.querySelector('.stage-view h2')).not.toBeNull();
    }
  });

  it('show one step at a time, forwards and back, with what is placed by then', async () => {
    const { user } = open(SINGLE, 'steps');
    await user.click(screen.getByRole('button', { name: 'One step at a time' }));
    expect(screen.getByText('step 1 of 8')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Next step' }));
    await user.keyboard('{ArrowRight}');
    expect(screen.getByText('step 3 of 8')).toBeTruthy();
    const ghosts = document.querySelectorAll('.one-step svg g[opacity="0.22"]');
    expect(ghosts).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'Back' }));
    expect(screen.getByText('step 2 of 8')).toBeTruthy();
  });

  it('tick steps off, and ring the part that a step places', async () => {
    const { user } = open(SINGLE, 'steps');
    const [first] = screen.getAllByRole('checkbox');
    await user.click(first!);
    expect((first as HTMLInputElement).checked).toBe(true);
    expect(screen.getByRole('group', { name: /^With the jumper W1/u })).toBeTruthy();
  });

  it('pack what a lesson wants besides its circuit', async () => {
    const { user } = open(SINGLE, 'kit');
    await user.click(screen.getByRole('button', { name: 'Add a thing' }));
    await retype(user, 'Thing 1', 'jar');
    await user.tab();
    await waitFor(() => row(/^jar extra/u));
    await user.click(screen.getByRole('button', { name: 'Take jar off the list' }));
    await waitFor(() => expect(screen.queryByRole('row', { name: /^jar extra/u })).toBeNull());
  });

  it('give the lesson to a group, and say why when that fails', async () => {
    jest.mocked(giveLesson).mockResolvedValueOnce({ ok: false, message: 'No sum that works yet.' });
    const { user } = open(SINGLE, 'class');
    await user.click(screen.getByRole('button', { name: 'Give it' }));
    await screen.findByText('No sum that works yet.');
    jest.mocked(giveLesson).mockResolvedValueOnce({ ok: true, value: 12 });
    await user.click(screen.getByRole('button', { name: 'Give it' }));
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(giveLesson).toHaveBeenLastCalledWith(7, 3, '2026-11-25');
  });

  it('show the sums as the students get them', async () => {
    const { user } = open(SINGLE, 'sums', { level: 'card' });
    await user.selectOptions(screen.getByLabelText('Shown with'), 'card');
    expect(line('divided by the current')).toBe('291 Ω');
    expect(screen.getByRole('option', { name: 'a card, as the students get it' })).toBeTruthy();
  });
});
