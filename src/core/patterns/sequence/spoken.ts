import { CONTROLLERS } from '../../catalogue/controllers';
import type { LampType } from '../../catalogue/lamps';
import { COLOUR_WORDS as COLOURS } from '../../catalogue/lampWords';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import { nearestPin } from '../../program/pins';
import { COLUMNS_MOST, ROUNDS_MOST, ROWS_MOST, ROW_SECONDS } from '../../program/table';
import { parseQuantity } from '../../quantities/parse';
import type { SequenceParams } from './params';

const ROUNDS: Readonly<Record<string, number>> = {
  once: 1,
  twice: 2,
  thrice: 3,
  'over and over': 0,
  'for ever': 0,
  forever: 0,
  'without end': 0,
};

interface Moment {
  /** Lamps that are lit; `all` and none by word. */
  readonly lit: readonly LampType[] | 'all';
  readonly fade: boolean;
  readonly seconds?: number;
}

/**
 * A sequence as it is said: what is lit, moment by moment, then for how long each, how often, and how it ends.
 *
 * @param params whose board, wiring and current stay; lamps keep their pins by colour
 * @returns the wish with the table that was said, or the words that are not understood
 * @example spokenSequence('red, amber, green, 4 s, 1 s, 4 s, twice, then all off', signals)
 * // { ok: true, value: { rounds: 2, after: 'off' } }
 */
export function spokenSequence(text: string, params: SequenceParams): Outcome<SequenceParams> {
  const moments: Moment[] = [];
  const spans: number[] = [];
  let rounds = 1;
  let after: SequenceParams['after'] = 'off';
  for (const words of wordsOf(text)) {
    const often = roundsIn(words);
    const seconds = secondsIn(words);
    const moment = momentIn(words);
    if (often !== undefined) rounds = often;
    else if (words === 'then all off' || words === 'then off') after = 'off';
    else if (/^then (it |all |they )?stays?( on| so)?$/u.test(words)) after = 'stay';
    else if (seconds !== undefined) spans.push(seconds);
    else if (moment) moments.push(moment);
    else return refused(finding('words-unknown', { words }));
  }
  if (moments.length === 0) return refused(finding('words-unknown', { words: text.trim() }));
  const rows = timed(moments, spans);
  if (!rows) return refused(finding('times-unequal', { moments: moments.length, times: spans.length }));
  const unfit = rows.find(({ seconds }) => seconds < ROW_SECONDS.low || seconds > ROW_SECONDS.high);
  if (unfit) {
    const data = { name: 'A row', value: unfit.seconds, ...ROW_SECONDS, unit: 's' };
    return refused(finding('out-of-range', data));
  }
  if (rows.length > ROWS_MOST) return refused(finding('rows-beyond', { rows: rows.length, most: ROWS_MOST }));
  if (rounds > ROUNDS_MOST) {
    const data = { name: 'The number of rounds', value: rounds, low: 1, high: ROUNDS_MOST, unit: '' };
    return refused(finding('out-of-range', data));
  }
  return withTable(params, rows, rounds, after);
}

/** Moments and their times stand between commas; `red and amber` is one moment. */
function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[,;.](?=\s|$)|\n/u)
    .map((words) => words.trim().replace(/\s+/gu, ' '))
    .filter((words) => words !== '');
}

function roundsIn(words: string): number | undefined {
  if (words in ROUNDS) return ROUNDS[words];
  const times = /^(\d+) times$/u.exec(words)?.[1];
  return times === undefined ? undefined : Number(times);
}

function secondsIn(words: string): number | undefined {
  if (!/^\d|^[.,]\d/u.test(words)) return undefined;
  const long = /^([\d.,]+) ?(seconds?|minutes?|min)$/u.exec(words);
  const seconds = parseQuantity(long ? `${long[1]} s` : words, 's');
  if (!seconds.ok) return undefined;
  return long?.[2]?.startsWith('min') ? 60 * seconds.value : seconds.value;
}

/** `red`, `red and green`, `all off`, `red 4 s`, `fade to red over 2 s`. */
function momentIn(words: string): Moment | undefined {
  const faded = /^fade (?:to )?(.*)$/u.exec(words);
  const [what = '', span] = splitSpan(faded?.[1] ?? words);
  const seconds = span === undefined ? undefined : secondsIn(span);
  if (span !== undefined && seconds === undefined) return undefined;
  const lit = litIn(what);
  return lit && { lit, fade: faded !== null, ...(seconds === undefined ? {} : { seconds }) };
}

function splitSpan(words: string): [string, string | undefined] {
  const found = /^(.*?)(?: on)?(?: for| over)? (\d.*)$/u.exec(words);
  return found ? [found[1]!, found[2]] : [words.replace(/ on$/u, ''), undefined];
}

function litIn(words: string): Moment['lit'] | undefined {
  if (words === 'all off' || words === 'off' || words === 'dark' || words === 'nothing') return [];
  if (words === 'all') return 'all';
  const named = words.split(/ and | with |\+/u).map((word) => COLOURS[word.trim()]);
  return named.every((type) => type !== undefined) ? named : undefined;
}

interface Row extends Moment {
  readonly seconds: number;
}

/** Each moment with its own time, with the one that follows in its place, or all with the same. */
function timed(moments: readonly Moment[], spans: readonly number[]): Row[] | undefined {
  const open = moments.filter(({ seconds }) => seconds === undefined).length;
  if (spans.length !== open && !(spans.length === 1 && open > 0)) return undefined;
  let next = 0;
  return moments.map((moment) => {
    const seconds = moment.seconds ?? (spans.length === 1 ? spans[0]! : spans[next++]!);
    return { ...moment, seconds };
  });
}

function withTable(
  params: SequenceParams,
  rows: readonly Row[],
  rounds: number,
  after: SequenceParams['after'],
): Outcome<SequenceParams> {
  const board = CONTROLLERS[params.board];
  const named = [...new Set(rows.flatMap(({ lit }) => (lit === 'all' ? [] : lit)))];
  const colours = named.length > 0 ? named : params.lamps.map(({ lamp }) => lamp);
  if (colours.length > COLUMNS_MOST) {
    return refused(finding('too-many-lamps', { lamps: colours.length, most: COLUMNS_MOST }));
  }
  const used: number[] = [];
  const lamps = colours.map((lamp) => {
    const own = params.lamps.find((one) => one.lamp === lamp && !used.includes(one.pin))?.pin;
    const others = [...used, ...params.lamps.map(({ pin }) => pin)];
    const pin = own ?? nearestPin(board, 9, others, ({ dims }) => dims) ?? nearestPin(board, 9, used) ?? 2;
    used.push(pin);
    return { lamp, pin };
  });
  const table = rows.map(({ lit, seconds, fade }) => ({
    steps: lamps.map(({ lamp }) => (lit === 'all' || lit.includes(lamp) ? board.steps : 0)),
    seconds,
    fade,
  }));
  return accepted({ ...params, lamps, columns: used, rows: table, rounds, after });
}
