/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { useState } from 'react';
import { said, screen, show, within } from '../../../tests/support/screen';
import { GLANCE, PREDICTED } from '@/core';
import { Measure } from './Measure';
import { useOwnReadings } from './useOwnReadings';
import type { OwnBench } from '@/server/ownBench';
import type { BenchAdvice } from '@/server/advice';
import { faultFound, keepReading } from '../check/actions';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('../check/actions', () => ({ faultFound: jest.fn(), keepReading: jest.fn() }));
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
    { id: 'current', name: 'current', how: 'lift the leg', measured: 'amps', counted: false, pauses: false },
    { id: 'D1 rate', name: 'flashes of D1', how: 'count', measured: 'hertz', counted: true, pauses: false },
  ],
  lamps: ['D1', 'D2'],
  lampsHeld: '',
  mistakes: [
    { words: 'D1 the wrong way round', cause: { code: 'lamp-reversed', data: { part: 'D1' } } },
    { words: 'W1 missing', cause: { code: 'jumper-missing', data: { part: 'W1' } } },
  ],
  readings: [],
};
const keep = jest.mocked(keepReading);
const kept = jest.fn();
const found = jest.fn();

function Screen({ advice }: { readonly advice?: BenchAdvice }) {
  const readings = useOwnReadings(OWN, kept);
  const [left, leave] = useState(false);
  return (
    <Measure
      own={OWN}
      readings={readings}
      advice={advice}
      guessed={left || readings.at(PREDICTED).length > 0}
      onSkipGuess={() => leave(true)}
      onFound={found}
    />
  );
}

beforeEach(() => {
  localStorage.clear();
  kept.mockReset();
  let id = 1;
  keep.mockReset().mockImplementation(async (reading) => ({
    ok: true,
    value: { ...reading, id: id++, arrivedAt: reading.takenAt },
  }));
});
const sent = () => keep.mock.calls.map(([reading]) => [reading.point, reading.typed, reading.kind]);

