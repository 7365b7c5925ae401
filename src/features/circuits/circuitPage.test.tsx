/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { retype, said, screen, show, within } from '../../../tests/support/screen';
import { CircuitPage } from './CircuitPage';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));

const region = (name: string) => screen.getByRole('region', { name });
const settled = (name: string) =>
  waitFor(() => expect(region(name).getAttribute('aria-busy')).not.toBe('true'));
const followed = (seconds: string) =>
  within(region('Over time')).findAllByRole('img', { name: new RegExp(`over ${seconds}`, 'u') });
const cells = (part: string) =>
  [...within(region('At rest')).getByRole('row', { name: new RegExp(`^${part} `, 'u') }).children].map(said);

const LOOP = {
  format: 'mivvet.circuit/1',
  title: 'one lamp',
  ground: '0',
  parts: [
    { id: 'B1', kind: 'supply', pins: { plus: 'p', minus: '0' }, volts: 5 },
    { id: 'R1', kind: 'resistor', pins: { a: 'p', b: 'n' }, ohms: 1000 },
    { id: 'R2', kind: 'resistor', pins: { a: 'n', b: '0' }, ohms: 1000 },
  ],
  checks: [],
};

async function openFile(user: ReturnType<typeof show>['user'], text: string) {
  const file = Object.assign(new File([text], 'c.json', { type: 'application/json' }), {
    text: async () => text,
  });
  await user.upload(screen.getByLabelText('From a circuit file'), file);
}

beforeEach(() => localStorage.clear());

describe('a circuit of one’s own', () => {
  it('comes in from a file and is solved: half the volts across each of two like resistors', async () => {
    const { user } = show(<CircuitPage />);
    await openFile(user, JSON.stringify(LOOP));
    await screen.findByRole('heading', { name: 'one lamp' });
    await waitFor(() => expect(cells('R1')).toContain('2.50 V'));
    expect(cells('R2')).toEqual(expect.arrayContaining(['2.50 V', '2.50 mA', '6.25 mW']));
    expect(said(region('At rest'))).toContain('n at 2.50 V');
  });

  it('with a figure turned is solved anew, and undone', async () => {
    const { user } = show(<CircuitPage />);
    await openFile(user, JSON.stringify(LOOP));
    await screen.findByRole('heading', { name: 'one lamp' });
    await retype(user, /^R2: /u, '4k');
    await waitFor(() => expect(cells('R2')).toEqual(expect.arrayContaining(['4.00 V', '1.00 mA'])));
    await retype(user, /^R2: /u, 'many');
    expect(said(region('At rest'))).toMatch(/many.*The figures keep the value from before/u);
    const undo = screen.getByRole('button', { name: 'Undo' });
    while (!(undo as HTMLButtonElement).disabled && !cells('R2').includes('2.50 V')) await user.click(undo);
    await waitFor(() => expect(cells('R2')).toContain('2.50 V'));
  });

  it('is there again when the page is opened anew', async () => {
    const { user, unmount } = show(<CircuitPage />);
    await openFile(user, JSON.stringify(LOOP));
    await screen.findByRole('heading', { name: 'one lamp' });
    unmount();
    show(<CircuitPage />);
    expect(screen.getByRole('heading', { name: 'one lamp' })).toBeTruthy();
  });

  it('that is broken is refused with what is wrong, and the one below stays', async () => {
    const { user } = show(<CircuitPage />);
    await openFile(user, JSON.stringify({ ...LOOP, parts: [{ ...LOOP.parts[1], kind: 'cake' }] }));
    await waitFor(() => expect(said(document.querySelector('.note.refusal'))).toContain('stays as it was'));
    expect(screen.getByRole('heading', { name: 'buoy' })).toBeTruthy();
    await openFile(user, 'no circuit at all');
    await waitFor(() => expect(said(document.querySelector('.note.refusal'))).toMatch(/JSON/u));
  });
});

