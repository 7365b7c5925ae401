/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { row, said, screen, show, within } from '../../../tests/support/screen';
import { expectationWith } from '../../../tests/support/sheets';
import type { AtVolts } from '@/core';
import { looksOfBench, meterReads, sweepSupply, whatItWas } from './actions';
import { onsetsOf, stretchesOf } from './onsets';
import { Practice } from './Practice';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('./actions', () => ({
  looksOfBench: jest.fn(),
  meterReads: jest.fn(),
  sweepSupply: jest.fn(),
  whatItWas: jest.fn(),
}));

const students = ['Wren', 'Fenn'].map((nickname, i) => ({ id: 10 + i, bench: i + 1, nickname }));
const read = jest.mocked(meterReads);
const at = (volts: number, amps: number, look: AtVolts['looks'][string]): AtVolts => ({
  volts,
  amps,
  looks: { D1: look },
});
const MEANT = [
  at(0, 0, 'dark'),
  at(1.5, 0, 'dark'),
  at(1.8, 3e-4, 'dim'),
  at(2.1, 1.4e-3, 'lit'),
  at(4.5, 9e-3, 'lit'),
];
const HERE = MEANT.map(({ volts }) => at(volts, 0, 'dark'));

beforeEach(() => {
  localStorage.clear();
  read.mockReset().mockResolvedValue({ ok: true, value: { typed: '2.91', meter: 'stand-in meter' } });
  jest.mocked(looksOfBench).mockResolvedValue({ ok: true, value: { looks: { D1: 'dim' }, hot: true } });
  jest.mocked(whatItWas).mockResolvedValue({ ok: true, value: 'D1 the wrong way round' });
  jest.mocked(sweepSupply).mockResolvedValue({ ok: true, value: { bench: HERE, meant: MEANT, usual: 4.5 } });
});

const open = () =>
  show(
    <Practice
      sessionId={4}
      expectation={expectationWith()}
      students={students}
      predicted="predicted"
      usual={4.5}
    />,
  );
const cell = (bench: number, point: string) =>
  screen.getByLabelText<HTMLInputElement>(
    new RegExp(`^Bench ${bench} ${students[bench - 1]!.nickname}, ${point}`, 'u'),
    {
      selector: 'input',
    },
  );

describe('practising', () => {
  it('drops the meter’s figure into the cell by one key, judges it, and keeps it in this browser alone', async () => {
    const { user, unmount } = open();
    await user.click(cell(1, 'across R1'));
    await user.keyboard('r');
    await waitFor(() => expect(cell(1, 'across R1').value).toBe('2.91'));
    expect(read).toHaveBeenCalledWith({ sessionId: 4, seed: 1, bench: 1, mended: false }, 'R1');
    await waitFor(() => expect(said(row(/^1 Wren/u))).toContain('right'));
    unmount();
    open();
    await waitFor(() => expect(cell(1, 'across R1').value).toBe('2.91'));
  });

  it('reads it by a button too, into the cell that one was at', async () => {
    const { user } = open();
    await user.click(cell(1, 'across R1'));
    await user.click(screen.getByRole('button', { name: /^Read the meter: bench 1, across R1/u }));
    await waitFor(() => expect(cell(1, 'across R1').value).toBe('2.91'));
  });

  it('says why the meter shows nothing, and leaves the cell free', async () => {
    read.mockResolvedValue({
      ok: false,
      message: 'The meter shows an overload: take its next larger range.',
    });
    const { user } = open();
    await user.click(cell(2, 'current'));
    await user.keyboard('r');
    expect(await screen.findByText(/shows an overload/u)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/shows an overload/u)).toBeNull();
    expect(cell(2, 'current').value).toBe('');
  });

  it('shows the bench that one stands before; once it is put right the meter measures another build', async () => {
    const { user } = open();
    await user.click(cell(2, 'across D1'));
    const bench = await screen.findByRole('region', { name: 'Bench 2 as it stands' });
    await waitFor(() => expect(said(bench)).toContain('D1 dim; something gets hot'));
    await user.click(within(bench).getByRole('button', { name: 'tell me what it was' }));
    await waitFor(() => expect(said(bench)).toContain('It was: D1 the wrong way round.'));
    await user.click(within(bench).getByRole('button', { name: 'Put it right' }));
    await user.click(cell(2, 'across D1'));
    await user.keyboard('r');
    expect(read).toHaveBeenLastCalledWith(
      { sessionId: 4, seed: 1, bench: 2, mended: true },
      expect.any(String),
    );
  });

  it('leaves figures of the build before it was put right behind, once it is measured again', async () => {
    const { user } = open();
    await user.type(cell(2, 'across R1'), '0.31{Enter}');
    await user.click(cell(2, 'across D1'));
    const bench = await screen.findByRole('region', { name: 'Bench 2 as it stands' });
    await user.click(within(bench).getByRole('button', { name: 'Put it right' }));
    expect(screen.queryByLabelText(/read before it was mended/u)).toBeNull();
    await user.type(cell(2, 'across D1'), '1.88{Enter}');
    const before = await screen.findByLabelText(/^Bench 2 \w+, across R1, read before it was mended/u);
    expect(before).toHaveProperty('value', '0.31');
    // The same figure again is one of the mended build.
    await user.type(before, '0.31{Enter}');
    expect(screen.queryByLabelText(/read before it was mended/u)).toBeNull();
  });

  it('asks before a class with figures is left for another', async () => {
    const { user } = open();
    await user.click(cell(1, 'across R1'));
    await user.keyboard('r');
    await waitFor(() => expect(cell(1, 'across R1').value).toBe('2.91'));
    await user.type(screen.getByLabelText('class no.'), '77');
    await user.click(screen.getByRole('button', { name: 'Another class' }));
    expect(cell(1, 'across R1').value).toBe('2.91');
    await user.click(screen.getByRole('button', { name: 'Yes, leave these figures' }));
    await waitFor(() => expect(cell(1, 'across R1').value).toBe(''));
    expect(screen.getByText('Class 77, made up.')).toBeTruthy();
    await user.type(screen.getByLabelText('class no.'), '0');
    expect(said(screen.getByRole('alert'))).toContain('from 1 to 9999');
  });

  it('turns the supply up and sets beside each lamp where it should come on', async () => {
    const { user } = open();
    await user.click(await screen.findByRole('button', { name: 'Turn its supply' }));
    await user.clear(screen.getByLabelText('supply from 0 V to'));
    await user.type(screen.getByLabelText('supply from 0 V to'), '60');
    expect(said(screen.getByRole('alert'))).toContain('from 1 V to 24 V');
    await user.clear(screen.getByLabelText('supply from 0 V to'));
    await user.type(screen.getByLabelText('supply from 0 V to'), '4.5');
    await user.click(screen.getByRole('button', { name: 'Turn it up' }));
    expect(said(await screen.findByRole('row', { name: /^D1/u }))).toMatch(/never\s*2\.10\s*V/u);
    expect(sweepSupply).toHaveBeenCalledWith({ sessionId: 4, seed: 1, bench: 1, mended: false }, 4.5);
  });
});

describe('a supply that is turned up', () => {
  it('has an onset where a lamp is first lit, and stretches in which it looks the same', () => {
    expect(onsetsOf({ bench: HERE, meant: MEANT })).toEqual([{ lamp: 'D1', here: undefined, meant: 2.1 }]);
    expect(stretchesOf(MEANT, 'D1')).toEqual([
      { from: 0, to: 1.8, look: 'dark' },
      { from: 1.8, to: 2.1, look: 'dim' },
      { from: 2.1, to: 4.5, look: 'lit' },
    ]);
  });
});
