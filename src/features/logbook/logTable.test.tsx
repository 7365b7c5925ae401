/** @jest-environment jsdom */
import { visited } from '../../../tests/support/navigation';
import { said, screen, show, within } from '../../../tests/support/screen';
import type { LogRow } from '@/server/logbook';
import { LogTable } from './LogTable';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));

const ALL = {
  lesson: '',
  group: '',
  day: '',
  session: undefined,
  student: undefined,
  off: false,
};

beforeEach(() => {
  visited.length = 0;
});

describe('the logbook', () => {
  const reading = (id: number, more: Partial<LogRow>): LogRow => ({
    id,
    sessionId: 1,
    onDate: '2026-11-20',
    group: 'Tern',
    lesson: 'Pier lamp',
    bench: 1,
    nickname: 'Wren',
    point: 'R1',
    where: 'across R1',
    typed: '2.91',
    value: 2.91,
    unit: 'V',
    low: 2.67,
    high: 3.13,
    verdict: 'right',
    kind: 'first',
    superseded: false,
    meter: 'class meter',
    takenBy: 'HB',
    uncertainty: 0.02,
    range: 20,
    takenAt: '2026-11-20T17:20:00.000Z',
    arrivedAt: '2026-11-20T17:20:00.000Z',
    cause: '',
    ...more,
  });
  const rows = [
    reading(1, {}),
    reading(2, { bench: 10, nickname: 'Pim', value: 0.92, verdict: 'off', cause: 'R1 is 3.3 kΩ, not 330 Ω' }),
    reading(3, {
      bench: 2,
      nickname: 'Fenn',
      lesson: 'Quay string',
      value: 3.6,
      verdict: 'close',
      superseded: true,
    }),
  ];
  const shown = () => screen.getAllByRole('row').slice(1).map(said);

  const open = (more: Partial<Parameters<typeof LogTable>[0]> = {}) =>
    show(
      <LogTable
        rows={rows}
        choice={ALL}
        groups={['Tern', 'Knot']}
        lessons={['Pier lamp', 'Quay string']}
        students={[{ id: 7, bench: 1, nickname: 'Wren', group: 'Tern' }]}
        older={undefined}
        newest
        {...more}
      />,
    );

  it('shows every reading with its band, verdict, meter and likely cause', () => {
    open();
    const [first, second, third] = shown();
    expect(first).toMatch(
      /2\.91 V ± 20 mV ?2\.67 V – 3\.13 V right ?first reading, .* class meter on 20 V, by HB/u,
    );
    expect(second).toContain('R1 is 3.3 kΩ, not 330 Ω');
    expect(third).toContain('later measured again');
  });

  it('says of a reading that waits that it is being judged', () => {
    open({ rows: [reading(9, { verdict: 'waiting', uncertainty: null, range: null })] });
    expect(shown()[0]).toContain('being judged');
  });

  it('shows what was seen in its own words, never as a current, and what was taken back', () => {
    const look = {
      point: 'seen',
      where: 'lamps',
      typed: 'D1 dark',
      value: 1,
      unit: null,
      low: null,
      high: null,
    };
    open({
      rows: [
        reading(4, { ...look, verdict: 'off', uncertainty: null, range: null }),
        reading(5, { kind: 'taken-back', superseded: true, verdict: 'none', uncertainty: null, range: null }),
      ],
    });
    expect(shown()[0]).toMatch(/lamps ?D1 dark/u);
    expect(shown()[0]).not.toMatch(/\d ?m?A/u);
    expect(shown()[1]).toContain('2.91 V');
    expect(shown()[1]).toContain('taken back,');
  });

  it('opens on one session, and lets go of it where another group or day is asked for', async () => {
    const { user } = open({ choice: { ...ALL, lesson: 'Pier lamp', group: 'Tern', session: 6 } });
    expect(screen.getByText('One session only.')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Group'), 'Knot');
    await user.click(screen.getByRole('button', { name: 'All sessions' }));
    expect(visited).toEqual(['/logbook?lesson=Pier+lamp&group=Knot', '/logbook?lesson=Pier+lamp&group=Tern']);
  });

  it('is narrowed by lesson, student and verdict by its address, so that every page of it is', async () => {
    const { user } = open({ choice: { ...ALL, lesson: 'Pier lamp' } });
    await user.click(screen.getByLabelText('only off and close calls'));
    await user.selectOptions(screen.getByLabelText('Student'), 'Tern 1 Wren');
    await user.selectOptions(screen.getByLabelText('Lesson'), 'Quay string');
    expect(visited).toEqual([
      '/logbook?lesson=Pier+lamp&off=1',
      '/logbook?lesson=Pier+lamp&student=7',
      '/logbook?lesson=Quay+string',
    ]);
  });

  it('leads to older readings and back, and sorts benches as numbers', async () => {
    const { user } = open({ older: '2026-11-20.1.3', newest: false });
    const link = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
    expect(link('Older readings')).toBe('/logbook?before=2026-11-20.1.3');
    expect(link('The newest readings')).toBe('/logbook');
    await user.click(within(screen.getByRole('table')).getByRole('button', { name: 'bench' }));
    const benches = () => shown().map((text) => Number(/Tern ?(\d+)/u.exec(text)![1]));
    expect([
      [1, 2, 10],
      [10, 2, 1],
    ]).toContainEqual(benches());
  });
});
