/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { visited } from '../../../tests/support/navigation';
import { retype, row, said, screen, show, within } from '../../../tests/support/screen';
import { BARE_SHELF, LAMP_TYPES, LAMPS, type LampType } from '@/core';
import type { StockRow } from '@/server/repositories/stock';
import { changeLamp, changeStock, keepBattery, newStock, putAwayBattery } from './actions';
import { AddStock } from './AddStock';
import { BandReader } from './BandReader';
import { BandTrainer } from './BandTrainer';
import { BatteryReader } from './BatteryReader';
import { LampFinder } from './LampFinder';
import { LampTable } from './LampTable';
import { StockTable } from './StockTable';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  changeLamp: jest.fn(),
  changeStock: jest.fn(),
  keepBattery: jest.fn(),
  newStock: jest.fn(),
  putAwayBattery: jest.fn(),
}));

const done = { ok: true as const, value: 1 };
const status = () => said(screen.getByRole('status'));

beforeEach(() => {
  jest.clearAllMocks();
  visited.length = 0;
});

describe('the band reader', () => {
  const choose = async (user: ReturnType<typeof show>['user'], ...bands: readonly string[]) => {
    for (const [i, band] of bands.entries())
      await user.selectOptions(screen.getByLabelText(`Band ${i + 1}`), band);
  };
  const bands = () =>
    screen.getAllByLabelText(/^Band \d/u).map((field) => (field as HTMLSelectElement).value);

  it('reads colours, and says whether the drawer holds the value', async () => {
    const { user } = show(<BandReader drawer={[330, 470]} />);
    expect(status()).toBe('330 Ω ± 5 %: in the drawer.');
    await choose(user, 'yellow', 'violet', 'red');
    expect(status()).toBe('4.7 kΩ ± 5 %: not in the drawer, which has 470 Ω.');
    expect((screen.getByLabelText('or the value') as HTMLInputElement).value).toBe('4K7');
  });

  it('draws the colours of a value that is typed, with four bands or five', async () => {
    const { user } = show(<BandReader drawer={[330]} />);
    await retype(user, 'or the value', '2k2');
    expect(bands()).toEqual(['red', 'red', 'red', 'gold']);
    await user.click(screen.getByLabelText('5 bands'));
    expect(bands()).toEqual(['red', 'red', 'black', 'brown', 'brown']);
  });

  it('says what bands cannot say, and keeps what was typed', async () => {
    const { user } = show(<BandReader drawer={[330]} />);
    const field = await retype(user, 'or the value', '332');
    expect(said(document.querySelector('.note'))).toContain('more digits than 4 bands can say');
    await retype(user, 'or the value', 'many');
    expect(said(document.querySelector('.note'))).toContain('many');
    expect((field as HTMLInputElement).value).toBe('many');
  });

  it('knows where gold and silver may stand', async () => {
    const { user } = show(<BandReader drawer={[330]} />);
    await choose(user, 'gold');
    expect(status()).toContain('gold and silver stand only at the end');
  });
});

