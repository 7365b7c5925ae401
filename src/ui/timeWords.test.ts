import { timeWords } from './timeWords';

const at = (text: string) => new Date(text).toISOString();

it('a reading stands under the time that it arrived, with its own clock’s beside it where that differs', () => {
  const arrivedAt = at('2026-11-30T17:20:00');
  expect(timeWords({ arrivedAt, takenAt: at('2026-11-30T17:19:10') })).toBe('17:20');
  expect(timeWords({ arrivedAt, takenAt: at('2026-11-30T16:05:00') })).toBe('17:20 (by its own clock 16:05)');
  expect(timeWords({ arrivedAt, takenAt: at('1970-01-01T08:00:00') })).toBe(
    '17:20 (by its own clock Thu 1 Jan 1970, 08:00)',
  );
  expect(timeWords({ arrivedAt, takenAt: '9999-06-01T12:00:00Z' })).toContain('Jun 9999');
  expect(timeWords({ arrivedAt: '', takenAt: at('2026-11-30T16:05:00') })).toBe('16:05');
});
