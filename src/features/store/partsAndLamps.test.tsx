/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { visited } from '../../../tests/support/navigation';
import { said, screen, show } from '../../../tests/support/screen';
import { LAMP_TYPES, LAMPS, type LampType } from '@/core';
import type { StockRow } from '@/server/repositories/stock';
import { newStock, takeOutStock } from './actions';
import { AddStock } from './AddStock';
import { LampTable } from './LampTable';
import { StockTable } from './StockTable';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  changeLamp: jest.fn(),
  changeStock: jest.fn(),
  newStock: jest.fn(),
  takeOutStock: jest.fn(),
}));

const done = { ok: true as const, value: 1 };

beforeEach(() => {
  jest.clearAllMocks();
  visited.length = 0;
});

describe('two measured points of a lamp', () => {
  const versions = Object.fromEntries(LAMP_TYPES.map((type) => [type, 2])) as Record<LampType, number>;
  const fit = async (first: readonly [string, string], second: readonly [string, string]) => {
    const { user } = show(<LampTable figures={LAMPS} versions={versions} />);
    await user.click(screen.getByRole('button', { name: 'Change the red lamp' }));
    const volts = screen.getAllByLabelText(/volts/iu).slice(-2);
    const amps = screen.getAllByLabelText(/current|at|amps/iu).slice(-2);
    for (const [i, point] of [first, second].entries()) {
      await user.type(volts[i]!, point[0]);
      await user.type(amps[i]!, point[1]);
    }
    await user.click(screen.getByRole('button', { name: /^Fit/u }));
    return said(screen.getByRole('alert'));
  };

  it('that fall are refused', async () => {
    expect(await fit(['1.95', '5'], ['1.90', '20'])).toContain('cannot be one lamp');
  });

  it('that no curve holds say by how much it misses', async () => {
    // From 1 to 20 mA the junction alone wants n·VT·ln 20 = 132 mV; these give 10 mV.
    expect(await fit(['1.90', '1'], ['1.91', '20'])).toMatch(/misses one by 0\.1[0-3] V/u);
  });
});

describe('a row of the stock', () => {
  it('is taken out only when one says so twice', async () => {
    jest.mocked(takeOutStock).mockResolvedValue({ ok: true, value: null });
    const spec = { kind: 'led', lamp: 'red' } as const;
    const lamps: StockRow = { id: 2, spec, have: 12, packSize: 25, packCents: 275, place: 'B', version: 1 };
    const { user } = show(<StockTable rows={[lamps]} currency="€" />);
    await user.click(screen.getByRole('button', { name: /^Change lamp/u }));
    await user.click(screen.getByRole('button', { name: 'Take out' }));
    expect(takeOutStock).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Yes, take it out' }));
    await waitFor(() => expect(takeOutStock).toHaveBeenCalledWith(2, 1));
    await waitFor(() => expect(visited).toContain('refresh'));
  });

  it('that is a lead is of the port that the form shows, without choosing it', async () => {
    jest.mocked(newStock).mockResolvedValue(done);
    const { user } = show(<AddStock />);
    await user.selectOptions(screen.getByLabelText('Kind'), 'supply');
    const shown = (screen.getByLabelText('Of') as HTMLSelectElement).value;
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() =>
      expect(jest.mocked(newStock).mock.calls[0]?.[0]).toEqual({ kind: 'supply', supply: shown }),
    );
    expect(shown).not.toBe('aa-alkaline');
  });

  it('can be a capacitor, with its body', async () => {
    jest.mocked(newStock).mockResolvedValue(done);
    const { user } = show(<AddStock />);
    await user.selectOptions(screen.getByLabelText('Kind'), 'capacitor');
    await user.type(screen.getByLabelText('Value'), '100 µF');
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(newStock).toHaveBeenCalled());
    const spec = jest.mocked(newStock).mock.calls[0]![0] as { farads: number };
    expect(spec).toMatchObject({ kind: 'capacitor', polarised: true });
    expect(spec.farads).toBeCloseTo(1e-4, 12);
  });
});