describe('the band trainer', () => {
  it('names the slip, counts what was right at once, and shows what is not known', async () => {
    const { user } = show(<BandTrainer drawer={[470]} count={4} />);
    await user.click(screen.getByRole('button', { name: 'Begin' }));
    await user.type(screen.getByLabelText('What is it?'), '4k7{Enter}');
    expect(status()).toContain('4.7 kΩ: the digits are right');
    await retype(user, 'What is it?', '740');
    await user.click(screen.getByRole('button', { name: 'Say it' }));
    expect(status()).toContain('changed places');
    await retype(user, 'What is it?', '470');
    await user.click(screen.getByRole('button', { name: 'Say it' }));
    expect(status()).toBe('470 Ω: right.');
    expect(screen.getByText('0 of 1 right at once')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Next one' }));
    await user.type(screen.getByLabelText('What is it?'), '470{Enter}');
    expect(screen.getByText('1 of 2 right at once')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Next one' }));
    await user.click(screen.getByRole('button', { name: 'Show me' }));
    expect(status()).toBe('It is 470 Ω.');
    expect(screen.getByText('1 of 3 right at once')).toBeTruthy();
  });

  it('says what it cannot read', async () => {
    const { user } = show(<BandTrainer drawer={[470]} count={5} />);
    await user.click(screen.getByRole('button', { name: 'Begin' }));
    await user.type(screen.getByLabelText('What is it?'), 'blue{Enter}');
    expect(status()).toContain('blue');
  });
});

describe('an unknown lamp', () => {
  it('is named by its volts, in the trade’s own writing', async () => {
    const { user } = show(<LampFinder figures={BARE_SHELF.lamps} />);
    await user.type(screen.getByLabelText('volts across it'), '3V0');
    await user.type(screen.getByLabelText('current in mA'), '7m');
    expect(status()).toMatch(/^Like .*blue/u);
    await retype(user, 'volts across it', '-1');
    expect(status()).toBe('A lit lamp has volts across it and a current through it.');
    await retype(user, 'volts across it', 'x');
    expect(said(screen.getByRole('alert'))).toContain('“x”');
  });
});

describe('reading a battery', () => {
  const fill = async (user: ReturnType<typeof show>['user'], open: string, loaded: string) => {
    await retype(user, 'volts, nothing on it', open);
    await retype(user, 'volts, loaded', loaded);
  };

  it('gives its own ohms, and keeps it under its name', async () => {
    jest.mocked(keepBattery).mockResolvedValue(done);
    const { user } = show(<BatteryReader batteries={[]} />);
    await fill(user, '4.5', '4.4');
    // 33 Ω · (4.5 − 4.4)/4.4 = 0.75 Ω; 1.5 V a cell is the nominal point, a tenth spent.
    expect(status()).toBe('4.50 V behind 0.750 Ω of its own, about 10 % spent.');
    expect((screen.getByRole('button', { name: 'Keep this reading' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
    await user.type(screen.getByLabelText('Name on the battery'), 'box 3{Enter}');
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(keepBattery).toHaveBeenCalledWith({
      name: 'box 3',
      kind: 'aa-alkaline',
      cells: 3,
      volts: 4.5,
      ohms: expect.closeTo(0.75, 9) as number,
    });
  });

  it('says when the two readings cannot be', async () => {
    const { user } = show(<BatteryReader batteries={[]} />);
    await fill(user, '4.4', '4.5');
    expect(screen.getByText('Loaded it cannot show more than open: read both again.')).toBeTruthy();
    await retype(user, 'volts, loaded', 'low');
    expect(said(screen.getByRole('alert'))).toContain('low');
  });

  it('puts a kept one away', async () => {
    jest.mocked(putAwayBattery).mockResolvedValue({ ok: true, value: null });
    const battery = {
      id: 9,
      name: 'box 3',
      kind: 'block-9v' as const,
      cells: 1,
      volts: 8.2,
      ohms: 3.9,
      measuredAt: '2026-11-20T10:00:00.000Z',
    };
    const { user } = show(<BatteryReader batteries={[battery]} />);
    expect(said(row(/^box 3/u))).toContain('8.20 V');
    await user.click(screen.getByRole('button', { name: 'Put box 3 away' }));
    await waitFor(() => expect(putAwayBattery).toHaveBeenCalledWith(9, true));
  });
});

describe('a new part', () => {
  const KINDS = [
    ['resistor', 'Value', '4k7', { kind: 'resistor', ohms: 4700 }],
    ['potentiometer', 'Value', '22k', { kind: 'potentiometer', ohms: 22_000 }],
    ['zener', 'Its volts', '8V2', { kind: 'zener', volts: 8.2 }],
    ['thing', 'What it is', 'jam jar', { kind: 'thing', name: 'jam jar' }],
  ] as const;

  it.each(KINDS)('of kind %s is what was typed', async (kind, label, text, spec) => {
    jest.mocked(newStock).mockResolvedValue(done);
    const { user } = show(<AddStock />);
    await user.selectOptions(screen.getByLabelText('Kind'), kind);
    await user.type(screen.getByLabelText(label), text);
    await retype(user, 'In store', '12');
    await retype(user, 'Price of a pack', '2,75');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(newStock).toHaveBeenCalled());
    expect(newStock).toHaveBeenCalledWith(spec, { have: 12, packSize: 10, packCents: 275, place: '' });
  });

  const CHOSEN = [
    ['led', 'Colour', 'blue', { kind: 'led', lamp: 'blue' }],
    ['board', 'Which', 'strip', { kind: 'board', board: 'strip' }],
    ['rgb-lamp', 'Common leg', 'anode', { kind: 'rgb-lamp', common: 'anode' }],
    ['cell', 'Of', 'block-9v', { kind: 'cell', supply: 'block-9v' }],
    ['supply', 'Of', 'usb', { kind: 'supply', supply: 'usb' }],
  ] as const;

  it.each(CHOSEN)('of kind %s is what was chosen', async (kind, label, value, spec) => {
    jest.mocked(newStock).mockResolvedValue(done);
    const { user } = show(<AddStock />);
    await user.selectOptions(screen.getByLabelText('Kind'), kind);
    await user.selectOptions(screen.getByLabelText(label), value);
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(jest.mocked(newStock).mock.calls[0]?.[0]).toEqual(spec));
  });

  it('that is no value is refused with its name, and stays as typed', async () => {
    const { user } = show(<AddStock />);
    const field = screen.getByLabelText('Value');
    await user.type(field, 'lots{Enter}');
    expect(said(screen.getByRole('alert'))).toContain('lots');
    expect((field as HTMLInputElement).value).toBe('lots');
    expect(newStock).not.toHaveBeenCalled();
  });
});

describe('the stock', () => {
  const rows: StockRow[] = [
    {
      id: 1,
      spec: { kind: 'resistor', ohms: 330 },
      have: 26,
      packSize: 50,
      packCents: 140,
      place: 'A',
      version: 3,
    },
    {
      id: 2,
      spec: { kind: 'led', lamp: 'red' },
      have: 12,
      packSize: 25,
      packCents: 275,
      place: 'B',
      version: 1,
    },
  ];
  const first = () => said(screen.getAllByRole('row')[1]!);

  it('is sorted by any column, either way', async () => {
    const { user } = show(<StockTable rows={rows} currency="€" />);
    await user.click(screen.getByRole('button', { name: 'in store' }));
    const one = first();
    await user.click(screen.getByRole('button', { name: 'in store' }));
    expect(first()).not.toBe(one);
  });

  it('of five hundred kinds is shown a page at a time, and ordered as a whole', async () => {
    const many = Array.from({ length: 500 }, (_, i): StockRow => ({
      ...rows[0]!,
      id: i + 1,
      have: (i * 7) % 500,
      spec: { kind: 'resistor', ohms: 100 + i },
    }));
    const { user } = show(<StockTable rows={many} currency="€" />);
    expect(screen.getAllByRole('row')).toHaveLength(41);
    await user.click(screen.getByRole('button', { name: 'in store' }));
    // 357 · 7 = 4 · 500 + 499: the most of any.
    if (!first().includes('457')) await user.click(screen.getByRole('button', { name: 'in store' }));
    expect(first()).toContain('457');
    await user.type(screen.getByRole('searchbox'), '333');
    expect(screen.getAllByRole('row')).toHaveLength(2);
    expect(first()).toContain('333');
  });

  it('is changed in its row, at the version that was read; a refusal stands in the row', async () => {
    jest.mocked(changeStock).mockResolvedValueOnce({ ok: false, message: 'Somebody counted it.' });
    const { user } = show(<StockTable rows={rows} currency="€" />);
    await user.click(screen.getByRole('button', { name: /^Change resistor/u }));
    await retype(user, /: in store$/u, '40');
    await retype(user, /: price of a pack$/u, '1.60');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText('Somebody counted it.');
    jest.mocked(changeStock).mockResolvedValueOnce(done);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save' })).toBeNull());
    expect(changeStock).toHaveBeenLastCalledWith(1, 3, {
      have: 40,
      packSize: 50,
      packCents: 160,
      place: 'A',
    });
  });
});

describe('the lamps', () => {
  const versions = Object.fromEntries(LAMP_TYPES.map((type) => [type, 2])) as Record<LampType, number>;

  it('are fitted to measured points, and kept with their origin', async () => {
    jest.mocked(changeLamp).mockResolvedValue(done);
    const { user } = show(<LampTable figures={LAMPS} versions={versions} />);
    await user.click(screen.getByRole('button', { name: 'Change the red lamp' }));
    const form = screen.getByRole('form', { name: 'Figures of the red lamp' });
    await user.click(within(form).getByRole('button', { name: 'Fit the curve' }));
    expect(said(screen.getByRole('alert'))).toContain('at least one measured point');
    await user.type(within(form).getByLabelText('volts'), '2.05');
    await user.type(within(form).getByLabelText('at'), '20');
    await user.click(within(form).getByRole('button', { name: 'Fit the curve' }));
    expect((within(form).getByLabelText('Forward voltage') as HTMLInputElement).value).toMatch(/^2\.05/u);
    expect((within(form).getByLabelText('from') as HTMLSelectElement).value).toBe('measured');
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(changeLamp).toHaveBeenCalled());
    const [version, figures] = jest.mocked(changeLamp).mock.calls[0]!;
    expect(version).toBe(2);
    expect(figures).toMatchObject({ type: 'red', origin: 'measured', vf: 2.05, at: 0.02 });
    // The batch moves along by the same tenth of a volt.
    expect(figures.vfLow).toBeCloseTo(LAMPS.red.vfLow + 0.1, 2);
  });

  it('are left as they were', async () => {
    const { user } = show(<LampTable figures={LAMPS} versions={versions} />);
    await user.click(screen.getByRole('button', { name: 'Change the blue lamp' }));
    await user.click(screen.getByRole('button', { name: 'Leave' }));
    expect(said(row(/^blue/u))).toContain('3.10 V');
    expect(changeLamp).not.toHaveBeenCalled();
  });
});
