/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { jobsCameTo } from '../../../tests/support/jobs';
import { said, screen, show } from '../../../tests/support/screen';
import { DEFAULT_METER } from '@/core';
import { contextChoicesOf, keepContext } from './actions';
import { BenchContextForm, type KnownContext } from './BenchContextForm';
import { contextTyped, typedContext } from './contextTyped';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({ contextChoicesOf: jest.fn(), keepContext: jest.fn() }));
jest.mock('@/features/asking/actions', () => ({ stopWork: jest.fn() }));

const CHOICES = {
  resistors: [{ id: 'R1', ohms: 330 }],
  lamps: [{ sort: 'red' as const, ids: ['D1'], amps: 0.00885 }],
};
const keep = jest.mocked(keepContext);
let hidden = 0;

beforeEach(() => {
  hidden = 0;
  keep.mockReset().mockResolvedValue({ ok: true, value: 'job' });
  jest.mocked(contextChoicesOf).mockResolvedValue({ ok: true, value: CHOICES });
  jobsCameTo({ ok: true, value: null });
});

const open = (known?: KnownContext) =>
  show(
    <BenchContextForm
      sessionId={4}
      student={{ id: 10, bench: 3, nickname: 'Cass' }}
      known={known}
      meter={DEFAULT_METER}
      onHide={() => hidden++}
    />,
  );

describe('what is different on a bench', () => {
  it('is typed in the trade’s shorthand, and kept for that bench', async () => {
    const { user } = open();
    await user.type(await screen.findByLabelText(/^R1, planned 330/u), '470');
    await user.type(screen.getByLabelText(/^red lamp D1, measured volts/u), '2.03');
    await user.click(screen.getByLabelText(/whole class/u));
    await user.click(screen.getByRole('button', { name: 'Judge this bench by it' }));
    await waitFor(() => expect(hidden).toBe(1));
    expect(keep).toHaveBeenCalledWith(
      4,
      {
        studentId: 10,
        version: 0,
        context: { ohms: { R1: 470 }, lamps: { red: { volts: 2.03, amps: 0.0089 } } },
      },
      true,
    );
  });

  it('that is no figure is named, and what was typed stays', async () => {
    const { user } = open();
    await user.type(await screen.findByLabelText(/^R1, planned/u), 'orange');
    await user.type(screen.getByLabelText(/measured volts/u), '40');
    await user.click(screen.getByRole('button', { name: 'Judge this bench by it' }));
    expect(said(await screen.findByRole('alert'))).toMatch(/R1: .*orange/u);
    expect(screen.getByLabelText<HTMLInputElement>(/^R1, planned/u).value).toBe('orange');
    expect(keep).not.toHaveBeenCalled();
  });

  it('may be another meter, with the figures of its own sheet', async () => {
    const { user } = open();
    await user.click(await screen.findByLabelText(/^Another meter than the/u));
    await user.clear(screen.getByLabelText('counts'));
    await user.type(screen.getByLabelText('counts'), '5999');
    await user.click(screen.getByRole('button', { name: 'Judge this bench by it' }));
    await waitFor(() => expect(keep).toHaveBeenCalled());
    expect(keep.mock.calls[0]![1].context.meter).toEqual({
      ...DEFAULT_METER,
      name: 'other meter',
      counts: 5999,
    });
  });

  it('shows what was noted before, and goes back to the plan', async () => {
    const known = { context: { ohms: { R1: 470 }, lamps: {} }, version: 2, counts: false };
    const { user } = open(known);
    expect((await screen.findByLabelText<HTMLInputElement>(/^R1, planned/u)).value).toMatch(/^470\s?Ω$/u);
    expect(screen.getByText(/does not count now/u)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'As planned again' }));
    await waitFor(() => expect(hidden).toBe(1));
    expect(keep.mock.calls[0]![1]).toMatchObject({ version: 2, context: { ohms: {}, lamps: {} } });
  });

  it('that cannot be worked out says why, and the form stays', async () => {
    jobsCameTo({ ok: false, message: 'Somebody else saved what is different on this bench.' });
    const { user } = open();
    await user.type(await screen.findByLabelText(/^R1, planned/u), '470');
    await user.click(screen.getByRole('button', { name: 'Judge this bench by it' }));
    expect(said(await screen.findByRole('alert'))).toContain('Somebody else saved');
    expect(hidden).toBe(0);
  });
});

it('a context comes back from its form as it went in', () => {
  const context = { ohms: { R1: 470 }, lamps: { red: { volts: 2.03, amps: 0.009 } }, meter: DEFAULT_METER };
  expect(contextTyped(typedContext(context, CHOICES), CHOICES)).toEqual({ context });
  const planned = { ohms: { R1: '330' }, volts: {}, amps: {}, meter: undefined };
  expect(contextTyped(planned, CHOICES)).toEqual({ context: { ohms: {}, lamps: {} } });
});
