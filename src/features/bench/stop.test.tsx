/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { said, screen, show } from '../../../tests/support/screen';
import { stopAdvice } from './actions';
import { LeaveBench } from './LeaveBench';
import { Stop } from './Stop';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({ leaveBench: jest.fn(), stopAdvice: jest.fn() }));

const advice = jest.mocked(stopAdvice);
const told = jest.fn();
const STOP = {
  lamps: ['D1', 'D2'],
  hold: 'Hold S1.',
  readings: [{ id: 'R1', name: 'across R1', measured: 'volts' as const }],
};

beforeEach(() => {
  told.mockReset();
  advice
    .mockReset()
    .mockResolvedValue({ ok: true, value: { lamps: 'right', readings: { R1: 'right' }, right: true } });
});

describe('a stop of the card', () => {
  it('asks before it tells: what lights, what the meter shows, and only then what it should be', async () => {
    const { user } = show(<Stop stop={STOP} at={4} onTold={told} />);
    expect(screen.queryByText('Hold S1.')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'I have looked' }));
    await user.click(screen.getByRole('button', { name: 'D2 dark' }));
    await user.type(screen.getByLabelText('Across R1'), '2.91');
    expect(told).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'That is what I see' }));
    await waitFor(() => expect(told).toHaveBeenCalled());
    expect(advice).toHaveBeenCalledWith(4, { lit: ['D2'], readings: { R1: '2.91' }, tries: 0 });
  });

  it('that is not right is looked at again before anybody is asked, and the next try counts', async () => {
    advice
      .mockResolvedValueOnce({ ok: true, value: { lamps: 'again', readings: { R1: 'right' }, right: false } })
      .mockResolvedValueOnce({ ok: true, value: { lamps: 'ask', readings: {}, right: false } });
    const { user } = show(<Stop stop={STOP} at={4} onTold={told} />);
    await user.click(screen.getByRole('button', { name: 'I have looked' }));
    await user.click(screen.getByRole('button', { name: 'That is what I see' }));
    expect(await screen.findByText('look again')).toBeTruthy();
    expect(told).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'D1 dark' }));
    expect(screen.queryByText('look again')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'That is what I see' }));
    expect(await screen.findByText('ask your educator')).toBeTruthy();
    expect(advice.mock.calls[1]![1].tries).toBe(1);
    expect(told).toHaveBeenCalled();
  });

  it('hears nothing of what was changed while it was asked about', async () => {
    let answer: (given: Awaited<ReturnType<typeof stopAdvice>>) => void = () => undefined;
    advice.mockReturnValueOnce(new Promise((resolve) => (answer = resolve)));
    const { user } = show(<Stop stop={STOP} at={4} onTold={told} />);
    await user.click(screen.getByRole('button', { name: 'I have looked' }));
    const say = screen.getByRole<HTMLButtonElement>('button', { name: 'That is what I see' });
    await user.click(say);
    expect(say.disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'D1 dark' }));
    answer({ ok: true, value: { lamps: 'right', readings: {}, right: true } });
    await waitFor(() => expect(say.disabled).toBe(false));
    expect(told).not.toHaveBeenCalled();
    expect(screen.queryByText('right')).toBeNull();
  });

  it('at which nothing can be said tells as soon as one has looked', async () => {
    const { user } = show(<Stop stop={{ lamps: [], hold: '', readings: [] }} at={4} onTold={told} />);
    await user.click(screen.getByRole('button', { name: 'I have looked' }));
    expect(told).toHaveBeenCalled();
  });

  it('keeps what was said where the program does not answer', async () => {
    advice.mockRejectedValueOnce(new Error('away'));
    const { user } = show(<Stop stop={STOP} at={4} onTold={told} />);
    await user.click(screen.getByRole('button', { name: 'I have looked' }));
    await user.click(screen.getByRole('button', { name: 'D1 dark' }));
    await user.click(screen.getByRole('button', { name: 'That is what I see' }));
    expect(said(await screen.findByRole('alert'))).toContain('does not answer');
    expect(screen.getByRole('button', { name: 'D1 lights' })).toBeTruthy();
  });
});

it('a bench is not left while readings wait: they go out by its own seat', () => {
  show(<LeaveBench waiting={2} />);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Another bench' }).disabled).toBe(true);
});
