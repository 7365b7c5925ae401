import { DEFAULT_STYLE } from '@/core';
import { expectationWith } from '../../../tests/support/sheets';
import { sessionReport, type Report } from '@/server/report';
import { reportCsv } from './files';

jest.mock('@/server/report', () => ({ sessionReport: jest.fn() }));
jest.mock('@/server/repositories/settings', () => ({
  houseStyle: async () => ({ value: { ...DEFAULT_STYLE, tables: 'comma' }, version: 1 }),
}));

const figure = (typed: string, value: number, isPast = false) => ({
  typed,
  value,
  verdict: undefined,
  times: 1,
  isPast,
});

it('the report as a table has what is read of the build as it is now, and nothing from before it was mended', async () => {
  const { points } = expectationWith().expected;
  jest.mocked(sessionReport).mockResolvedValue({
    session: { lessonTitle: 'Pier lamp', onDate: '2026-11-28' },
    points,
    hasLamps: true,
    rows: [
      {
        bench: 5,
        nickname: 'Elvi',
        state: 'right',
        soFar: true,
        away: '',
        late: false,
        predicted: '9',
        predictedAmps: 0.009,
        figures: {
          seen: figure('D1 dark', 1, true),
          // A unit that was typed is not printed: the head names the column's.
          R1: figure('2900 mV', 2.9),
          D1: figure('-4.70', -4.7, true),
          current: figure('8.85', 0.00885),
        },
        cause: '',
        found: 'D1 the wrong way round',
        minutes: 7,
      },
    ],
  } as unknown as Report);
  const { name, text } = await reportCsv(1);
  expect(name).toBe('pier-lamp-2026-11-28-report.csv');
  const [head, row] = text.split('\r\n');
  expect(head).toContain('bench,nickname,stands,predicted mA,lamps,');
  expect(row).toBe('5,Elvi,right so far,9,,,2.9,,8.85,,D1 the wrong way round,7');
});
