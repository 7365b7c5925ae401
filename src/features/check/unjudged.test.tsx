/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { row, said, screen, show } from '../../../tests/support/screen';
import { expectationWith } from '../../../tests/support/sheets';
import { coreWorker } from '@/workers/client';
import { CheckGrid } from './CheckGrid';
import { useState } from 'react';
import type { Reading } from '@/server/repositories/readings';

jest.mock('@/workers/client', () => jest.requireActual('../../../tests/support/inProcess'));

const expectation = expectationWith();

function Grid() {
  const [all, setAll] = useState<readonly Reading[]>([]);
  return (
    <CheckGrid
      sessionId={4}
      expectation={expectation}
      students={[{ id: 10, bench: 1, nickname: 'Wren' }]}
      judged={[{ state: 'none', verdicts: {} }]}
      predicted="predicted"
      keeping={{
        all,
        live: undefined,
        refused: {},
        refuse: () => undefined,
        settle: () => undefined,
        send: (reading) =>
          setAll((before) => [...before, { ...reading, id: before.length + 1, arrivedAt: reading.takenAt }]),
        found: [],
        attendance: [],
        attend: () => undefined,
        note: () => undefined,
        takeBack: () => undefined,
        mended: () => 0,
      }}
    />
  );
}

it('a bench that could not be judged says so, keeps its figures, and is judged with the next one', async () => {
  const worker = coreWorker('quick') as unknown as { judge(...asked: unknown[]): Promise<unknown> };
  const { judge } = worker;
  worker.judge = () => Promise.reject(new Error('the worker has stopped'));
  const { user } = show(<Grid />);
  const cell = (point: string) => screen.getByLabelText(new RegExp(`^Bench 1 Wren, ${point}`, 'u'));
  await user.type(cell('across R1'), '2.91{Enter}');
  await waitFor(() =>
    expect(said(screen.getByRole('alert'))).toContain(
      'The readings are kept, but the benches could not be judged anew: the worker has stopped',
    ),
  );
  expect(cell('across R1')).toHaveProperty('value', '2.91');
  worker.judge = judge;
  await user.type(cell('across D1'), '1.88{Enter}');
  await waitFor(() => expect(said(row(/^1 Wren/u))).toContain('right'));
  expect(screen.queryByRole('alert')).toBeNull();
});
