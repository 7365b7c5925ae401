import {
  BARE_SHELF,
  DEFAULT_METER,
  DEFAULT_STYLE,
  makeSheet,
  PATTERNS,
  sessionExpectation,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
  type SingleParams,
} from '@/core';

/** A sheet request off the house style, with some wishes changed. */
export function requestWith(
  params: Partial<SingleParams> = {},
  more: Partial<SheetRequest> = {},
): SheetRequest {
  return {
    choice: { pattern: 'single', params: { ...PATTERNS.single.defaults(DEFAULT_STYLE), ...params } },
    style: DEFAULT_STYLE,
    shelf: BARE_SHELF,
    stock: [],
    meter: DEFAULT_METER,
    students: 14,
    ageGroup: '10–12',
    draws: { samples: 2000, seed: 1, coverage: 0.95 },
    ...more,
  };
}

export function sheetWith(params: Partial<SingleParams> = {}, more: Partial<SheetRequest> = {}): Sheet {
  const sheet = makeSheet(requestWith(params, more));
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.findings));
  return sheet.value;
}

export function expectationWith(params: Partial<SingleParams> = {}): SessionExpectation {
  const request = requestWith(params);
  return sessionExpectation(sheetWith(params), request);
}
