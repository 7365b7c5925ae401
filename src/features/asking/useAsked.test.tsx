/** @jest-environment jsdom */
import { act } from '@testing-library/react';
import type { Remote } from 'comlink';
import { said, screen, show } from '../../../tests/support/screen';
import { stopWorker } from '@/workers/client';
import type { CoreApi } from '@/workers/coreApi';
import { useAsked } from './useAsked';

const watchers = new Set<(name: string) => void>();
jest.mock('@/workers/client', () => ({
  coreWorker: () => ({}),
  stopWorker: jest.fn((name: string) => watchers.forEach((watcher) => watcher(name))),
  onWorkerStopped: (watcher: (name: string) => void) => {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
}));

const open: { question: number; answer(reply: string): void; tell(share: number): void }[] = [];
const ask = (_core: Remote<CoreApi>, question: number, onProgress: (share: number) => void) =>
  new Promise<string>((answer) => open.push({ question, answer, tell: onProgress }));

function Asking({ question }: { question: number }) {
  const { reply, of, waiting, stopped, share, stop, again } = useAsked('careful', question, ask);
  return (
    <p>
      {reply ?? 'nothing'} of {of ?? 'nothing'}, {waiting ? `waiting at ${share}` : 'at rest'}
      {stopped && ', stopped'}
      <button onClick={stop}>stop</button>
      <button onClick={again}>again</button>
    </p>
  );
}

const nextTask = () => new Promise((next) => setTimeout(next));
const words = () => said(document.querySelector('p'));
const settle = (work: () => void) =>
  act(async () => {
    await nextTask();
    work();
    await nextTask();
  });

beforeEach(() => {
  open.length = 0;
});

describe('asking a worker', () => {
  it('tells how far it is, and what the reply is the reply to', async () => {
    show(<Asking question={1} />);
    await settle(() => open[0]!.tell(0.4));
    expect(words()).toContain('nothing of nothing, waiting at 0.4');
    await settle(() => open[0]!.answer('one'));
    expect(words()).toContain('one of 1, at rest');
  });

  it('keeps the last reply with its own question while the next is worked out', async () => {
    const { rerender } = show(<Asking question={1} />);
    await settle(() => open[0]!.answer('one'));
    rerender(<Asking question={2} />);
    expect(words()).toContain('one of 1, waiting');
    await settle(() => open[1]!.answer('two'));
    expect(words()).toContain('two of 2, at rest');
  });

  it('is asked once more when somebody else’s question is cancelled', async () => {
    show(
      <>
        <Asking question={4} />
        <Asking question={5} />
      </>,
    );
    await settle(() => screen.getAllByRole('button', { name: 'stop' })[0]!.click());
    await settle(() => undefined);
    expect(open.map(({ question }) => question)).toEqual([4, 5, 5]);
    await settle(() => open[2]!.answer('five'));
    const all = [...document.querySelectorAll('p')].map(said);
    expect(all[0]).toContain('stopped');
    expect(all[1]).toContain('five of 5, at rest');
  });

  it('is stopped on wish, drops what comes all the same, and begins again', async () => {
    const { user } = show(<Asking question={3} />);
    await user.click(screen.getByRole('button', { name: 'stop' }));
    expect(stopWorker).toHaveBeenCalledWith('careful');
    expect(words()).toContain('at rest, stopped');
    await user.click(screen.getByRole('button', { name: 'again' }));
    expect(words()).toContain('waiting at 0');
    expect(open.map(({ question }) => question)).toEqual([3, 3]);
    await settle(() => open[1]!.answer('three'));
    expect(words()).toContain('three of 3, at rest');
  });
});
