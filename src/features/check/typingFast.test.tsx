/** @jest-environment jsdom */
import { act, fireEvent, waitFor } from '@testing-library/react';
import { openSession } from '../../../tests/support/checkSession';
import { row, said, screen } from '../../../tests/support/screen';
import type { Reading } from '@/server/repositories/readings';
import { faultFound, keepReading, noteWhoIsThere } from './actions';
import type { CheckSessionProps } from './CheckSession';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({ faultFound: jest.fn(), keepReading: jest.fn(), noteWhoIsThere: jest.fn() }));

const keep = jest.mocked(keepReading);
const attend = jest.mocked(noteWhoIsThere);
const NAMES = ['Wren', 'Fenn', 'Pim', 'Oda', 'Tove', 'Ruk'];
const open = (more: Partial<CheckSessionProps> = {}) => openSession(NAMES, more);

const cell = (bench: number) =>
  screen.getByLabelText<HTMLInputElement>(new RegExp(`^Bench ${bench} ${NAMES[bench - 1]}, across R1`, 'u'), {
    selector: 'input',
  });
const hint = () => said(document.getElementById('grid-hint'));
const sent = () => keep.mock.calls.map(([{ studentId, typed, kind }]) => [studentId, typed, kind]);

const stored: Reading = {
  id: 7,
  sessionId: 4,
  studentId: 11,
  point: 'R1',
  kind: 'first',
  value: 2.9,
  step: 0.01,
  typed: '2.90',
  meter: 'class meter',
  takenBy: 'K',
  takenAt: '2026-12-01T17:00:00.000Z',
  arrivedAt: '2026-12-01T17:00:00.000Z',
};

beforeEach(() => {
  localStorage.clear();
  let id = 100;
  keep.mockReset().mockImplementation(async (reading) => ({
    ok: true,
    value: { ...reading, id: id++, arrivedAt: reading.takenAt },
  }));
  attend.mockReset().mockImplementation(async (_session, { studentId, state, withStudent }) => ({
    ok: true,
    value: state === 'here' ? [] : [{ studentId, state, withStudent }],
  }));
});

describe('figures typed fast down a column', () => {
  it('stand at their own benches, with a slip that stays where it was made and the caret gone on', async () => {
    const { user } = open({
      attendance: [
        { studentId: 11, state: 'absent', withStudent: null },
        { studentId: 14, state: 'late', withStudent: null },
      ],
    });
    await user.click(cell(1));
    await user.keyboard('2.91{Enter}2,,9{Enter}2.95{Enter}2.88{Enter}');
    await waitFor(() => expect(sent()).toHaveLength(3));
    expect(sent()).toEqual([
      [10, '2.91', 'first'],
      [13, '2.95', 'first'],
      [15, '2.88', 'first'],
    ]);
    expect(cell(3).value).toBe('2,,9');
    expect(cell(3).getAttribute('aria-invalid')).toBe('true');
    expect(said(screen.getByRole('alert'))).toContain('Bench 3, across R1: “2,,9”');
    expect(document.activeElement?.id).toBe('grid-hint');
  });

  it('go nowhere after the last bench', async () => {
    const { user } = open();
    await user.click(cell(6));
    await user.keyboard('2.91{Enter}2.95{Enter}');
    await waitFor(() => expect(sent()).toEqual([[15, '2.91', 'first']]));
    expect(cell(6).value).toBe('2.91');
  });

  it('go nowhere after Enter on an empty cell, until a key says what that means', async () => {
    const { user } = open();
    await user.click(cell(1));
    await user.keyboard('{Enter}2.91{Enter}');
    expect(document.activeElement).toBe(cell(1));
    expect(cell(1).value).toBe('');
    expect(hint()).toContain('Bench 1: nothing is typed. Arrow down leaves it empty, a marks it absent.');
    await user.keyboard('{ArrowDown}2.95{Enter}');
    await waitFor(() => expect(sent()).toEqual([[11, '2.95', 'first']]));
    expect(hint()).not.toContain('nothing is typed');
  });

  it('skip a bench that is marked absent with one key, and count it no more', async () => {
    const { user } = open();
    await user.click(cell(2));
    await user.keyboard('a2.95{Enter}');
    await waitFor(() => expect(said(row(/^2 Fenn/u).querySelector('.state'))).toBe('absent'));
    expect(attend).toHaveBeenCalledWith(4, { studentId: 11, state: 'absent', withStudent: null });
    await waitFor(() => expect(sent()).toEqual([[12, '2.95', 'first']]));
    expect(screen.queryByLabelText(/^Bench 2 Fenn, across R1/u)).toBeNull();
    await waitFor(() => expect(said(screen.getByLabelText('Benches so far'))).toContain('1 away'));
  });

  it('a pair is measured once, at the bench where they sit', async () => {
    const { user } = open();
    const who = screen.getByLabelText<HTMLSelectElement>('Who is at bench 3 Pim');
    await user.selectOptions(who, 'with 1 Wren');
    await waitFor(() => expect(who.selectedOptions[0]!.text).toBe('with 1 Wren'));
    expect(attend).toHaveBeenCalledWith(4, { studentId: 12, state: 'with', withStudent: 10 });
    expect(screen.queryByLabelText(/^Bench 3 Pim, across R1/u)).toBeNull();
  });
});

