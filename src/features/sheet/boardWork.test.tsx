/** @jest-environment jsdom */
import { act, waitFor } from '@testing-library/react';
import { openLesson, SAVED_AT, SINGLE, verdict } from '../../../tests/support/lessonScreen';
import { visited } from '../../../tests/support/navigation';
import { row, said, screen, within } from '../../../tests/support/screen';
import { choiceWith } from '../../../tests/support/sheets';
import type { Plan } from '@/core';
import { keepLesson } from './actions';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  keepLesson: jest.fn(),
  loadLesson: jest.fn(),
  putAwayLesson: jest.fn(),
  giveLesson: jest.fn(),
  shortFor: jest.fn(),
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

describe('the plan', () => {
  const piece = (name: RegExp) => screen.getByRole('button', { name });
  const saidPlan = (): Plan => keep.mock.calls[keep.mock.calls.length - 1]![2].plan!;

  it('takes a hole as text; what still makes the circuit is kept, fixed where it was put', async () => {
    const { user } = openLesson(SINGLE, 'plan');
    const field = screen.getByLabelText('R1 leg 1: hole');
    await user.clear(field);
    await user.type(field, 'b3{Enter}');
    await waitFor(() => expect(keep).toHaveBeenCalled());
    const placed = saidPlan().placements.find(({ part }) => part === 'R1')!;
    expect(placed).toMatchObject({ legs: { a: 'b3', b: 'c8' }, fixed: true });
    expect(verdict()).toContain('Right.');
  });

  it('says of a part that an arrow moved where it is now, and no figure again', async () => {
    const { user } = openLesson(SINGLE, 'plan');
    const heard = () => said(document.querySelector('[data-heard="moved"]'));
    expect(heard()).toBe('');
    piece(/^The resistor R1/u).focus();
    await user.keyboard('{ArrowDown}');
    await waitFor(() => expect(heard()).toMatch(/^R1 in c4 and c9\./u));
    expect(heard()).not.toContain('mA');
  });

  it('says why a hole cannot be had', async () => {
    const { user } = openLesson(SINGLE, 'plan');
    const field = screen.getByLabelText('R1 leg 1: hole');
    await user.clear(field);
    await user.type(field, 'k99{Enter}');
    await waitFor(() => expect(verdict()).toContain('k99'));
    expect(keep).not.toHaveBeenCalled();
  });

  it('with a part turned, bridged or taken away shows what that does, and keeps the lesson', async () => {
    const { user } = openLesson(SINGLE, 'plan');
    const lamp = row(/^Lamp D1/u);
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
    const { user } = openLesson(SINGLE, 'plan');
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
    const { user } = openLesson(SINGLE, 'plan');
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
    const { user } = openLesson(SINGLE, 'plan');
    act(() => piece(/^The resistor R1:/u).focus());
    await user.keyboard('{ArrowLeft}');
    await waitFor(() => expect(keep).toHaveBeenCalled());
    await user.click(screen.getByRole('button', { name: 'Lay it out again' }));
    await waitFor(() => piece(/^The resistor R1: leg in c3, leg in c8/u));
  });

  it('on another board is laid out for it, held as one likes', async () => {
    const { user } = openLesson(choiceWith('strings'), 'plan');
    await user.selectOptions(screen.getByLabelText('Board'), 'strip');
    await waitFor(() => expect(screen.getByText(/\d+ joints, about/u)).toBeTruthy());
    await user.selectOptions(screen.getByLabelText('Board held'), 'flat');
    await waitFor(() =>
      expect(document.querySelector('.big-board svg')!.getAttribute('data-view')).toBe('plain'),
    );
    await user.click(screen.getByRole('button', { name: 'Turn it over' }));
    expect(document.querySelector('.big-board svg')!.getAttribute('data-face')).toBe('copper');
  });
});

describe('the dry run', () => {
  it('holds its answer back until one is ventured, then says who was right', async () => {
    const { user } = openLesson(SINGLE, 'try');
    const list = await screen.findByLabelText('What goes wrong');
    await waitFor(() => expect(within(list).getAllByRole('option').length).toBeGreaterThan(20));
    await user.selectOptions(list, within(list).getByRole('option', { name: /^D1 the wrong way round/u }));
    expect(screen.queryByText('the meter would read')).toBeNull();
    await user.type(screen.getByLabelText(/if you dare/u), '2');
    await user.click(screen.getByRole('button', { name: 'it gets dimmer' }));
    expect(said(screen.getByText(/Not as you said/u).parentElement)).toContain('D1 goes dark: no current.');
    expect(said(screen.getByText(/You expected/u))).toMatch(/You expected 2.00 V .*; it is −4.80 V/u);
  });

  it('walks down to the floor and stops above what would be too much', async () => {
    const { user } = openLesson(SINGLE, 'try');
    const walk = await screen.findByRole('group', { name: 'Walk down' });
    const down = within(walk).getByRole('button', { name: 'one value down' });
    while (!(down as HTMLButtonElement).disabled) await user.click(down);
    const words = said(within(walk).getByRole('status'));
    const [now, next] = [...words.matchAll(/([\d.]+) mA/gu)].map(([, amps]) => Number(amps));
    expect(words).toContain('Stop here');
    expect(now).toBeLessThanOrEqual(20);
    expect(next).toBeGreaterThan(20);
  });
});
