/** @jest-environment jsdom */
import { waitFor } from '@testing-library/react';
import { useState } from 'react';
import { visited } from '../../tests/support/navigation';
import { said, screen, show } from '../../tests/support/screen';
import type { Answer } from '@/server/failures';
import { Overtaken } from './Overtaken';
import { useSaving } from './useSaving';

jest.mock('next/navigation', () => jest.requireActual('../../tests/support/navigation'));

interface Words {
  readonly name: string;
  readonly place: string;
}

const send = jest.fn<Promise<Answer<number, Words>>, [number, Words]>();

function Form({ version = 3 }: { version?: number }) {
  const [words, setWords] = useState<Words>({ name: 'Tern', place: 'hall' });
  const saving = useSaving<Words>({ version, send, onTheirs: setWords });
  return (
    <>
      <label>
        name
        <input value={words.name} onChange={(event) => setWords({ ...words, name: event.target.value })} />
      </label>
      <button onClick={() => saving.save(words)}>Save</button>
      <Overtaken
        saving={saving}
        shown={({ name, place }: Words) => [
          ['name', name],
          ['place', place],
        ]}
      />
    </>
  );
}

const theirs = { version: 8, value: { name: 'Terns', place: 'hall' } };
const overtaken = { ok: false, message: 'Somebody else saved it.', theirs } as const;
const name = () => (screen.getByLabelText('name') as HTMLInputElement).value;

beforeEach(() => {
  send.mockReset();
  visited.length = 0;
});

describe('a form that somebody else has saved in between', () => {
  it('shows both where they differ, and saves ours over theirs on wish', async () => {
    send.mockResolvedValueOnce(overtaken);
    const { user } = show(<Form />);
    await user.type(screen.getByLabelText('name'), 'n');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText(/Somebody else saved it/u);
    expect(send).toHaveBeenLastCalledWith(3, { name: 'Ternn', place: 'hall' });
    expect(screen.getAllByRole('row').map(said)).toEqual(['yourstheirs', 'nameTernnTerns']);
    expect(name()).toBe('Ternn');
    send.mockResolvedValueOnce({ ok: true, value: 9 });
    await user.click(screen.getByRole('button', { name: 'Save mine over it' }));
    await waitFor(() => expect(screen.queryByText(/Somebody else saved it/u)).toBeNull());
    expect(send).toHaveBeenLastCalledWith(8, { name: 'Ternn', place: 'hall' });
    expect(visited).toContain('refresh');
  });

  it('takes theirs on wish, and saves the next change at their version', async () => {
    send.mockResolvedValueOnce(overtaken);
    const { user } = show(<Form />);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await user.click(await screen.findByRole('button', { name: 'Load theirs' }));
    expect(name()).toBe('Terns');
    send.mockResolvedValueOnce({ ok: true, value: 9 });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(send).toHaveBeenLastCalledWith(8, theirs.value));
    send.mockResolvedValueOnce({ ok: true, value: 10 });
    await user.click(screen.getByRole('button', { name: 'Save' }));
    // What this page saved itself is no one else's.
    await waitFor(() => expect(send).toHaveBeenLastCalledWith(9, theirs.value));
  });

  it('keeps what was typed where the program does not answer', async () => {
    send.mockRejectedValueOnce(new Error('gone'));
    const { user } = show(<Form />);
    await user.type(screen.getByLabelText('name'), 's');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText(/does not answer/u);
    expect(name()).toBe('Terns');
    expect(screen.queryByRole('button', { name: 'Load theirs' })).toBeNull();
  });

  it('waits for a database that is held, says so, and saves by itself when that lets go', async () => {
    const held = {
      ok: false,
      message: 'Not saved yet: another program holds the database.',
      again: true,
    } as const;
    send.mockResolvedValueOnce(held).mockResolvedValueOnce({ ok: true, value: 4 });
    const { user } = show(<Form />);
    await user.type(screen.getByLabelText('name'), 's');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/holds the database. It is tried again by itself/u)).toBeTruthy();
    await waitFor(() => expect(screen.queryByText(/holds the database/u)).toBeNull(), { timeout: 5000 });
    expect(send.mock.calls).toEqual(Array(2).fill([3, { name: 'Terns', place: 'hall' }]));
  });

  it('is not sent twice by itself where it may have been saved, nor once its screen is gone', async () => {
    send.mockRejectedValueOnce(new Error('gone'));
    const first = show(<Form />);
    await first.user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText(/does not answer/u);
    send.mockResolvedValue({ ok: false, message: 'Not saved: the disk is full.', again: true });
    await first.user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByText(/disk is full/u);
    first.unmount();
    const sent = send.mock.calls.length;
    await new Promise((over) => setTimeout(over, 2500));
    expect(send).toHaveBeenCalledTimes(sent);
    expect(sent).toBe(2);
  });
});