it('what was typed and not entered, or refused, is in its cell again after a reload, and nothing is sent', async () => {
  const first = open();
  await first.user.click(cell(1));
  await first.user.keyboard('2,,9{Enter}2.9');
  first.unmount();
  open();
  expect(cell(1).value).toBe('2,,9');
  expect(cell(1).getAttribute('aria-invalid')).toBe('true');
  expect(cell(2).value).toBe('2.9');
  expect(cell(2).getAttribute('aria-label')).toContain('typed and not entered yet');
  expect(sent()).toEqual([]);
});

describe('a figure that stands', () => {
  it('is taken back by Delete, with what it was, and can be put back', async () => {
    const { user } = open({ readings: [stored] });
    await user.click(cell(2));
    await user.keyboard('{Delete}');
    await waitFor(() => expect(sent()).toEqual([[11, '2.90', 'taken-back']]));
    expect(cell(2).value).toBe('');
    expect(hint()).toContain('Taken back: 2.90 at bench 2 Fenn, across R1.');
    await user.click(screen.getByRole('button', { name: 'Put it back' }));
    await waitFor(() => expect(sent()[1]).toEqual([11, '2.90', 'first']));
    expect(cell(2).value).toBe('2.90');
  });

  it('stays where a slip over it is cleared by Delete, and one key held down takes back one', async () => {
    const { user } = open({
      readings: [stored, { ...stored, id: 8, kind: 'retest', typed: '2.95', value: 2.95 }],
    });
    await user.click(cell(2));
    await user.keyboard('2,,9{Enter}');
    await user.click(cell(2));
    await user.keyboard('{Delete}');
    expect(cell(2).value).toBe('2.95');
    expect(sent()).toEqual([]);
    await user.keyboard('{Delete>5/}');
    await waitFor(() => expect(sent()).toEqual([[11, '2.95', 'taken-back']]));
    expect(cell(2).value).toBe('2.90');
  });

  it('moves to the bench that it is of, and leaves none behind', async () => {
    const { user } = open({ readings: [stored] });
    await user.click(screen.getByRole('button', { name: /^1 reading of Bench 2 Fenn, across R1/u }));
    await user.selectOptions(await screen.findByLabelText('Move 2.90 to another bench'), '5 Tove');
    await waitFor(() =>
      expect(sent()).toEqual([
        [11, '2.90', 'taken-back'],
        [14, '2.90', 'first'],
      ]),
    );
    expect([cell(2).value, cell(5).value]).toEqual(['', '2.90']);
    expect(hint()).toContain('moved from bench 2 to bench 5 Tove');
  });

  it('is not written once more by the browser’s own undo', async () => {
    const { user } = open();
    await user.type(cell(1), '2.91{Enter}');
    await waitFor(() => expect(sent()).toHaveLength(1));
    act(() => cell(1).focus());
    fireEvent.input(cell(1), { target: { value: '2.9' }, inputType: 'historyUndo' });
    act(() => cell(1).blur());
    expect(cell(1).value).toBe('2.91');
    expect(sent()).toHaveLength(1);
  });
});

describe('something hot', () => {
  it('comes before every measurement, until it is said to be cold', async () => {
    const { user } = open();
    const lamps = screen.getByLabelText(/^Bench 2 Fenn, lamps/u, { selector: 'input' });
    await user.type(lamps, 'smoke{Enter}');
    expect(said(await screen.findByRole('alert'))).toMatch(/Bench 2 Fenn: power off, now\..*first aid/u);
    expect(said(row(/^2 Fenn/u))).toContain('Power off. Nothing is measured until it is cold.');
    expect(said(row(/^2 Fenn/u))).not.toContain('next:');
    // What is said of the lamps meanwhile says nothing of the heat.
    await user.clear(lamps);
    await user.type(lamps, 'D1 dark{Enter}');
    expect(said(row(/^2 Fenn/u))).toContain('Power off.');
    await user.click(screen.getByRole('button', { name: 'It is off and cold' }));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(sent().map(([, typed]) => typed)).toEqual(['hot', 'D1 dark', 'was hot, D1 dark']);
    await waitFor(() => expect(said(row(/^2 Fenn/u))).toContain('next:'));
  });
});

it('what was really wrong is kept in the words of whoever found it', async () => {
  jest.mocked(faultFound).mockResolvedValue({ ok: false, message: 'not now' });
  const { user } = open();
  await user.type(cell(1), '0.92{Enter}');
  await waitFor(() => expect(said(row(/^1 Wren/u))).toContain('off'));
  await user.click(screen.getByRole('button', { name: 'Bench 1: it was …' }));
  await user.click(screen.getByRole('button', { name: /^another mistake/u }));
  await user.type(await screen.findByLabelText('or in your own words'), 'two lamps in one row{Enter}');
  await waitFor(() => expect(faultFound).toHaveBeenCalled());
  expect(jest.mocked(faultFound).mock.calls[0]![0]).toMatchObject({
    studentId: 10,
    cause: { code: 'something-else' },
    words: 'two lamps in one row',
  });
});
