/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { visited } from '../../../tests/support/navigation';
import { expectation, openSession } from '../../../tests/support/checkSession';
import { row, said, screen, within } from '../../../tests/support/screen';
import type { NewReading } from '@/server/repositories/readings';
import { outbox } from './outbox';
import { keepReading } from './actions';
import type { CheckSessionProps } from './CheckSession';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));
jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  faultFound: jest.fn(),
  faultNotFound: jest.fn(),
  contextChoicesOf: jest.fn(),
  keepContext: jest.fn(),
  keepReading: jest.fn(),
  noteWhoIsThere: jest.fn(),
  readMeterAt: jest.fn(),
  renewSession: jest.fn(),
  takeBackRenewal: jest.fn(),
  whatRenewalChanges: jest.fn(),
}));

jest.mock('@/features/asking/actions', () => ({ stopWork: jest.fn() }));

const keep = jest.mocked(keepReading);
const NAMES = ['Wren', 'Fenn', 'Pim'];
const open = (more: Partial<CheckSessionProps> = {}) => openSession(NAMES, more);

const cell = (bench: number, point: string) =>
  screen.getByLabelText(new RegExp(`^Bench ${bench} ${NAMES[bench - 1]}, ${point}`, 'u'), {
    selector: 'input',
  });
const bench = (number: number) => row(new RegExp(`^${number} ${NAMES[number - 1]}`, 'u'));
const sent = (): NewReading[] => keep.mock.calls.map(([reading]) => reading);

beforeEach(() => {
  keep.mockReset();
  localStorage.clear();
  visited.length = 0;
  let id = 100;
  keep.mockImplementation(async (reading) => ({
    ok: true,
    value: { ...reading, id: id++, arrivedAt: reading.takenAt },
  }));
});

describe('a figure', () => {
  it('is judged, sent with what it was read with, and Enter goes on to the next bench', async () => {
    const { user } = open();
    await user.type(screen.getByLabelText('read by'), 'HB');
    await user.type(cell(1, 'across R1'), '2.91{Enter}');
    expect(document.activeElement).toBe(cell(2, 'across R1'));
    await user.keyboard('0.92{Enter}');
    await waitFor(() => expect(said(bench(1))).toContain('right'));
    await waitFor(() => expect(said(bench(2))).toContain('off'));
    expect(sent()[0]).toMatchObject({
      sessionId: 4,
      studentId: 10,
      point: 'R1',
      kind: 'first',
      value: 2.91,
      step: 0.01,
      typed: '2.91',
      takenBy: 'HB',
      meter: expectation.meter.name,
    });
    expect(said(screen.getByLabelText('Benches so far'))).toMatch(/1 right .*1 off 1 to come/u);
  });

  it('with Shift and Enter, or an arrow, goes back up', async () => {
    const { user } = open();
    await user.type(cell(2, 'across R1'), '2.9{Shift>}{Enter}{/Shift}');
    expect(document.activeElement).toBe(cell(1, 'across R1'));
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement).toBe(cell(2, 'across R1'));
  });

  it('in milliamps is taken as such, and a prediction is kept but never judged', async () => {
    const { user } = open();
    await user.type(cell(1, 'current'), '8.85{Enter}');
    await waitFor(() => expect(said(bench(1))).toContain('right'));
    expect(sent()[0]!.value).toBeCloseTo(0.00885, 12);
    await user.type(cell(2, 'predicted'), '12{Enter}');
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()[1]).toMatchObject({ point: 'predicted', value: 0.012 });
    expect(said(bench(2))).toContain('–');
  });

  it('that is none stays as typed with a sentence beside it, and can be left out', async () => {
    const { user } = open();
    await user.type(cell(1, 'across R1'), 'bright{Enter}');
    const refused = screen.getByRole('alert');
    expect(said(refused)).toContain('Bench 1, across R1: “bright”');
    expect((cell(1, 'across R1') as HTMLInputElement).value).toBe('bright');
    await user.click(within(refused).getByRole('button', { name: 'Leave it out' }));
    expect((cell(1, 'across R1') as HTMLInputElement).value).toBe('');
    expect(keep).not.toHaveBeenCalled();
  });

  it('that cannot be meant is asked about: the likely one is offered, the typed one can stay', async () => {
    const { user } = open();
    await user.type(cell(1, 'across R1'), '2910{Enter}');
    await user.click(screen.getByRole('button', { name: 'Take 2.91' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]!.value).toBe(2.91);
    await user.type(cell(2, 'across R1'), '2910{Enter}');
    await user.click(screen.getByRole('button', { name: 'Keep 2910' }));
    await waitFor(() => expect(sent()).toHaveLength(2));
    expect(sent()[1]!.value).toBe(2910);
  });

  it('typed again is a retest, or a correction if one says so; the earlier stays to be seen', async () => {
    const { user } = open();
    await user.type(cell(1, 'across R1'), '0.5{Enter}');
    await waitFor(() => expect(said(bench(1))).toContain('off'));
    await user.clear(cell(1, 'across R1'));
    await user.type(cell(1, 'across R1'), '2.9{Enter}');
    await waitFor(() => expect(said(bench(1))).toContain('right'));
    await user.selectOptions(screen.getByLabelText('A second figure in a cell is'), 'correction');
    await user.clear(cell(1, 'across R1'));
    await user.type(cell(1, 'across R1'), '2.88{Enter}');
    await waitFor(() => expect(sent().map(({ kind }) => kind)).toEqual(['first', 'retest', 'correction']));
    await user.click(screen.getByRole('button', { name: /^3 readings of Bench 1 Wren, across R1/u }));
    const history = await screen.findByRole('tooltip');
    expect(said(history)).toMatch(/0\.5 first reading.*2\.9 retest.*2\.88 correction/u);
  });
});

