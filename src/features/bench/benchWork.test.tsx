/** @jest-environment jsdom */
import { act, waitFor } from '@testing-library/react';
import { said, screen, show } from '../../../tests/support/screen';
import type { BenchAdvice } from '@/server/advice';
import type { OwnBench } from '@/server/ownBench';
import { keepReading } from '../check/actions';
import { adviceFor } from './actions';
import { BenchWork } from './BenchWork';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('../check/actions', () => ({ faultFound: jest.fn(), keepReading: jest.fn() }));
jest.mock('./actions', () => ({ adviceFor: jest.fn(), leaveBench: jest.fn() }));
jest.mock('@/features/photo/actions', () => ({ keepPhoto: jest.fn() }));

const OWN: OwnBench = {
  sessionId: 4,
  studentId: 11,
  bench: 2,
  nickname: 'Fenn',
  title: 'Pier lamp',
  meter: 'class meter',
  sheet: undefined,
  steps: [],
  points: [
    {
      id: 'R1',
      name: 'across R1',
      how: 'red on the leg at plus',
      measured: 'volts',
      counted: false,
      pauses: false,
    },
  ],
  lamps: [],
  lampsHeld: '',
  mistakes: [],
  readings: [],
};
type Answer = Awaited<ReturnType<typeof adviceFor>>;
const told = (whole: BenchAdvice['whole'], R1: 'right' | 'again'): Answer => ({
  ok: true,
  value: { whole, points: { R1 } },
});
/** Questions how the bench stands, each with the way to answer it. */
const asked: ((answer: Answer) => Promise<void>)[] = [];

beforeEach(() => {
  localStorage.clear();
  asked.length = 0;
  let id = 1;
  jest
    .mocked(keepReading)
    .mockReset()
    .mockImplementation(async (reading) => ({
      ok: true,
      value: { ...reading, id: id++, arrivedAt: reading.takenAt },
    }));
  jest.mocked(adviceFor).mockImplementation(
    () =>
      new Promise((resolve) => {
        asked.push((answer) => act(async () => resolve(answer)));
      }),
  );
});

async function entering(...figures: readonly string[]) {
  const { user } = show(<BenchWork own={OWN} />);
  await user.click(screen.getByRole('button', { name: 'No idea yet' }));
  for (const typed of figures) await user.type(screen.getByLabelText('Across R1'), `${typed}{Enter}`);
  await waitFor(() => expect(asked).toHaveLength(figures.length));
  return user;
}
const measuring = () => said(screen.getByRole('region', { name: 'Measuring' }));

describe('what a bench hears of itself', () => {
  it('is of the figure that stands there, never of the one before', async () => {
    const user = await entering('0.31');
    await asked[0]!(told('off', 'again'));
    expect(measuring()).toContain('measure again');
    await user.type(screen.getByLabelText('Across R1'), '2.91{Enter}');
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(measuring()).toContain('2.91 V');
    expect(measuring()).not.toContain('measure again');
    await asked[1]!(told('right', 'right'));
    expect(measuring()).toContain('Your bench is right.');
  });

  it('is the last answer, whichever comes first', async () => {
    await entering('0.31', '2.91');
    await asked[1]!(told('right', 'right'));
    await asked[0]!(told('off', 'again'));
    expect(measuring()).toContain('Your bench is right.');
  });

  it('is asked for again where the program did not answer', async () => {
    const user = await entering('2.91');
    await asked[0]!({ ok: false, message: 'The program does not answer.' });
    expect(said(document.body)).toContain('How it stands is not known: The program does not answer.');
    await user.click(screen.getByRole('button', { name: 'Ask again' }));
    await asked[1]!(told('right', 'right'));
    expect(said(document.body)).not.toContain('How it stands is not known');
    expect(measuring()).toContain('Your bench is right.');
  });

  it('is not shown for figures that wait in the phone', async () => {
    const user = await entering('0.31');
    await asked[0]!(told('off', 'again'));
    jest.mocked(keepReading).mockRejectedValue(new Error('away'));
    await user.type(screen.getByLabelText('Across R1'), '2.91{Enter}');
    await waitFor(() => expect(said(document.body)).toContain('1 reading waits in this phone'));
    expect(measuring()).not.toContain('measure again');
    expect(measuring()).not.toContain('Something is not as planned');
  });
});
