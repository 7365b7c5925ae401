/** @jest-environment jsdom */
import { said, screen, show, within } from '../../../tests/support/screen';
import type { LogRow } from '@/server/logbook';
import { LogTable } from './LogTable';

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

  it('shows every reading with its band, verdict, meter and likely cause', () => {
    show(<LogTable rows={rows} lesson="" />);
    const [first, second, third] = shown();
    expect(first).toMatch(/2\.91 V ± 20 mV ?2\.67 V – 3\.13 V right ?first, .* class meter on 20 V, by HB/u);
    expect(second).toContain('R1 is 3.3 kΩ, not 330 Ω');
    expect(third).toContain('later measured again');
  });

  it('narrows by lesson, student and verdict, and sorts benches as numbers', async () => {
    const { user } = show(<LogTable rows={rows} lesson="Pier lamp" />);
    expect(shown()).toHaveLength(2);
    await user.click(screen.getByLabelText('only off and close calls'));
    expect(shown()).toHaveLength(1);
    await user.selectOptions(screen.getByLabelText('Student'), 'Tern 1 Wren');
    expect(screen.getByText(/No reading matches/u)).toBeTruthy();
    await user.click(screen.getByLabelText('only off and close calls'));
    await user.selectOptions(screen.getByLabelText('Student'), '');
    await user.selectOptions(screen.getByLabelText('Lesson'), '');
    await user.click(within(screen.getByRole('table')).getByRole('button', { name: 'bench' }));
    const benches = () => shown().map((text) => Number(/Tern ?(\d+)/u.exec(text)![1]));
    const up = benches();
    expect([
      [1, 2, 10],
      [10, 2, 1],
    ]).toContainEqual(up);
  });
});