describe('an off bench', () => {
  it('gets the likeliest cause and what would settle it', async () => {
    const { user } = open();
    await user.type(cell(1, 'pack under load'), '4.80{Enter}');
    await user.type(cell(1, 'across R1'), '0.00{Enter}');
    await user.type(cell(1, 'across D1'), '-4.80{Enter}');
    await waitFor(() => expect(said(bench(1))).toContain('D1 the wrong way round'));
  });

  it('with ten times the resistor is told by its value', async () => {
    const { user } = open();
    for (const [point, figure] of [
      ['pack under load', '4.80'],
      ['across R1', '3.03'],
      ['across D1', '1.77'],
      ['current', '0.92'],
    ] as const) {
      await user.type(cell(3, point), `${figure}{Enter}`);
    }
    await waitFor(() => expect(said(bench(3))).toContain('R1 is 3.3 kΩ, not 330 Ω'));
  });
});

describe('when the program does not answer', () => {
  it('readings wait in this browser, are judged all the same, and go out on wish, once', async () => {
    keep.mockRejectedValue(new Error('gone'));
    const { user, unmount } = open();
    await user.type(cell(1, 'across R1'), '2.91{Enter}');
    await user.type(cell(2, 'across R1'), '2.89{Enter}');
    await screen.findByText(/2 readings are kept in this browser only/u);
    await waitFor(() => expect(said(bench(1))).toContain('right'));
    unmount();
    expect(outbox.all(4)).toHaveLength(2);

    open();
    await waitFor(() => expect((cell(2, 'across R1') as HTMLInputElement).value).toBe('2.89'));
    keep.mockReset();
    let id = 500;
    keep.mockImplementation(async (reading) => ({
      ok: true,
      value: { ...reading, id: id++, arrivedAt: reading.takenAt },
    }));
    await user.click(await screen.findByRole('button', { name: 'Send again' }));
    await waitFor(() => expect(outbox.all(4)).toEqual([]));
    expect(sent().map(({ typed }) => typed)).toEqual(['2.91', '2.89']);
    expect(screen.queryByText(/kept in this browser only/u)).toBeNull();
  });
});