describe('the harbour’s circuits', () => {
  it('are followed over time, for as long as one likes', async () => {
    const { user } = show(<CircuitPage />);
    await followed('5\.00');
    await retype(user, 'Seconds to follow', '2');
    await followed('2\\.00');
    await retype(user, 'Seconds to follow', 'long');
    await waitFor(() => expect(said(region('Over time'))).toContain('long'));
  }, 40_000);

  it('vary by one figure between two values, the lamp’s current falling as the resistor grows', async () => {
    const { user } = show(<CircuitPage />);
    await user.selectOptions(screen.getByLabelText('From the harbour'), 'boathouse lamp');
    await settled('One figure varied');
    await waitFor(() => expect(within(region('One figure varied')).getByRole('img')).toBeTruthy());
  });

  it('answer which timing values make a wanted time', async () => {
    show(<CircuitPage />);
    await waitFor(() => expect(screen.getByLabelText('Time it is to take')).toBeTruthy());
    const question = screen.getByLabelText('Time it is to take').closest('.question-row');
    await waitFor(() => expect(said(question)).toMatch(/[\d.]+ (?:s|ms)/u));
  });
});

describe('what a circuit does besides its figures', () => {
  it('a latch shows both of its states, each with its own figures', async () => {
    const { user } = show(<CircuitPage />);
    await user.selectOptions(screen.getByLabelText('From the harbour'), 'lock gate');
    const other = await screen.findByRole('radio', { name: 'the other way' });
    // By hand: (9 − 1.9 − 0.1) V over 472 Ω is near 15 mA; the other lamp has the base current of its neighbour.
    const milliamps = (part: string) => Number.parseFloat(cells(part)[3]!);
    const before = [milliamps('D1'), milliamps('D2')];
    expect(Math.max(...before)).toBeGreaterThan(13);
    await user.click(other);
    const after = [milliamps('D1'), milliamps('D2')];
    expect(before[0]! > 13).toBe(after[1]! > 13);
    expect(before[1]! > 13).toBe(after[0]! > 13);
  });

  it('every part that gets too much says so, not lamps only', async () => {
    const { user } = show(<CircuitPage />);
    const hot = { ...LOOP, parts: LOOP.parts.map((part) => (part.ohms ? { ...part, ohms: 20 } : part)) };
    await openFile(user, JSON.stringify(hot));
    await screen.findByRole('heading', { name: 'one lamp' });
    // By hand: (2.5 V)² over 20 Ω is 312 mW, and a quarter of a watt is what it stands.
    await waitFor(() => expect(cells('R1')[1]).toContain('turns 312 mW into heat, more than the 250 mW'));
  });

  it('how long a battery carries a blinker is told in hours', async () => {
    show(<CircuitPage />);
    const row = (await screen.findByLabelText('Battery')).closest<HTMLElement>('.question-row')!;
    await waitFor(() => expect(said(row)).toMatch(/\d+ h until it is empty/u));
    expect(within(row).queryByRole('progressbar')).toBeNull();
  }, 60_000);
});

describe('a large circuit', () => {
  const BANK = {
    ...LOOP,
    title: 'bank',
    parts: [
      LOOP.parts[0],
      ...Array.from({ length: 280 }, (_, i) => ({
        id: `R${i + 1}`,
        kind: 'resistor',
        pins: { a: 'p', b: '0' },
        ohms: 1000 + i,
      })),
    ],
  };

  it('is listed a page at a time, searched, and its choices are laid out when they are sought', async () => {
    const { user } = show(<CircuitPage />);
    await openFile(user, JSON.stringify(BANK));
    await screen.findByRole('heading', { name: 'bank' });
    await settled('At rest');
    const rest = within(region('At rest'));
    expect(rest.getAllByRole('row')).toHaveLength(41);
    await user.type(rest.getByRole('searchbox'), 'R280');
    expect(rest.getAllByRole('row')).toHaveLength(2);
    // 5 V over 1,279 Ω.
    expect(cells('R280')).toEqual(expect.arrayContaining(['5.00 V', '3.91 mA']));
    const choice = screen.getByLabelText('What varies');
    const few = choice.children.length;
    expect(few).toBeLessThan(10);
    await user.click(choice);
    expect(choice.children.length).toBeGreaterThan(280);
  });

  it('does not get the question that was asked of one before it, not even of the same name', async () => {
    const { user } = show(<CircuitPage />);
    await openFile(user, JSON.stringify(LOOP));
    await screen.findByRole('heading', { name: 'one lamp' });
    await user.selectOptions(await screen.findByLabelText('What varies'), 'R2, ohms');
    await retype(user, 'Last value', '9k');
    await openFile(user, JSON.stringify({ ...LOOP, parts: [...LOOP.parts].reverse() }));
    await waitFor(() =>
      expect((screen.getByLabelText('Last value') as HTMLInputElement).value).not.toContain('9'),
    );
    expect((screen.getByLabelText('What varies') as HTMLSelectElement).value).toBe('R2, ohms');
  });
});
