import {
  formatFarads,
  formatOhms,
  formatPercent,
  formatQuantity,
  GLANCE,
  type Cause,
  type CauseGroup,
  type Diagnosis,
  type JudgedPoint,
  type ThingKind,
} from '@/core';
import { article, capital, listed } from './grammar';
import { holeName } from './holes';
import { lampName, legName, pinName, thingName } from './names';
import { pointPhrase } from './points';

type Points = readonly JudgedPoint[];
type Named = Pick<Cause, 'code' | 'data' | 'also'>;
type CauseWords = (data: Cause['data'], points: Points) => string;

const thing = ({ kind, part = '' }: Cause['data'], fallback?: ThingKind) => thingName(kind ?? fallback, part);

const CAUSES: Readonly<Record<Cause['code'], CauseWords>> = {
  right: () => 'as planned',
  'knob-elsewhere': ({ part, position = 0 }) => `${part} turned to ${formatPercent(1 - position)} up`,
  'button-open': ({ part }) => `${part} not pressed`,
  'switch-off': ({ part }) => `${part} not switched on`,
  'supply-used': ({ part, volts = 0 }) => `${part} part-used, about ${formatQuantity(volts, 'V', 2)}`,
  'lamp-reversed': ({ part }) => `${part} the wrong way round`,
  'lamp-open': ({ part }) => `${part} burnt out or missing`,
  'lamp-shorted': ({ part }) => `${part} shorted: both legs in one row, or a dead lamp`,
  'other-lamp': ({ part, lamp = '' }) => `${part} is ${article(`${lampName(lamp)} lamp`)}`,
  'other-common': ({ part, other }) => `${part} is a lamp with common ${other ?? 'leg'}`,
  'resistor-missing': ({ part }) => `${part} missing, or a leg of it in no row`,
  'resistor-shorted': ({ part }) => `a wire in the place of ${part}, or both its legs in one row`,
  'wrong-resistor': ({ part, ohms = 0, wantedOhms = 0 }) =>
    `${part} is ${formatOhms(ohms)}, not ${formatOhms(wantedOhms)}`,
  'resistors-exchanged': ({ part, other }) => `${part} and ${other} in each other’s place`,
  'loose-joint': ({ part }) => `a loose leg or a poor joint at ${part}`,
  'zener-reversed': ({ part }) => `${part} the wrong way round`,
  'zeners-exchanged': ({ part, other }) => `${part} and ${other} in each other’s place`,
  'part-missing': (data) => `${thing(data)} missing, or a leg of it in no row`,
  'part-shorted': (data) => `both legs of ${thing(data)} in one row`,
  'part-reversed': ({ part }) => `${part} the wrong way round`,
  'wrong-capacitor': ({ part, farads = 0, wantedFarads = 0 }) =>
    `${part} is ${formatFarads(farads)}, not ${formatFarads(wantedFarads)}`,
  'pins-exchanged': ({ part, kind, pin = '', other = '' }) =>
    `the ${legName(kind, pin)} and the ${legName(kind, other)} of ${part} exchanged`,
  'chip-shifted': ({ part }) => `${part} one row too far down: every pin at its neighbour’s work`,
  'chip-turned': ({ part }) => `${part} turned half round: power off at once`,
  'arms-exchanged': ({ part, other }) => `${part} and ${other} in each other’s arm of the divider`,
  'pin-lead-astray': ({ part = '' }) => `the lead of ${pinName(part)} in another pin of the board`,
  'pin-leads-exchanged': ({ part = '', other = '' }) =>
    `the leads of ${pinName(part)} and ${pinName(other)} exchanged`,
  'pin-leads-shifted': () => 'every lead one pin further than it should be',
  'program-other-pin': ({ part = '' }) => `the program switching another pin than ${pinName(part)}`,
  'pin-no-output': ({ part = '' }) => `${pinName(part)} not made an output by the program`,
  'supply-tired': ({ part }) => `${part} is a tired battery`,
  'supply-reversed': ({ part }) => `the leads of ${part} exchanged`,
  'cell-reversed': ({ part }) => `one cell of ${part} the wrong way round`,
  'lead-off': ({ part, kind, pin = '' }) => `the ${legName(kind, pin)} of ${part} in no row that leads on`,
  'supply-dead': ({ part }) => `${part} flat, missing or off`,
  'bad-contact': ({ part }) => `a bad contact in a lead of ${part}`,
  'supply-limited': ({ part, amps = 0 }) =>
    `${part} holding ${formatQuantity(amps, 'A', 2)}, its current limit`,
  'jumper-missing': ({ part }) => `${part} missing, or an end of it in the wrong row`,
  'rail-gap': ({ part }) => `the two halves of the rail not bridged: ${part} missing`,
  'cut-missing': ({ hole }) => `the strip not cut at ${hole}`,
  bridge: ({ hole = '', other = '' }) =>
    hole === 'p0' ? 'the plus tape touching the minus tape' : `a bridge of solder from ${hole} to ${other}`,
  'legs-touching': ({ hole = '', other = '' }) =>
    `bare legs touching at ${holeName(hole)} and ${holeName(other)}`,
  'tape-torn': ({ hole = '' }) =>
    `the ${hole.startsWith('p') ? 'plus' : 'minus'} tape torn before lane ${hole.slice(1)}`,
  'leg-astray': (data) =>
    `the ${legName(data.kind, data.pin ?? '')} of ${thing(data)} in a wrong hole, as in ${holeName(data.hole ?? '')}`,
  'probes-swapped': ({ point }, points) =>
    point === undefined ? 'probes swapped' : `probes swapped ${onPoint(point, points)}`,
  'volts-through-current-jack': () => 'probe in the meter’s current jack',
  'fuse-blown': () => 'the meter’s fuse is blown',
  'meter-across-lamp': () => 'meter put across the lamp, not in series',
  'something-else': () => 'something else',
};