describe('measuring at one’s own bench', () => {
  it('begins with a guess; nothing else is asked before, and it may be left out', async () => {
    const { user } = show(<Screen />);
    expect(screen.queryByLabelText('Across R1')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    expect(screen.getByLabelText('Across R1')).toBeTruthy();
    expect(sent()).toEqual([]);
  });

  it('sends the guess, the lamps and each figure, a second one as a retest', async () => {
    const { user } = show(<Screen />);
    await user.type(screen.getByLabelText(/^First predict/u), '12{Enter}');
    await user.click(await screen.findByRole('button', { name: 'As on the card' }));
    for (const typed of ['2.9', '2.91'])
      await user.type(screen.getByLabelText('Across R1'), `${typed}{Enter}`);
    await waitFor(() =>
      expect(sent()).toEqual([
        [PREDICTED, '12', 'first'],
        [GLANCE, 'ok', 'first'],
        ['R1', '2.9', 'first'],
        ['R1', '2.91', 'retest'],
      ]),
    );
    await waitFor(() => expect(kept).toHaveBeenCalledTimes(4));
    expect(keep.mock.calls[0]![0]).toMatchObject({ studentId: 11, takenBy: 'student', value: 0.012 });
    expect(screen.getByText(/You predicted 12\.0\s*mA\.$/u)).toBeTruthy();
  });

  it('keeps what is no figure as it was typed, with the reason', async () => {
    const { user } = show(<Screen />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    await user.type(screen.getByLabelText('Current'), 'lots{Enter}');
    expect(said(screen.getByRole('alert'))).toContain('lots');
    expect(screen.getByLabelText<HTMLInputElement>('Current').value).toBe('lots');
    await user.clear(screen.getByLabelText('Current'));
    await user.type(screen.getByLabelText('Current'), '99999999{Enter}');
    expect(said(screen.getByRole('alert'))).toContain('more than any meter shows');
    expect(sent()).toEqual([]);
  });

  it('says lamp by lamp what is different, and heat at once', async () => {
    const { user } = show(<Screen />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    await user.click(screen.getByRole('button', { name: 'Something is different' }));
    await user.selectOptions(screen.getByLabelText('Which lamp?'), 'D2');
    await user.click(screen.getByRole('button', { name: 'dark' }));
    await waitFor(() => expect(sent()).toEqual([[GLANCE, 'D2 dark', 'first']]));
    expect(await screen.findByText('You said: D2 dark.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /power off!/u }));
    await waitFor(() => expect(sent()[1]).toEqual([GLANCE, 'hot', 'retest']));
  });

  it('hears of each figure whether it is right, and of the bench how it stands', async () => {
    const advice: BenchAdvice = {
      points: { R1: 'again', current: 'right' },
      whole: 'off',
      hint: 'D1 the wrong way round',
      next: 'measure across D1',
    };
    const { user } = show(<Screen advice={advice} />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    for (const [point, typed] of [
      ['Across R1', '0.00'],
      ['Current', '8.9'],
    ] as const)
      await user.type(screen.getByLabelText(point), `${typed}{Enter}`);
    const form = (point: string) => screen.getByLabelText(point).closest('form')!;
    expect(said(within(form('Across R1')).getByRole('status'))).toContain('0.00 V measure again');
    expect(said(within(form('Current')).getByRole('status'))).toContain('8.9 mA right');
    const whole = said(screen.getByText('Something is not as planned.').closest('[role=status]'));
    expect(whole).toContain('A hint: D1 the wrong way round.');
    expect(whole).toContain('Measure across D1.');
  });

  it('takes a figure back from its own list, and selects what was refused for the next to replace', async () => {
    const { user } = show(<Screen />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    await user.type(screen.getByLabelText('Across R1'), '2.9 V{Enter}');
    expect(said(screen.getByText(/^2\.9 V/u))).not.toContain('V V');
    await user.click(screen.getByRole('button', { name: /^Take 2\.9 V back/u }));
    await waitFor(() => expect(sent().at(-1)).toEqual(['R1', '2.9 V', 'taken-back']));
    expect(screen.queryByText(/^2\.9 V/u)).toBeNull();
    await user.type(screen.getByLabelText('Across R1'), 'x{Enter}');
    await user.keyboard('2.91');
    expect(screen.getByLabelText<HTMLInputElement>('Across R1').value).toBe('2.91');
  });

  it('has the keys that a phone leaves out: the sign, and flashes over seconds', async () => {
    const { user } = show(<Screen />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    await user.type(screen.getByLabelText('Across R1'), '4.80');
    await user.click(screen.getAllByRole('button', { name: 'Change the sign' })[0]!);
    await user.type(screen.getByLabelText('Across R1'), '{Enter}');
    await user.type(screen.getByLabelText('flashes'), '7{Enter}');
    expect(said(screen.getByRole('alert'))).toContain('Enter both');
    await user.type(screen.getByLabelText('in seconds'), '10{Enter}');
    await waitFor(() =>
      expect(sent()).toEqual([
        ['R1', '-4.80', 'first'],
        ['D1 rate', '7/10', 'first'],
      ]),
    );
    expect(keep.mock.calls[1]![0].value).toBeCloseTo(0.7, 12);
  });

  it('takes silence of what should sound, and nothing else is typed for it', async () => {
    const pitch = {
      id: 'pitch',
      name: 'pitch of LS1',
      how: 'by ear',
      measured: 'hertz',
      counted: false,
    } as const;
    const Sounding = () => {
      const own = { ...OWN, points: [{ ...pitch, pauses: false }] };
      const readings = useOwnReadings(own, kept);
      return (
        <Measure
          own={own}
          readings={readings}
          advice={undefined}
          guessed
          onSkipGuess={kept}
          onFound={found}
        />
      );
    };
    const { user } = show(<Sounding />);
    await user.click(screen.getByRole('button', { name: 'No sound' }));
    await waitFor(() =>
      expect(keep).toHaveBeenLastCalledWith(expect.objectContaining({ point: 'pitch', typed: 'silent' })),
    );
    expect(screen.getByText(/^silent/u)).toBeTruthy();
  });

  it('times ten flashes by taps', async () => {
    const now = jest.spyOn(performance, 'now');
    const { user } = show(<Screen />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    for (let tap = 0; tap <= 10; tap++) {
      now.mockReturnValue(50_000 + 1430 * tap);
      await user.click(
        screen.getByRole('button', { name: tap === 0 ? 'Tap at a flash' : `${tap - 1} of 10` }),
      );
    }
    now.mockRestore();
    expect(screen.getByLabelText<HTMLInputElement>('flashes').value).toBe('10');
    expect(screen.getByLabelText<HTMLInputElement>('in seconds').value).toBe('14.3');
  });

  it('says what was found and mended, in the words of the lesson', async () => {
    jest.mocked(faultFound).mockResolvedValue({ ok: false, message: 'not now' });
    const { user } = show(<Screen advice={{ points: {}, whole: 'off' }} />);
    await user.click(screen.getByRole('button', { name: 'No idea yet' }));
    await user.click(screen.getByRole('button', { name: 'I found it and put it right' }));
    await user.click(await screen.findByRole('button', { name: 'D1 the wrong way round' }));
    expect(jest.mocked(faultFound).mock.calls[0]![0]).toMatchObject({
      studentId: 11,
      cause: { code: 'lamp-reversed', data: { part: 'D1' } },
      foundBy: 'student',
    });
    expect(found).not.toHaveBeenCalled();
    expect(await screen.findByText('not now')).toBeTruthy();
  });
});
