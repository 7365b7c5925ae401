/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { visited } from '../../../tests/support/navigation';
import { retype, screen, show } from '../../../tests/support/screen';
import { DEFAULT_STYLE } from '@/core';
import { NewGroup } from '@/features/classes/NewGroup';
import { Enrol } from '@/features/classes/Students';
import { keepStyle, keepZone } from './actions';
import { StyleForm } from './StyleForm';
import { Zone } from './Zone';

jest.mock('next/navigation', () => jest.requireActual('../../../tests/support/navigation'));
jest.mock('./actions', () => ({ keepStyle: jest.fn(), keepZone: jest.fn() }));
jest.mock('@/features/classes/actions', () => ({}));

const done = (value: number) => ({ ok: true, value }) as const;

beforeEach(() => {
  jest.clearAllMocks();
  visited.length = 0;
});

describe('the zone of the house', () => {
  it('is shown by the name that it was told by, also where no list has that, and is saved once it is chosen', async () => {
    jest.mocked(keepZone).mockResolvedValue(done(3));
    const first = show(<Zone zone="UTC" version={2} zones={['Europe/Berlin', 'Pacific/Auckland']} />);
    const field = () => screen.getByLabelText<HTMLSelectElement>('are those of');
    expect(field().value).toBe('UTC');
    await first.user.selectOptions(field(), 'Pacific/Auckland');
    await screen.findByText('Saved.');
    expect(keepZone).toHaveBeenCalledWith(2, 'Pacific/Auckland');
    first.unmount();
    const again = show(<Zone zone="Asia/Calcutta" version={3} zones={['Asia/Kolkata']} />);
    expect(field().value).toBe('Asia/Calcutta');
    again.unmount();
    show(<Zone zone={null} version={0} zones={['Asia/Kolkata']} />);
    expect(field().selectedOptions[0]!.text).toBe('the machine that the program runs on');
  });
});

describe('what is typed and not saved', () => {
  it('is in the house style again after a reload, and forgotten once it is saved', async () => {
    jest.mocked(keepStyle).mockResolvedValue(done(5));
    const first = show(<StyleForm style={DEFAULT_STYLE} version={4} />);
    await retype(first.user, 'Design current', '8m');
    first.unmount();
    const again = show(<StyleForm style={DEFAULT_STYLE} version={4} />);
    await waitFor(() => expect(screen.getByLabelText('Design current')).toHaveProperty('value', '8m'));
    await again.user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await screen.findByText(/Every sheet follows it/u);
    again.unmount();
    show(<StyleForm style={DEFAULT_STYLE} version={5} />);
    expect(screen.getByLabelText('Design current')).not.toHaveProperty('value', '8m');
  });

  it('stays where it was typed while something earlier was being saved', async () => {
    let answer: () => void = () => undefined;
    jest.mocked(keepStyle).mockReturnValueOnce(new Promise((next) => (answer = () => next(done(5)))));
    const { user } = show(<StyleForm style={DEFAULT_STYLE} version={4} />);
    await retype(user, 'Design current', '8m');
    await user.click(screen.getByRole('button', { name: 'Save the house style' }));
    await retype(user, 'Design current', '9m');
    answer();
    await waitFor(() => expect(visited).toContain('refresh'));
    expect(screen.getByLabelText('Design current')).toHaveProperty('value', '9m');
    expect(screen.queryByText(/Every sheet follows it/u)).toBeNull();
  });

  it('is in the fields of a new group and of new students again', async () => {
    const both = () =>
      show(
        <>
          <NewGroup />
          <Enrol groupId={3} />
        </>,
      );
    const first = both();
    await first.user.type(screen.getByLabelText('Name'), 'Sandpiper');
    await first.user.type(screen.getByLabelText(/One nickname a line/u), 'Wren{Enter}Fenn');
    first.unmount();
    both();
    expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Sandpiper');
    expect(screen.getByLabelText(/One nickname a line/u)).toHaveProperty('value', 'Wren\nFenn');
  });
});