/** A cause in a few words, with its part, as it stands at the end of a row; two at once are joined. */
export function causeWords(
  { code, data, also }: Pick<Cause, 'code' | 'data' | 'also'>,
  points: Points = [],
): string {
  const first = CAUSES[code](data, points);
  return also ? `${first}, and ${CAUSES[also.code](also.data, points)}` : first;
}

function onPoint(id: string, points: Points): string {
  const point = points.find((one) => one.id === id);
  if (!point) return 'there';
  const phrase = pointPhrase(point);
  return phrase.startsWith('across') ? phrase : `in ${phrase}`;
}

/**
 * The first group as one phrase: what no checkpoint can tell apart stands together.
 *
 * @param begins a line with it
 */
export function likeliestWords(
  diagnosis: Pick<Diagnosis, 'groups'>,
  points: Points = [],
  begins = true,
): string {
  const text = groupWords(diagnosis.groups[0]?.causes ?? [], points);
  return begins ? startOf(text) : text;
}

/** Mistakes by which the loop is open somewhere: no reading tells which, a walk with the probe does. */
const OPENS_LOOP: ReadonlySet<Cause['code']> = new Set([
  'jumper-missing',
  'rail-gap',
  'resistor-missing',
  'lamp-open',
  'part-missing',
  'loose-joint',
  'leg-astray',
  'tape-torn',
  'lead-off',
]);

/** So many different things are named of a group; of the others it is said that there are more. */
const NAMED_MOST = 3;

/** Causes that nothing tells apart, the likeliest first, as one phrase. */
export function groupWords(group: readonly Named[], points: Points): string {
  const causes = withoutDoubles(group);
  const open = openPlaces(causes);
  if (open) return `loop open: ${alternatives(open)}`;
  const words = namesOf(causes, points);
  const more = words.length - NAMED_MOST;
  return [...words.slice(0, NAMED_MOST), ...(more > 0 ? [`${more} more that read alike`] : [])].join(', or ');
}

/** Each of a group by its name; of two things at once, which may be said in many ways, the likeliest. */
function namesOf(causes: readonly Named[], points: Points): string[] {
  const named = causes[0]?.also ? causes.slice(0, 1) : causes;
  return [...new Set(named.map((one) => broadWords(one, points)))];
}

/** Those of a group that its phrase only counts, and where to look first; empty where it names all of them. */
export function restWords({ causes: group }: Pick<CauseGroup, 'causes'>, points: Points = []): string {
  const causes = withoutDoubles(group);
  const rest = openPlaces(causes) ? [] : namesOf(causes, points).slice(NAMED_MOST);
  if (rest.length === 0) return '';
  return `${listed(rest)} read alike too. First ${DO_NEXT[causes[0]!.code](causes[0]!.data)}.`;
}

/** Two things at once, of which one alone reads the same, say nothing more than that one. */
function withoutDoubles(group: readonly Named[]): readonly Named[] {
  const singles = group.filter(({ also }) => !also);
  const known = new Set(singles.map(keyOf));
  return group.filter((cause) => !cause.also || ![cause, cause.also].some((one) => known.has(keyOf(one))));
}

function keyOf({ code, data }: Pick<Cause, 'code' | 'data'>): string {
  return JSON.stringify([code, data]);
}

/** The parts at which a loop may be open, where that is all that a group says of several. */
function openPlaces(causes: readonly Named[]): readonly string[] | undefined {
  if (!causes.every(({ code, also }) => OPENS_LOOP.has(code) && !also)) return undefined;
  const parts = [...new Set(causes.map(({ data }) => data.part ?? ''))];
  return parts.length > 1 && !parts.includes('') ? parts : undefined;
}

