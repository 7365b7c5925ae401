/** @jest-environment jsdom */
import { clockTime, dayOf } from './dates';
import { timeWords } from './timeWords';

afterEach(() => delete document.documentElement.dataset['zone']);

it('a browser anywhere shows the days and hours of the house, on both nights of the change of hours too', () => {
  const at = '2026-11-30T11:30:00.000Z';
  document.documentElement.dataset['zone'] = 'Pacific/Auckland';
  expect([dayOf(new Date(at)), clockTime(at)]).toEqual(['2026-12-01', '00:30']);
  document.documentElement.dataset['zone'] = 'America/New_York';
  expect([dayOf(new Date(at)), clockTime(at)]).toEqual(['2026-11-30', '06:30']);
  document.documentElement.dataset['zone'] = 'Europe/Berlin';
  expect(['2026-03-29T00:59:00Z', '2026-03-29T01:00:00Z'].map(clockTime)).toEqual(['01:59', '03:00']);
  expect(['2026-10-25T00:30:00Z', '2026-10-25T01:30:00Z'].map(clockTime)).toEqual(['02:30', '02:30']);
  expect(timeWords({ arrivedAt: at, takenAt: '2026-11-29T23:30:00Z' })).toBe(
    '12:30 (by its own clock 00:30)',
  );
});
