import type { FaultCode } from '../parts/mistake';
import type { Look } from '../observe/looks';
import { isPlacedWord, placedChance, UNKNOWN_PLACED, type PlacedMistake, type PlacedWord } from './placed';

/** What an eye at the bench says of a lamp. */
export const SEEN_WORDS = [
  'as-planned',
  'dark',
  'dim',
  'lit',
  'too-bright',
  'steady',
  'blinking',
  'flicker',
  'other-colour',
  'wrong-lamp',
  'hot',
  // It was, and is off and cold by now.
  'was-hot',
] as const;
export type SeenWord = (typeof SEEN_WORDS)[number];

/** What was said of a lamp, of another part that was compared with the plan, or of the whole bench where none is named. */
export interface SeenLook {
  readonly lamp: string;
  readonly word: SeenWord | PlacedWord;
}

/** A look at all lamps, among the measurements. */
export const GLANCE = 'seen';

/** The name under which the whole bench is spoken of. */
export const WHOLE_BENCH = '';

export interface OtherColour {
  readonly lamp: string;
  /** Chance that somebody sees it. */
  readonly noticed: number;
}

/** How the lamps of a candidate look, and whether anything gets hot. */
export interface Sight {
  readonly code: FaultCode;
  readonly looks: Readonly<Record<string, Look>>;
  /** One lamp has another colour than the plan's. */
  readonly colour?: OtherColour | undefined;
  /** Something carries more than it stands. */
  readonly hot?: boolean | undefined;
  /** It hangs on a leg that is pressed or not. */
  readonly loose?: boolean | undefined;
}

/** What is seen of a candidate: its lamps, and where its parts are. */
type InSight = Sight & Omit<PlacedMistake, 'code'>;

type Said = Exclude<SeenWord, 'as-planned' | 'wrong-lamp' | 'other-colour' | 'was-hot'>;

/** Chance of a word that does not go with what is there. */
const RARELY = 0.02;
/** Nobody says that something is hot or flickers for nothing, but seldom. */
const FALSE_ALARM = 0.004;
/** Chance that somebody feels or smells what gets hot, that a loose leg flickers while one looks, that a wrong lamp is told of. */
const FELT = 0.5;
const FLICKERS = 0.6;
const TOLD = 0.9;

/** Chance of each word for a lamp that looks so: eyes mix up neighbours, seldom light and dark. Starting figures. */
const SAID: Readonly<Record<Look, Readonly<Record<Said, number>>>> = {
  dark: said({ dark: 0.95, dim: 0.04, lit: 0.01, 'too-bright': 0.002, steady: 0.01, blinking: 0.005 }),
  dim: said({ dark: 0.15, dim: 0.6, lit: 0.3, 'too-bright': 0.005, steady: 0.5, blinking: 0.01 }),
  lit: said({ dark: 0.01, dim: 0.08, lit: 0.9, 'too-bright': 0.03, steady: 0.9, blinking: 0.01 }),
  'too-bright': said({ dark: 0.15, dim: 0.02, lit: 0.5, 'too-bright': 0.5, steady: 0.6, blinking: 0.01 }),
  blinking: said({ dark: 0.03, dim: 0.05, lit: 0.1, 'too-bright': 0.01, steady: 0.03, blinking: 0.9 }),
};

function said(words: Omit<Record<Said, number>, 'flicker' | 'hot'>): Readonly<Record<Said, number>> {
  return { ...words, flicker: FALSE_ALARM, hot: FALSE_ALARM };
}

/** What somebody says of each lamp: of the whole bench as planned, that all look as they do in the right build. */
function spoken({ lamp, word }: SeenLook, right: Sight): readonly SeenLook[] {
  if (word !== 'as-planned') return [{ lamp, word }];
  const lamps = lamp === WHOLE_BENCH ? Object.keys(right.looks) : [lamp];
  return lamps.map((one) => ({ lamp: one, word: right.looks[one] ?? 'dark' }));
}

/** Chance that a word is said at a build that looks so. A lamp that is not in the circuit is dark. */
function chanceOf({ lamp, word }: SeenLook, sight: InSight, right: Sight): number {
  if (isPlacedWord(word)) return placedChance(sight, lamp, word);
  if (word === 'hot' || word === 'was-hot') return sight.hot ? FELT : FALSE_ALARM;
  if (word === 'flicker') return sight.loose ? FLICKERS : FALSE_ALARM;
  if (word === 'wrong-lamp') return anotherIsLit(sight, right) ? TOLD : RARELY;
  if (word === 'as-planned') return 1;
  const { colour } = sight;
  const other = colour && (lamp === colour.lamp || lamp === WHOLE_BENCH) ? colour.noticed : 0;
  if (word === 'other-colour') return Math.max(RARELY / 2, other);
  if (lamp !== WHOLE_BENCH) return (1 - other) * SAID[sight.looks[lamp] ?? 'dark'][word];
  // Said of no lamp by name, it is said of whichever it fits best.
  const looks = Object.values(sight.looks);
  return Math.max(RARELY, ...looks.map((look) => SAID[look][word]));
}

function anotherIsLit({ looks }: Sight, right: Sight): boolean {
  return Object.entries(looks).some(([lamp, look]) => look !== 'dark' && right.looks[lamp] === 'dark');
}

/** How well what was seen goes with how a candidate looks, as a logarithm. */
export function lookLikelihood(sight: InSight, right: Sight, seen: readonly SeenLook[]): number {
  return seen
    .flatMap((look) => spoken(look, right))
    .reduce((sum, look) => sum + Math.log(chanceOf(look, sight, right)), 0);
}

/** Where nothing is known of what is wrong, a lamp still looks as planned more often than not, and few words are alarms. */
const UNKNOWN = { asPlanned: 0.6, otherwise: 0.1, alarm: 0.02 } as const;
const ALARMS: ReadonlySet<SeenLook['word']> = new Set([
  'flicker',
  'hot',
  'was-hot',
  'wrong-lamp',
  'other-colour',
]);

/** The same for something else, of which nothing is known. */
export function unknownLikelihood(right: InSight, seen: readonly SeenLook[]): number {
  return seen
    .flatMap((look) => spoken(look, right))
    .reduce((sum, look) => {
      if (isPlacedWord(look.word)) return sum + Math.log(UNKNOWN_PLACED);
      const chance = ALARMS.has(look.word)
        ? UNKNOWN.alarm
        : chanceOf(look, right, right) >= 0.5
          ? UNKNOWN.asPlanned
          : UNKNOWN.otherwise;
      return sum + Math.log(chance);
    }, 0);
}