describe('readings on their way', () => {
  it('that are refused stand aside with the reason, hold up no other, and are corrected or left out', async () => {
    keep.mockImplementation(async (reading) =>
      reading.typed === '2.91'
        ? { ok: false, message: 'This session has no such checkpoint any more.' }
        : {
            ok: true,
            value: { ...reading, id: 300 + Number(reading.studentId), arrivedAt: reading.takenAt },
          },
    );
    const { user, unmount } = open();
    await user.type(cell(1, 'across R1'), '2.91{Enter}');
    await user.type(cell(2, 'across R1'), '2.89{Enter}');
    await screen.findByText(/no such checkpoint any more/u);
    await waitFor(() => expect(outbox.all(4).map(({ reading }) => reading.typed)).toEqual(['2.91']));
    expect(screen.queryByText(/kept in this browser only/u)).toBeNull();
    unmount();

    // The page is opened again: it is still there, with its reason, and is not sent once more.
    keep.mockClear();
    const again = open();
    await screen.findByText(/no such checkpoint any more/u);
    expect(keep).not.toHaveBeenCalled();
    await again.user.click(screen.getByRole('button', { name: 'Leave it out' }));
    expect(outbox.all(4)).toEqual([]);
  });

  it('go out by themselves when the program is back', async () => {
    keep.mockRejectedValueOnce(new Error('gone'));
    const { user } = open();
    await user.type(cell(1, 'across R1'), '2.91{Enter}');
    await screen.findByText(/1 reading is kept in this browser only/u);
    await waitFor(() => expect(outbox.all(4)).toEqual([]));
    expect(sent()).toHaveLength(2);
    expect(screen.queryByText(/kept in this browser only/u)).toBeNull();
  });

  it('of two tabs of one browser are all sent', async () => {
    keep.mockRejectedValue(new Error('gone'));
    const one = open();
    await one.user.type(cell(1, 'across R1'), '2.91{Enter}');
    await one.user.type(cell(2, 'across R1'), '2.89{Enter}');
    await waitFor(() => expect(outbox.all(4)).toHaveLength(2));
    // The other tab puts its own between.
    outbox.put({
      reading: { ...outbox.all(4)[0]!.reading, studentId: 12, typed: '2.90', entryKey: 'other' },
    });
    await one.user.type(cell(3, 'across R1'), '2.95{Enter}');
    expect(
      outbox
        .all(4)
        .map(({ reading }) => reading.typed)
        .sort(),
    ).toEqual(['2.89', '2.90', '2.91', '2.95']);
  });

  it('say so where this browser can keep nothing, and are sent all the same', async () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('QuotaExceededError');
    });
    keep.mockRejectedValueOnce(new Error('gone'));
    const { user } = open();
    await user.type(cell(1, 'across R1'), '2.91{Enter}');
    await screen.findByText(/own store is full or blocked/u);
    await waitFor(() => expect(screen.queryByText(/full or blocked/u)).toBeNull());
    expect(sent().map(({ typed }) => typed)).toEqual(['2.91', '2.91']);
    full.mockRestore();
  });

  it('that no database would keep are refused before they are sent', async () => {
    const { user } = open();
    await user.type(cell(1, 'across R1'), '20000{Enter}');
    await user.click(await screen.findByRole('button', { name: 'Keep 20000' }));
    await screen.findByText(/The figure must be at most 10000/u);
    expect(keep).not.toHaveBeenCalled();
    await user.clear(cell(1, 'across R1'));
    await user.type(cell(1, 'across R1'), '5000{Enter}');
    await user.click(await screen.findByRole('button', { name: 'Keep 5000' }));
    await waitFor(() => expect(sent().map(({ value }) => value)).toEqual([5000]));
  });
});

describe('a whole class from a table', () => {
  it('is shown before it is entered, judged like what is typed, and sent bench by bench', async () => {
    const { user } = open();
    await user.click(screen.getByRole('button', { name: 'enter from a table' }));
    const dialog = await screen.findByRole('dialog');
    await user.click(within(dialog).getByLabelText('or its text, pasted'));
    await user.paste('bench,across R1,current\n1,2.91,8.9\n2,0.92,\n7,2.9,');
    expect(said(dialog)).toContain('3 figures of 2 benches can be entered');
    expect(said(dialog)).toContain('no bench “7”');
    await user.click(within(dialog).getByRole('button', { name: 'Enter 3 figures' }));
    await waitFor(() => expect(said(bench(2))).toContain('off'));
    expect(sent().map(({ studentId, point, typed }) => [studentId, point, typed])).toEqual([
      [10, 'R1', '2.91'],
      [10, 'current', '8.9'],
      [11, 'R1', '0.92'],
    ]);
  });
});
