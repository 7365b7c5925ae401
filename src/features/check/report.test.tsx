/** @jest-environment jsdom */
import { row, said, screen, show, within } from '../../../tests/support/screen';
import { expectationWith } from '../../../tests/support/sheets';
import { GLANCE } from '@/core';
import type { Report, ReportRow } from '@/server/report';
import { SessionReport } from './SessionReport';

const { points } = expectationWith().expected;
const bench = (number: number, more: Partial<ReportRow>): ReportRow => ({
  studentId: number,
  bench: number,
  nickname: ['Wren', 'Fenn', 'Pim', 'Oda'][number - 1]!,
  state: 'none',
  soFar: false,
  away: '',
  late: false,
  predicted: '',
  predictedAmps: undefined,
  figures: {},
  cause: '',
  found: '',
  minutes: undefined,
  ...more,
});

function open(rows: readonly ReportRow[], more: Partial<Report> = {}) {
  const report = { points, rows, hasLamps: true, faults: [], benches: { measured: 0, right: 0 }, ...more };
  return show(<SessionReport report={report as Report} />);
}

describe('the report of a session', () => {
  it('counts who was measured and who stands right, and leaves out who was not', () => {
    open(
      [
        bench(1, { state: 'right', minutes: 9 }),
        bench(2, { state: 'right', soFar: true }),
        bench(3, { state: 'off' }),
        bench(4, {}),
      ],
      { benches: { measured: 20, right: 15 } },
    );
    const head = said(screen.getByText(/benches were measured/u));
    expect(head).toContain('3 of 4 benches were measured; 2 of them stand right (67 %)');
    expect(head).toContain('Over all its sessions this lesson had 15 right of 20 measured');
    expect(said(row(/^2 Fenn/u))).toContain('right so far');
    expect(said(row(/^1 Wren/u))).toMatch(/9$/u);
  });

  it('counts nobody as measured who was absent, nor a pair twice', () => {
    open([
      bench(1, { state: 'right' }),
      bench(2, { state: 'off', away: 'absent' }),
      bench(3, { away: 'with 1 Wren' }),
      bench(4, { late: true }),
    ]);
    const head = said(screen.getByText(/benches were measured/u));
    expect(head).toContain('1 of 2 benches were measured; 1 of them stand right (100 %).');
    expect(head).toContain('1 absent. 1 at the bench of another.');
    expect(said(row(/^3 Pim/u))).toContain('with 1 Wren');
    expect(said(row(/^4 Oda/u))).toContain('late');
  });

  it('marks what is off, how often it was read, and what was found rather than what was likely', () => {
    open([
      bench(1, {
        state: 'off',
        predicted: '9',
        figures: {
          R1: { typed: '0.00', value: 0.0, verdict: 'off', times: 2, isPast: false },
          D1: { typed: '4.80', value: 4.8, verdict: 'close', times: 1, isPast: false },
          [GLANCE]: { typed: 'D1 dark', value: 1, verdict: 'off', times: 1, isPast: false },
        },
        cause: 'D1 burnt out',
        found: 'D1 the wrong way round',
      }),
      bench(2, { state: 'off', cause: 'R1 is 3.3 kΩ, not 330 Ω' }),
    ]);
    const first = row(/^1 Wren/u);
    expect(said(first)).toContain('0.00 2×');
    expect(said(first)).toContain('D1 dark');
    expect(said(first)).toContain('D1 the wrong way round');
    expect(said(first)).not.toContain('burnt out');
    expect(within(first).getAllByRole('img', { name: 'off' })).toHaveLength(3);
    expect(within(first).getAllByRole('img', { name: 'close call' })).toHaveLength(1);
    expect(said(row(/^2 Fenn/u))).toContain('perhaps R1 is 3.3 kΩ, not 330 Ω');
  });

  it('says what was found in this lesson over all its sessions, the commonest first', () => {
    open([bench(1, {})], {
      faults: [
        { words: 'D1 the wrong way round', times: 7 },
        { words: 'W1 missing', times: 1 },
      ],
    });
    expect(screen.getAllByRole('listitem').map((one) => said(one))).toEqual([
      '7× D1 the wrong way round',
      '1× W1 missing',
    ]);
  });

  it('of a lesson in which nothing was found says how it would be noted', () => {
    open([bench(1, {})], { hasLamps: false });
    expect(screen.getByText(/“it was this” beside a cause notes it/u)).toBeTruthy();
    expect(screen.queryByText('lamps')).toBeNull();
  });
});
