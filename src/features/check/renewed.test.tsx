/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { jobsCameTo } from '../../../tests/support/jobs';
import { visited } from '../../../tests/support/navigation';
import { said, screen, show } from '../../../tests/support/screen';
import { renewSession, takeBackRenewal, whatRenewalChanges } from './actions';
import { Renewal } from './Renewal';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({
  renewSession: jest.fn(),
  takeBackRenewal: jest.fn(),
  whatRenewalChanges: jest.fn(),
}));
jest.mock('@/features/asking/actions', () => ({ stopWork: jest.fn() }));

const open = ({ outdated = false, renewed = false }) =>
  show(<Renewal sessionId={4} outdated={outdated} renewed={renewed} />);

beforeEach(() => {
  visited.length = 0;
});

describe('a session whose lesson has changed', () => {
  const changes = {
    version: 3,
    points: [
      { name: 'across R1', unit: 'V', before: { low: 2.67, high: 3.13 }, after: { low: 2.2, high: 2.5 } },
    ],
    benches: [{ bench: 2, nickname: 'Fenn', before: 'right', after: 'off' }],
  } as const;

  it('says first what would change, and takes the new figures only on wish', async () => {
    jest.mocked(whatRenewalChanges).mockResolvedValue({ ok: true, value: 'a job' });
    jobsCameTo({ ok: true, value: changes });
    const { user } = open({ outdated: true });
    await user.click(screen.getByRole('button', { name: /^What would change/u }));
    const asked = said(await screen.findByRole('list', { name: '' }));
    expect(asked).toContain('across R1: 2.67 V to 3.13 V, then 2.20 V to 2.50 V');
    expect(asked).toContain('bench 2 Fenn: right, then off');
    await user.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(renewSession).not.toHaveBeenCalled();
    await user.click(await screen.findByRole('button', { name: /^What would change/u }));
    jest.mocked(renewSession).mockResolvedValueOnce({ ok: false, message: 'It was given away.' });
    await user.click(await screen.findByRole('button', { name: 'Judge by the lesson as it is now' }));
    await screen.findByText(/It was given away/u);
    jest.mocked(renewSession).mockResolvedValueOnce({ ok: true, value: 'a job' });
    jobsCameTo({ ok: true, value: null });
    await user.click(await screen.findByRole('button', { name: 'Judge by the lesson as it is now' }));
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(renewSession).toHaveBeenLastCalledWith(4, 3);
  });

  it('that was renewed goes back on wish', async () => {
    jest.mocked(takeBackRenewal).mockResolvedValueOnce({ ok: true, value: null });
    const { user } = open({ renewed: true });
    await user.click(screen.getByRole('button', { name: 'Judge by those from before again' }));
    await waitFor(() => expect(takeBackRenewal).toHaveBeenCalledWith(4));
    await waitFor(() => expect(visited).toContain('refresh'));
  });
});
