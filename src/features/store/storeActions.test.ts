import { message, value } from '../../../tests/support/answers';
import { ownDatabase } from '../../../tests/support/database';
import { DEFAULT_METER, DEFAULT_STYLE, LAMPS } from '@/core';
import { stockRows } from '@/server/repositories/stock';
import { startLesson } from '../lessons/actions';
import { kitCsv } from '../lessons/files';
import { keepMeter, keepStyle } from '../settings/actions';
import { changeLamp, changeStock, newStock } from './actions';

ownDatabase();

describe('the store and the house', () => {
  const values = { have: 4, packSize: 10, packCents: 120, place: 'A' };

  it('take parts once, with figures that can be', async () => {
    const id = value(await newStock({ kind: 'led', lamp: 'red' }, values));
    expect(message(await newStock({ kind: 'led', lamp: 'red' }, values))).toContain('already');
    expect(message(await newStock({ kind: 'led', lamp: 'pink' }, values))).toContain('Say which part it is');
    expect(message(await newStock({ kind: 'jumper' }, { ...values, packSize: 0 }))).toBe(
      'The pack size must be at least 1. Nothing was saved.',
    );
    expect(message(await changeStock(id, 1, { ...values, packCents: NaN }))).toBe(
      'The price of a pack must be a number. Nothing was saved.',
    );
    value(await changeStock(id, 1, { ...values, have: 9 }));
    expect((await stockRows()).find((r) => r.id === id)!.have).toBe(9);
  });

  it('take lamp figures whose spread holds them', async () => {
    const { type, vf, at, vfLow, vfHigh, maxAmps, rs } = LAMPS.yellow;
    const figures = { type, vf, at, vfLow, vfHigh, maxAmps, rs, origin: 'measured' } as const;
    expect(message(await changeLamp(0, { ...figures, vfLow: 2.2 }))).toContain(
      'must lie between the lowest and the highest',
    );
    expect(value(await changeLamp(0, figures))).toBe(1);
  });

  it('take a style and a meter within reason', async () => {
    expect(message(await keepStyle(2, { ...DEFAULT_STYLE, rounding: 'down' }))).toContain(
      'What is taken after the sum must be one of',
    );
    expect(message(await keepMeter(0, { ...DEFAULT_METER, counts: 3 }))).toBe(
      'The counts of the display must be at least 199. Nothing was saved.',
    );
    expect(value(await keepMeter(0, { ...DEFAULT_METER, name: 'bench meter' }))).toBe(1);
  });

  it('say in the kit’s table what the sheet says', async () => {
    const id = value(await startLesson('single', 'Kit table'));
    const { name, text } = await kitCsv(id);
    expect(name).toBe('kit-table-kit.csv');
    const lines = text.trim().split('\r\n');
    expect(lines).toHaveLength(1 + 7);
    expect(lines.find((line) => line.startsWith('"lamp, red"'))).toMatch(/,D1,1,/u);
  });
});
