import {
  formatEntered,
  formatPercent,
  isKind,
  isScene,
  formatQuantity,
  pinNumber,
  sideOf,
  type Checkpoint,
  type Circuit,
  type Held,
  type JudgedPoint,
  type ThingKind,
} from '@/core';
import { SCENE_SHORT, SCENE_WORDS } from './light';
import { listed } from './grammar';
import { legName, pinName } from './names';
import { toneWords } from './sound';

/** What a checkpoint is called by. */
export type NamedPoint = Pick<Checkpoint, 'part' | 'kind' | 'measure'> &
  Partial<Pick<Checkpoint, 'held'>> & {
    readonly from?: { readonly pin: string };
    readonly by?: 'high' | 'low';
  };

/** What a circuit is fed from. */
const FED_BY: ReadonlySet<ThingKind> = new Set(['supply', 'signal']);

/** A checkpoint as a column's head and in a sentence. */
export function pointName(point: NamedPoint): string {
  const light = Object.values(point.held ?? {}).find(isScene);
  const tone = toneOf(point.held);
  if (tone !== undefined) return tonedName(point, tone);
  const name = `${plainName(point)}${turnOf(point)}`;
  // Of what the beam shines on both readings are taken; everything else is measured while it is cut.
  if (point.kind === 'ldr' && Object.values(point.held ?? {}).includes('cut')) return `${name} (beam cut)`;
  return light ? `${name.replace(' under load', '')} (${SCENE_SHORT[light]})` : name;
}

/** Which of the two values it is that a meter shows by turns. */
function turnOf({ by, kind }: NamedPoint): string {
  if (!by) return '';
  if (kind === 'resistor' || kind === 'led') return by === 'high' ? ', lit' : ', dark';
  return by === 'high' ? ', high' : ', low';
}

/** The same where the probes are told. */
function turnsWords({ by, kind }: Pick<NamedPoint, 'by' | 'kind'>): string {
  if (!by) return '';
  const lamp = kind === 'resistor' || kind === 'led';
  return `; it shows two values by turns: note the ${by === 'high' ? 'higher' : 'lower'}${lamp ? `, while its lamp is ${by === 'high' ? 'lit' : 'dark'}` : ''}`;
}

/** The tone that is played while one reads; 0 in silence. */
function toneOf(held: Held | undefined): number | undefined {
  const [, hertz] = Object.entries(held ?? {}).find(([part]) => sideOf(part)) ?? [];
  return typeof hertz === 'number' ? hertz : undefined;
}

function tonedName(point: NamedPoint, tone: number): string {
  const name = plainName(point).replace(' under load', '');
  return `${name} (${tone > 0 ? formatQuantity(tone, 'Hz', 2) : 'silence'})`;
}

function plainName({ part, kind, measure, held, from }: NamedPoint): string {
  switch (measure) {
    case 'volts':
    case 'meanVolts':
      return voltsName({ part, kind, held, from });
    case 'amps':
    case 'meanAmps':
      return FED_BY.has(kind) ? 'current' : `current of ${part}`;
    case 'hertz':
      return kind === 'speaker' ? `pitch of ${part}` : `flashes of ${part}`;
    case 'seconds':
      return `light of ${part}`;
    case 'look':
      return `how ${part} looks`;
  }
}

function voltsName({ part, kind, held, from }: Omit<NamedPoint, 'measure'>): string {
  if (kind === 'transistor' && from?.pin === 'base') return `base of ${part}`;
  if (kind === 'timer') return `output of ${part}`;
  if (kind === 'signal') return `mean of ${part}`;
  if (kind === 'pin') return pinPointName(part, held);
  return kind === 'supply' ? 'pack under load' : `across ${part}`;
}

/** A pin by the level at which it is read. */
function pinPointName(part: string, held: Held | undefined): string {
  const share = held?.[part];
  const level = share === 1 ? ', high' : share === 0 ? ', low' : '';
  return `${pinName(part)}${level}`;
}

/** The same after a verb: `across R1`, `the current`. */
export function pointPhrase(point: NamedPoint): string {
  const name = pointName(point);
  return name.startsWith('across') || point.kind === 'pin' ? name : `the ${name}`;
}

/** Where the probes go, in words: the red one first. */
export function probeWords(point: Ranged): string {
  const where = placeWords(point);
  const held = heldWords(point.held);
  return held ? `${held}: ${where}` : where;
}

/** A checkpoint with the ranges that a current may be read on there, and the largest figure of a right build. */
type Ranged = Checkpoint & Partial<Pick<JudgedPoint, 'ranges' | 'usual'>>;

/** From this share of its end on a range may show an overload at a right build. */
const NEARLY_FULL = 0.95;

/** The range that a current is read on, and the next where that overflows. */
function rangeWords({ ranges: [range, beside] = [], usual = 0 }: Ranged): string {
  if (range === undefined) return '';
  const next =
    beside !== undefined && beside > range && usual > NEARLY_FULL * range
      ? ` (${formatEntered(beside, 'A')} where that overflows)`
      : '';
  return ` on its ${formatEntered(range, 'A')} range${next}`;
}

