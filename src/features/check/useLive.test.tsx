/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import type { LiveReading } from '@/server/repositories/readings';
import { useLive } from './useLive';

/** The browser's event source, with the server's end in the test's hand. */
class Source extends EventTarget {
  static readonly CLOSED = 2;
  static all: Source[] = [];
  readyState = 1;
  onopen?: () => void;
  onmessage?: (event: MessageEvent<string>) => void;
  onerror?: () => void;
  closed = false;

  constructor(readonly url: string) {
    super();
    Source.all.push(this);
  }

  close(): void {
    this.closed = true;
  }

  reading(id: number): void {
    const reading = { id, studentId: 11, point: 'R1', typed: '2.91', entryKey: `k${id}` };
    this.onmessage?.(new MessageEvent('message', { data: JSON.stringify(reading) }));
  }
}

const newest = () => Source.all[Source.all.length - 1]!;

function followed(after: number) {
  const [heard, found, judgedBy]: [number[], unknown[], string[]] = [[], [], []];
  const hook = renderHook(() =>
    useLive(
      4,
      after,
      ({ id }: LiveReading) => heard.push(id),
      (all) => found.push(all),
      (word) => judgedBy.push(word),
      () => undefined,
      () => undefined,
    ),
  );
  return { ...hook, heard, found, judgedBy };
}

beforeEach(() => {
  Source.all = [];
  jest.useFakeTimers();
  Object.assign(globalThis, { EventSource: Source });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'EventSource');
});

describe('a page that follows its session', () => {
  it('asks for what came after the last reading that it shows, and hears of each', () => {
    const { result, heard, found, judgedBy } = followed(41);
    expect(newest().url).toBe('/check/4/live?after=41');
    expect(result.current).toBe(false);
    act(() => newest().onopen?.());
    expect(result.current).toBe(true);
    act(() => newest().reading(42));
    act(() => newest().reading(45));
    expect(heard).toEqual([42, 45]);
    const data = JSON.stringify([{ id: 1, studentId: 11, words: 'D1 the wrong way round', after: 42 }]);
    act(() => void newest().dispatchEvent(new MessageEvent('found', { data })));
    act(() => void newest().dispatchEvent(new MessageEvent('judged-by', { data: '3 11:2' })));
    expect(judgedBy).toEqual(['3 11:2']);
    expect(found).toEqual([[{ id: 1, studentId: 11, words: 'D1 the wrong way round', after: 42 }]]);
  });

  it('says when it hears of nothing, and leaves a line that comes back by itself alone', () => {
    const { result } = followed(0);
    act(() => newest().onopen?.());
    act(() => newest().onerror?.());
    expect(result.current).toBe(false);
    act(() => void jest.advanceTimersByTime(10_000));
    expect(Source.all).toHaveLength(1);
    act(() => newest().onopen?.());
    expect(result.current).toBe(true);
  });

  it('that was refused for good asks again, from the last reading that it heard of', () => {
    const { heard } = followed(41);
    act(() => newest().reading(57));
    newest().readyState = Source.CLOSED;
    act(() => newest().onerror?.());
    expect(newest().closed).toBe(true);
    act(() => void jest.advanceTimersByTime(2000));
    expect(newest().url).toBe('/check/4/live?after=57');
    act(() => newest().reading(58));
    expect(heard).toEqual([57, 58]);
  });

  it('hangs up when it is left, and asks no more', () => {
    const { unmount } = followed(3);
    newest().readyState = Source.CLOSED;
    act(() => newest().onerror?.());
    unmount();
    act(() => void jest.advanceTimersByTime(60_000));
    expect(Source.all).toHaveLength(1);
    expect(newest().closed).toBe(true);
  });
});
