/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useHistory } from './useHistory';

const FIRST = { title: '', amps: 1, plan: null as null | { rows: number[] } };
const begin = () => renderHook(() => useHistory(FIRST)).result;

describe('undo', () => {
  it('takes back a word that was typed, not its last letter', () => {
    const desk = begin();
    for (const [i, title] of ['P', 'Pi', 'Pie', 'Pier'].entries())
      act(() => desk.current.put({ ...FIRST, title }, { at: 1000 + 200 * i }));
    act(() => desk.current.undo!());
    expect(desk.current.now.title).toBe('');
    expect(desk.current.undo).toBeUndefined();
    act(() => desk.current.redo!());
    expect(desk.current.now.title).toBe('Pier');
  });

  it('stops at a pause, at another place, and at every change that is not typed', () => {
    const desk = begin();
    const put = (change: Partial<typeof FIRST>, at: number) =>
      act(() => desk.current.put({ ...desk.current.now, ...change }, { at }));
    put({ title: 'Pier' }, 1000);
    put({ title: 'Pier lamp' }, 9000);
    put({ amps: 2 }, 9100);
    put({ plan: { rows: [1] } }, 9200);
    put({ plan: { rows: [1, 2] } }, 9300);
    const seen: unknown[] = [];
    while (desk.current.undo) {
      act(() => desk.current.undo!());
      seen.push(desk.current.now);
    }
    expect(seen).toEqual([
      { title: 'Pier lamp', amps: 2, plan: { rows: [1] } },
      { title: 'Pier lamp', amps: 2, plan: null },
      { title: 'Pier lamp', amps: 1, plan: null },
      { title: 'Pier', amps: 1, plan: null },
      FIRST,
    ]);
  });

  it('is over when what was undone is typed on', () => {
    const desk = begin();
    act(() => desk.current.put({ ...FIRST, title: 'Pier' }, { at: 1000 }));
    act(() => desk.current.undo!());
    act(() => desk.current.put({ ...FIRST, title: 'Quay' }, { at: 1100 }));
    act(() => desk.current.undo!());
    expect(desk.current.now.title).toBe('');
  });
});