function placeWords(point: Ranged): string {
  switch (point.measure) {
    case 'volts':
    case 'meanVolts':
      return `${probed(point.part, point.kind, point.from.pin, point.to.pin)}${point.measure === 'meanVolts' && !FED_BY.has(point.kind) && point.kind !== 'ldr' ? '; the mean while it comes and goes' : ''}${turnsWords(point)}`;
    case 'amps':
    case 'meanAmps':
      // Not every supply has leads: a coin cell lies between its tapes, a port has a plug.
      if (FED_BY.has(point.kind))
        return `open the loop at the plus of ${point.gap.part} and put the meter${rangeWords(point)} into the gap${turnsWords(point)}`;
      return `lift the ${legName(point.kind, point.gap.pin)} of ${point.gap.part} and put the meter${rangeWords(point)} between it and its hole${turnsWords(point)}`;
    case 'hertz':
      return point.kind === 'speaker'
        ? 'set a reference tone beside it until the beats stop, or type silent'
        : point.pauses
          ? 'it pauses: within one burst count the flashes after the first, and time them from the first to the last; 4 in 1.6 s is typed 4/1.6'
          : 'count how often it comes on in ten seconds and type 7/10, or time ten flashes and type 10/15.2';
    case 'seconds':
      return 'by stopwatch, from coming on to going out';
    case 'look':
      return 'look at it from above, out of the light';
  }
}

/** Legs that are told apart say which probe goes where; others may be touched either way. */
function probed(part: string, kind: ThingKind, from: string, to: string): string {
  if (kind === 'resistor' || kind === 'ldr' || kind === 'capacitor')
    return `one probe on each leg of ${part}`;
  if (kind === 'signal') return `from plus to minus of ${part}, with everything on: the mean of its pulses`;
  if (kind === 'pin') return `red probe on the lead of ${pinName(part)}, black on the lead of ground`;
  if (kind === 'supply') return 'from plus to minus of the supply, with everything on';
  const [red, black] = [legName(kind, from), legName(kind, to)];
  // Legs without a name of their own are told apart by number.
  if (red === black) return `red probe on leg 1 of ${part}, black on leg 2`;
  return `red probe on the ${red} of ${part}, black on the ${black}`;
}

/** What is pressed or turned for it: `hold S1, P1 half way`. */
export function heldWords(held: Held | undefined): string {
  const pins = Object.entries(held ?? {}).filter(([part]) => pinNumber(part) !== undefined);
  const others = Object.entries(held ?? {}).filter(
    ([part]) => pinNumber(part) === undefined && !sideOf(part),
  );
  const tone = toneOf(held);
  const words = others.map(([part, state]) => {
    if (typeof state === 'number') return `${part} ${turnWords(state)}`;
    if (state === 'pressed') return `press ${part} once`;
    if (state === 'on') return `switch ${part} on`;
    if (state === 'cut') return `hold a hand into the beam of ${part}`;
    if (isScene(state)) return `${part} ${SCENE_WORDS[state]}`;
    return state === 'closed' ? `hold ${part} pressed` : `leave ${part} alone`;
  });
  const played =
    tone === undefined ? [] : [tone > 0 ? `play ${toneWords(tone)} on both sides` : 'in silence'];
  return [...(pins.length > 0 ? [pinsWords(pins)] : []), ...played, ...words].join(', ');
}

/** Pins as a row of the program for measuring leaves them: `…, while pin 9 is high, pins 10 and 11 low`. */
function pinsWords(pins: readonly (readonly [string, Held[string]])[]): string {
  const levels = new Map<string, number[]>();
  for (const [part, share] of pins) {
    const level =
      share === 1 ? 'high' : share === 0 ? 'low' : `high for ${formatPercent(Number(share))} of the time`;
    levels.set(level, [...(levels.get(level) ?? []), pinNumber(part)!]);
  }
  const order = [...levels].sort(([, a], [, b]) => a.length - b.length);
  const said = order.map(([level, numbers], i) => {
    const many = numbers.length > 1;
    return `${many ? 'pins' : 'pin'} ${listed(numbers.map(String))}${i === 0 ? (many ? ' are' : ' is') : ''} ${level}`;
  });
  return `the program for measuring, while ${said.join(', ')}`;
}

/** Where the knobs of a circuit stand; nothing where there is none. */
export function knobWords({ parts }: Circuit): string {
  return parts
    .flatMap((part) =>
      isKind(part, 'potentiometer') ? [`${part.id} ${turnWords(part.params.position)}`] : [],
    )
    .join(', ');
}

/** Where a knob stands, from all of its ohms out to all of them in. */
export function turnWords(position: number): string {
  if (position <= 0.02) return 'turned fully up';
  if (position >= 0.98) return 'turned fully down';
  if (Math.abs(position - 0.5) < 0.02) return 'half way';
  return `${formatPercent(1 - position)} up`;
}
