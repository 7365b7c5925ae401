import { farDay } from './daysInReach';

it('a day that is ten years away or more is asked about', () => {
  const now = new Date('2026-11-30T12:00:00Z');
  for (const day of ['2026-11-30', '2017-01-01', '2036-11-28']) expect(farDay(day, now)).toBeUndefined();
  expect(farDay('1970-01-01', now)).toBe('1970-01-01 is 56 years ago. Is that the day?');
  expect(farDay('2206-12-01', now)).toBe('2206-12-01 is 180 years from now. Is that the day?');
});
