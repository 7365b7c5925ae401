import {
  BARE_SHELF,
  DEFAULT_METER,
  DEFAULT_STYLE,
  makeSheet,
  PATTERNS,
  type Sheet,
  type SheetRequest,
} from '@/core';

export function benchRequest(samples: number): SheetRequest {
  return {
    choice: { pattern: 'single', params: PATTERNS.single.defaults(DEFAULT_STYLE) },
    style: DEFAULT_STYLE,
    shelf: BARE_SHELF,
    stock: [],
    meter: DEFAULT_METER,
    students: 14,
    ageGroup: '10–12',
    draws: { samples, seed: 1, coverage: 0.95 },
  };
}

export function benchSheetOf(request: SheetRequest): Sheet {
  const sheet = makeSheet(request);
  if (!sheet.ok) throw new Error('refused');
  return sheet.value;
}
