import {
  GLANCE,
  isPlacedWord,
  PLACED_WORDS,
  WHOLE_BENCH,
  type BenchRead,
  type Noted,
  type PlacedWord,
  type SeenLook,
  type SeenWord,
} from '@/core';
import { listed } from './grammar';

/** What one says of a lamp, the key that says it, and words that mean the same. */
export const SEEN: Readonly<
  Record<SeenWord, { readonly key: string; readonly words: string; readonly also?: readonly string[] }>
> = {
  'as-planned': { key: 'o', words: 'as planned', also: ['ok', '=', 'right', 'all ok'] },
  dark: { key: 'd', words: 'dark', also: ['off', 'out'] },
  dim: { key: 'm', words: 'dim', also: ['faint'] },
  lit: { key: 'l', words: 'lit', also: ['on'] },
  'too-bright': { key: 't', words: 'too bright', also: ['bright'] },
  steady: { key: 's', words: 'steady' },
  blinking: { key: 'b', words: 'blinking', also: ['blinks'] },
  flicker: { key: 'f', words: 'flickering', also: ['flickers', 'flicker'] },
  'other-colour': { key: 'c', words: 'another colour', also: ['colour'] },
  'wrong-lamp': { key: 'w', words: 'the wrong lamp lit', also: ['wrong lamp', 'wrong'] },
  hot: { key: 'h', words: 'something hot', also: ['hot', 'smells', 'smell', 'smoke', 'smokes', 'burns'] },
  'was-hot': { key: 'was hot', words: 'was hot, cold now' },
};

/** What one says of a part beside its plan. */
export const PLACED: Readonly<
  Record<PlacedWord, { readonly words: string; readonly also: readonly string[] }>
> = {
  turned: { words: 'turned round', also: ['turned', 'reversed', 'the wrong way round'] },
  astray: { words: 'in another hole', also: ['astray', 'a hole off'] },
  missing: { words: 'missing', also: ['not there'] },
  'other-part': { words: 'another part', also: ['other part'] },
};

const ALL = Object.entries(SEEN) as [SeenWord, (typeof SEEN)[SeenWord]][];
/** Said of the whole bench, never of one lamp. */
const OF_BENCH: ReadonlySet<SeenWord> = new Set(['hot', 'was-hot', 'wrong-lamp', 'flicker']);

/** The keys as they are explained beside the column. */
export const SEEN_KEYS = `o as planned, d dark, m dim, t too bright, s steady, b blinking, f flickering, c another colour, w the wrong lamp, h hot; a lamp’s number before it (2d) means that lamp`;

/**
 * What was typed of the lamps at one glance: `ok`, `d`, `2d`, `D2 dark, D3 dim`, `hot`. Lamps that are not named look as
 * planned where any lamp is.
 *
 * @param lamps ids of all lamps of the lesson
 * @param parts ids of all that lies on its plan: of these one may say that they differ from it (`R1 in another hole`)
 */
export function readSeen(
  typed: string,
  lamps: readonly string[],
  parts: readonly string[] = [],
): { readonly looks: readonly SeenLook[] } | { readonly message: string } {
  const named: SeenLook[] = [];
  for (const entry of typed.split(/[,;]/u).map((text) => text.trim())) {
    if (entry === '') continue;
    const read = readPlaced(entry, parts) ?? readEntry(entry, lamps);
    if (!read)
      return {
        message: `“${entry}” says nothing of a lamp. Type ok, or a lamp and how it looks: 2 dark. ${capitalKeys()}.`,
      };
    named.push(...read);
  }
  if (named.length === 0) return { message: `Type ok, or how the lamps look. ${capitalKeys()}.` };
  const lampsNamed = new Set(named.flatMap(({ lamp, word }) => (isPlacedWord(word) ? [] : [lamp])));
  const speaksOfLamps = named.some(
    ({ lamp, word }) => lamp !== WHOLE_BENCH && word !== 'as-planned' && !isPlacedWord(word),
  );
  const rest = speaksOfLamps ? lamps.filter((lamp) => !lampsNamed.has(lamp)) : [];
  return { looks: [...named, ...rest.map((lamp): SeenLook => ({ lamp, word: 'as-planned' }))] };
}

function capitalKeys(): string {
  return `Keys: ${SEEN_KEYS}`;
}

function readEntry(entry: string, lamps: readonly string[]): SeenLook[] | undefined {
  const text = entry.toLowerCase();
  const whole = wordOf(text);
  if (whole) {
    if (whole === 'as-planned') return [{ lamp: WHOLE_BENCH, word: whole }];
    return OF_BENCH.has(whole)
      ? [{ lamp: WHOLE_BENCH, word: whole }]
      : lamps.map((lamp) => ({ lamp, word: whole }));
  }
  const parts = /^([a-z]*\d+[a-z]?)\s*(?:is\s+|are\s+)?(.*)$/u.exec(text);
  const compact = /^([a-z]?\d+)([a-z])$/u.exec(text.replace(/\s+/gu, ''));
  const [said, at] = compact ? [compact[2]!, compact[1]!] : [parts?.[2] ?? '', parts?.[1] ?? ''];
  const word = wordOf(said);
  const lamp = lampNamed(at, lamps);
  if (!word || !lamp) return undefined;
  return [{ lamp: OF_BENCH.has(word) ? WHOLE_BENCH : lamp, word }];
}

