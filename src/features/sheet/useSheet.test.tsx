/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { choiceWith, requestWith, sheetWith } from '../../../tests/support/sheets';
import { refused, type Outcome, type Sheet, type SheetRequest } from '@/core';
import { useSheet } from './useSheet';

interface Waiting {
  readonly worker: string;
  readonly request: SheetRequest;
  answer(outcome: Outcome<Sheet>): Promise<void>;
}
let waiting: Waiting[] = [];

const mockStopped: string[] = [];
jest.mock('@/workers/client', () => ({
  stopWorker: (worker: string) => void mockStopped.push(worker),
  coreWorker: (worker: string) => ({
    sheet: (request: SheetRequest) =>
      new Promise((resolve) =>
        waiting.push({ worker, request, answer: (outcome) => act(async () => resolve(outcome)) }),
      ),
  }),
}));

const wish = (lamp: 'red' | 'blue' | 'green') => ({
  ...requestWith(),
  choice: choiceWith('single', { lamp, supply: { kind: 'usb', cells: 1, age: 'nominal' } }),
});
const SHEET = sheetWith();
const found = (samples: number, outline?: true): Outcome<Sheet> => ({
  ok: true,
  findings: [],
  value: { ...SHEET, expected: { ...SHEET.expected, samples }, ...(outline ? { outline } : {}) },
});
const asked = (worker: string) => waiting.filter((one) => one.worker === worker);

beforeEach(() => {
  waiting = [];
  mockStopped.length = 0;
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

function opened() {
  const hook = renderHook(({ request }) => useSheet(undefined, request, 20000), {
    initialProps: { request: wish('red') },
  });
  const rest = () => act(async () => void jest.advanceTimersByTime(600));
  return { ...hook, rest };
}

describe('a sheet that is kept solved', () => {
  it('that the page came with is outlined at its first change too, by a worker that has been asked before', async () => {
    const kept = found(20000);
    const hook = renderHook(({ request }) => useSheet(kept, request, 20000), {
      initialProps: { request: wish('red') },
    });
    expect(asked('quick')).toHaveLength(1);
    expect(asked('rough')).toHaveLength(0);
    await asked('quick')[0]!.answer(found(0, true));
    // Nobody waited for that one.
    expect(hook.result.current.sheet!.outline).toBeUndefined();
    hook.rerender({ request: wish('blue') });
    expect(asked('quick')).toHaveLength(2);
    await asked('quick')[1]!.answer(found(0, true));
    expect(hook.result.current).toMatchObject({ overtaken: false, sheet: { outline: true } });
  });

  it('is outlined first, then drawn roughly, then carefully', async () => {
    const { result, rest } = opened();
    expect(result.current.sheet).toBeUndefined();
    await asked('quick')[0]!.answer(found(0, true));
    expect(result.current).toMatchObject({ rough: true, sheet: { outline: true } });
    await asked('rough')[0]!.answer(found(600));
    expect(result.current).toMatchObject({ rough: true, sheet: { expected: { samples: 600 } } });
    await rest();
    expect(asked('careful')[0]!.request.draws.samples).toBe(20000);
    await asked('careful')[0]!.answer(found(20000));
    expect(result.current).toMatchObject({ rough: false, overtaken: false });
  });

  it('keeps the careful answer when a rough one of the same wish comes late', async () => {
    const { result, rest } = opened();
    await rest();
    await asked('careful')[0]!.answer(found(20000));
    await asked('quick')[0]!.answer(found(0, true));
    await asked('rough')[0]!.answer(found(600));
    expect(result.current).toMatchObject({ rough: false, sheet: { expected: { samples: 20000 } } });
    expect(result.current.sheet!.outline).toBeUndefined();
  });

  it('outlines the newest wish at once: the one that is still being drawn is stopped', async () => {
    const { result, rerender } = opened();
    await asked('quick')[0]!.answer(found(0, true));
    rerender({ request: wish('blue') });
    expect(result.current.overtaken).toBe(true);
    // The rough sheet of the red lamp is not there yet.
    expect(asked('rough')).toHaveLength(1);
    expect(mockStopped).toEqual(['rough']);
    await asked('quick')[1]!.answer(found(0, true));
    expect(result.current.overtaken).toBe(false);
    // Were it to answer all the same, nobody would hear of it; the draws of the blue lamp go on without it.
    await asked('rough')[0]!.answer(found(111));
    expect(result.current.sheet!.expected.samples).toBe(0);
    await asked('rough')[1]!.answer(found(222));
    expect(result.current.sheet!.expected.samples).toBe(222);
  });

  it('says why a wish cannot be met, beside the sheet of the one before', async () => {
    const { result, rerender } = opened();
    // The draws wait for the outline: side by side they would keep it waiting.
    expect(asked('rough')).toHaveLength(0);
    await asked('quick')[0]!.answer(found(0, true));
    await asked('rough')[0]!.answer(found(600));
    rerender({ request: wish('green') });
    const why = refused({ code: 'mains-refused', severity: 'refusal', data: { volts: 230 } });
    await asked('rough')[1]!.answer(why);
    expect(result.current.refusals).toEqual(why.findings);
    expect(result.current.sheet!.expected.samples).toBe(600);
  });
});