function alternatives(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words[words.length - 1]}`;
}

/** Names of parts and holes stay as they are written; words begin with a capital. */
function startOf(text: string): string {
  return /^[a-z][a-z]/u.test(text) ? capital(text) : text;
}

/** Many legs may be the one astray; in a group they are said in one breath. */
function broadWords(cause: Named, points: Points): string {
  if (cause.code === 'leg-astray' && !cause.also) return `a leg of ${thing(cause.data)} in a wrong hole`;
  // Measured where its legs were meant to be, a turned lamp is another group than by its legs.
  return `${causeWords(cause, points)}${cause.data.byRows && !cause.also ? ' (probed by its rows)' : ''}`;
}

/** What to look at or do where measuring tells no more. */
const DO_NEXT: Readonly<Record<Cause['code'], (data: Cause['data']) => string>> = {
  right: () => 'nothing is left to do',
  'button-open': ({ part }) => `hold ${part} pressed and measure again`,
  'switch-off': ({ part }) => `switch ${part} on and measure again`,
  'knob-elsewhere': ({ part }) => `turn ${part} to where the card says and measure again`,
  'supply-used': () => 'note the pack’s volts; nothing is wrong with the build',
  'lamp-reversed': ({ part }) => `turn ${part} round: if it stays dark, swap it`,
  'lamp-open': ({ part }) => `try ${part} by itself on a coin cell`,
  'lamp-shorted': ({ part }) => `look which row each leg of ${part} sits in`,
  'other-lamp': ({ part }) => `look at the colour of ${part}, and swap it for one of the bag`,
  'other-common': ({ part }) => `look which leg of ${part} is the longest, and compare it with the card`,
  'resistor-missing': ({ part }) => `look whether both legs of ${part} reach its rows`,
  'resistor-shorted': ({ part }) => `look which row each leg of ${part} sits in`,
  'wrong-resistor': ({ part }) => `read the bands of ${part}`,
  'resistors-exchanged': ({ part, other }) => `read the bands of ${part} and ${other}`,
  'loose-joint': ({ part }) => `press each leg of ${part} while you look at the lamp`,
  'zener-reversed': ({ part }) => `look where the band of ${part} points`,
  'zeners-exchanged': ({ part, other }) => `read what is printed on ${part} and ${other}`,
  'part-missing': (data) => `look whether every leg of ${thing(data)} reaches its row`,
  'part-shorted': (data) => `look which row each leg of ${thing(data)} sits in`,
  'part-reversed': ({ part }) => `look at the mark on ${part}, and turn it round if it is wrong`,
  'wrong-capacitor': ({ part }) => `read what is printed on ${part}`,
  'pins-exchanged': ({ part }) => `hold ${part} as on the card and count its legs`,
  'chip-shifted': ({ part }) => `count the rows of ${part} from its notch`,
  'chip-turned': ({ part }) => `power off, then look where the notch of ${part} is`,
  'arms-exchanged': ({ part, other }) => `look which of ${part} and ${other} stands towards plus`,
  'pin-lead-astray': ({ part = '' }) => `compare the lead of ${pinName(part)} with the pin table`,
  'pin-leads-exchanged': () => 'compare the leads at the board with the pin table',
  'pin-leads-shifted': () => 'count the pins from ground, and compare with the pin table',
  'program-other-pin': ({ part = '' }) =>
    `read which pin the program sets where it should set ${pinName(part)}`,
  'pin-no-output': () => 'read the first lines of the program: every pin has to be made an output',
  'supply-tired': () => 'try a fresh pack',
  'supply-reversed': ({ part }) => `look which lead of ${part} is red, and where it goes`,
  'cell-reversed': ({ part }) =>
    `look at the marks in the holder of ${part}: one cell lies against the others`,
  'lead-off': ({ part }) => `look where each lead of ${part} goes in`,
  'supply-dead': () => 'try a fresh pack, and its switch',
  'supply-limited': ({ part }) => `turn the current limit of ${part} up to where the card says`,
  'bad-contact': () => 'try a fresh pack',
  'jumper-missing': () => 'compare every wire with the card',
  'rail-gap': () => 'compare every wire with the card',
  'cut-missing': ({ hole }) => `look at the copper side whether ${hole} is cut all the way`,
  bridge: () => 'look at the copper side against the light for a bridge of solder',
  'legs-touching': () => 'look for bare legs that touch, and spread them',
  'tape-torn': () => 'press along the tape: the lamp comes on where it is torn',
  'leg-astray': () => 'compare every leg with the card',
  'probes-swapped': () => 'look which probe is on plus',
  'volts-through-current-jack': () => 'move the red lead back to the volts jack before anything else',
  'fuse-blown': () => 'try the meter on a known current',
  'meter-across-lamp': () => 'open the loop, and put the meter into the gap',
  'something-else': () => 'no single fault shows these figures: read them again, then compare with the card',
};

/** The walk that finds where a loop is open. */
const WALK =
  'black probe on minus, walk the red one from plus along the loop: it is open where the volts stop';

/** What would settle it: the next measurement, or the thing to do when measuring cannot. */
export function nextWords(
  { next, groups = [] }: Partial<Pick<Diagnosis, 'groups' | 'next'>>,
  points: Points,
): string | undefined {
  if (next?.point === GLANCE) return 'next: look at the lamps';
  const point = points.find(({ id }) => id === next?.point);
  if (point) return `next: measure ${pointPhrase(point)}`;
  const causes = withoutDoubles(groups[0]?.causes ?? []);
  const [first] = causes;
  if (!first) return undefined;
  return openPlaces(causes) ? WALK : DO_NEXT[first.code](first.data);
}

/** What a student is told to look at; never what is wrong in so many words. */
export function lookWords({ groups }: Pick<Diagnosis, 'groups'>): string {
  return nextWords({ groups }, []) ?? '';
}