/** `R1 in another hole`: a part beside its plan. */
function readPlaced(entry: string, parts: readonly string[]): SeenLook[] | undefined {
  const [, name = '', said = ''] = /^(\S+)\s+(?:is\s+)?(.+)$/u.exec(entry.toLowerCase()) ?? [];
  const part = parts.find((id) => id.toLowerCase() === name);
  const word = PLACED_WORDS.find((one) => PLACED[one].words === said || PLACED[one].also.includes(said));
  return part && word ? [{ lamp: part, word }] : undefined;
}

function wordOf(text: string): SeenWord | undefined {
  return ALL.find(
    ([, { key, words, also }]) => text === key || text === words || (also ?? []).includes(text),
  )?.[0];
}

/** `D2`, `2`, or the part of a three-colour lamp, `D1r`. */
function lampNamed(text: string, lamps: readonly string[]): string | undefined {
  return (
    lamps.find((lamp) => lamp.toLowerCase() === text) ??
    lamps.find((lamp) => lamp.replace(/^\D+/u, '') === text)
  );
}

/** What was seen, in the words in which it is kept and shown: only what is not as planned is named. */
export function seenText(looks: readonly SeenLook[]): string {
  const odd = looks.filter(({ word }) => word !== 'as-planned');
  if (odd.length === 0) return 'ok';
  const byWord = new Map<SeenLook['word'], string[]>();
  for (const { lamp, word } of odd) byWord.set(word, [...(byWord.get(word) ?? []), lamp]);
  return [...byWord]
    .flatMap(([word, lamps]) =>
      lamps.map((lamp) => (lamp === WHOLE_BENCH ? shortWords(word) : `${lamp} ${shortWords(word)}`)),
    )
    .join(', ');
}

function shortWords(word: SeenLook['word']): string {
  if (isPlacedWord(word)) return PLACED[word].words;
  if (word === 'was-hot') return WAS_HOT;
  return word === 'hot'
    ? 'hot'
    : word === 'wrong-lamp'
      ? 'wrong lamp'
      : word === 'other-colour'
        ? 'colour'
        : SEEN[word].words;
}

/** What is noted once a bench at which something was hot is off and cold. */
const WAS_HOT = 'was hot';

/**
 * Whether something at a bench is hot, smokes or smells: from the look that says so until one that says it is cold,
 * whatever is said of the lamps in between.
 *
 * @param looks at one bench as they were typed, oldest first, without those that were taken back
 */
export function isAlarm(looks: readonly string[]): boolean {
  const spoken = looks.flatMap(entriesOf).map((entry) => wordOf(entry.toLowerCase()));
  return spoken.filter((word) => word === 'hot' || word === 'was-hot').at(-1) === 'hot';
}

/** The last look again, with what was hot said to be cold. */
export function cooledLook(looks: readonly string[]): string {
  const others = entriesOf(looks.at(-1) ?? '').filter((entry) => {
    const word = wordOf(entry.toLowerCase());
    return word !== 'hot' && word !== 'was-hot' && word !== 'as-planned';
  });
  return [WAS_HOT, ...others].join(', ');
}

function entriesOf(typed: string): string[] {
  return typed
    .split(/[,;]/u)
    .map((entry) => entry.trim())
    .filter((entry) => entry !== '');
}

/** How lamps look, as a phrase: `D1 dark, D2 and D3 lit`. */
export function looksWords(looks: Readonly<Record<string, string>>): string {
  const byLook = new Map<string, string[]>();
  for (const [lamp, look] of Object.entries(looks)) byLook.set(look, [...(byLook.get(look) ?? []), lamp]);
  return [...byLook].map(([look, lamps]) => `${listed(lamps)} ${look.replace('-', ' ')}`).join(', ');
}

/**
 * What counts of one bench's readings: the newest at each checkpoint, and the newest glance.
 *
 * @param readings of one bench, oldest first, without its prediction
 */
export function benchRead(
  readings: readonly (Noted & { readonly typed: string })[],
  lamps: readonly string[],
  parts: readonly string[] = [],
): BenchRead {
  const newest = new Map(readings.map((reading) => [reading.point, reading]));
  const glance = newest.get(GLANCE);
  newest.delete(GLANCE);
  const seen = glance && readSeen(glance.typed, lamps, parts);
  return {
    noted: [...newest.values()].map(({ point, value, step }) => ({ point, value, step })),
    looks: seen && 'looks' in seen ? seen.looks : [],
  };
}

/** Parts that differ from the plan, by their names. */
export type Marks = Readonly<Record<string, PlacedWord>>;

/** What was said of the parts of a bench, in the last look at it. */
export function marksIn(
  typed: string | undefined,
  lamps: readonly string[],
  parts: readonly string[],
): Marks {
  const looks = looksIn(typed, lamps, parts);
  return Object.fromEntries(looks.flatMap(({ lamp, word }) => (isPlacedWord(word) ? [[lamp, word]] : [])));
}

/** A look that says of the lamps what the last one said, and of the parts what the marks say; none where nothing is said. */
export function lookWith(
  typed: string | undefined,
  marks: Marks,
  lamps: readonly string[],
  parts: readonly string[],
): string | undefined {
  const ofLamps = looksIn(typed, lamps, parts).filter(
    ({ word }) => !isPlacedWord(word) && word !== 'as-planned',
  );
  const placed = Object.entries(marks).map(([lamp, word]): SeenLook => ({ lamp, word }));
  const all = [...ofLamps, ...placed];
  return all.length > 0 || typed !== undefined ? seenText(all) : undefined;
}

function looksIn(
  typed: string | undefined,
  lamps: readonly string[],
  parts: readonly string[],
): readonly SeenLook[] {
  const read = typed === undefined ? undefined : readSeen(typed, lamps, parts);
  return read && 'looks' in read ? read.looks : [];
}
