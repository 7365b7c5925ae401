import {
  BARE_SHELF,
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_METER,
  DEFAULT_STYLE,
  makeSheet,
  PATTERNS,
  sessionExpectation,
  sumsIn,
  workOut,
  type BoardChoice,
  type ParamsOf,
  type PatternChoice,
  type PatternId,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
  type SingleParams,
  type LoopSums,
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

/** Bands as rough as while somebody types: for whoever looks at everything but the bands. */
export const ROUGH = { draws: { samples: 60, seed: 1, coverage: 0.95, ends: 'one' } } as const;

/** Parts in rows only, with wires from the rails: for whoever wants a wire to take away. */
export const ROWS_ONLY = { style: { ...DEFAULT_STYLE, rails: 'wires only' } } as const;

/** A one-lamp sheet: the working of its loop is there. */
export type SingleSheet = Sheet & { readonly loop: LoopSums };

export function sheetWith(params: Partial<SingleParams> = {}, more: Partial<SheetRequest> = {}): SingleSheet {
  const sheet = makeSheet(requestWith(params, more));
  const own = sheet.ok ? sumsIn(sheet.value.sums, 'loop') : undefined;
  if (!sheet.ok || !own) throw new Error(JSON.stringify(sheet.findings));
  return { ...sheet.value, loop: own.loop };
}

/** The sheet of any pattern with its usual wishes, some changed, on a board. */
export function patternSheet<Id extends PatternId>(
  pattern: Id,
  params: Partial<ParamsOf<Id>> = {},
  board: BoardChoice = 'half',
  more: Partial<SheetRequest> = {},
): Sheet {
  const choice = choiceWith(pattern, params, board);
  const sheet = makeSheet({ ...requestWith(), choice, ...more });
  if (!sheet.ok) throw new Error(JSON.stringify(sheet.findings));
  return sheet.value;
}

export function choiceWith<Id extends PatternId>(
  pattern: Id,
  params: Partial<ParamsOf<Id>> = {},
  board: BoardChoice = 'half',
): PatternChoice {
  const usual: object = PATTERNS[pattern].defaults(DEFAULT_STYLE);
  return choiceSchema.parse({
    pattern,
    params: { ...usual, ...params },
    build: { ...DEFAULT_BUILD, board },
  });
}

export function expectationWith(
  params: Partial<SingleParams> = {},
  more: Partial<SheetRequest> = {},
): SessionExpectation {
  const request = requestWith(params, more);
  return sessionExpectation(sheetWith(params, more), request);
}

/** What a pattern works out with some of its wishes changed; a refusal fails the test. */
export function worked<Id extends PatternId>(
  pattern: Id,
  params: Partial<ParamsOf<Id>> = {},
  more: object = {},
) {
  const made = workOut({ ...requestWith(), choice: choiceWith(pattern, params), ...more });
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  const design = made.value;
  return { design, sums: design.sums };
}

/** Why a pattern refuses such wishes. */
export function refusedWith<Id extends PatternId>(pattern: Id, params: Partial<ParamsOf<Id>>) {
  const made = workOut({ ...requestWith(), choice: choiceWith(pattern, params) });
  return made.ok ? undefined : made.findings[0]!;
}
