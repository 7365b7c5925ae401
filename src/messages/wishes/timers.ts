import { TIMER_FAMILIES, type TimerFamily } from '@/core';
import { listed } from './sentence';
import { slotsOf } from './slots';

const FAMILY_NAMES: Readonly<Record<TimerFamily, string>> = { bipolar: 'bipolar', cmos: 'CMOS' };

type TimerLesson = 'blink' | 'blink-simple' | 'one-shot' | 'alternate' | 'chain' | 'tone' | 'beam-alarm';

/** The slots of a timer lesson, and the clause that all of them end with: supply, chip, small capacitors, values. */
function timerSlots<Id extends TimerLesson>(id: Id, chips = 'chip') {
  // One clause serves them all: each has these wishes at the same paths, which TypeScript cannot see through the union.
  const slots = slotsOf(id as 'blink');
  const family = slots.choice(
    'family',
    'Family of the chip',
    TIMER_FAMILIES.map((name) => [name, FAMILY_NAMES[name]] as const),
  );
  const quiet = slots.either('quiet', 'Small capacitors', [
    ['without', 'bare'],
    ['with', 'kept quiet by two small capacitors each'],
  ]);
  const clause = slots.say`, from ${slots.supply}, with ${chips === 'chip' ? 'a ' : ''}${family} ${chips}, ${quiet}, ${slots.values}.`;
  return { ...slotsOf(id), onChips: clause as unknown as ReturnType<ReturnType<typeof slotsOf<Id>>['say']> };
}

const b = timerSlots('blink');
export const blink = b.say`Let one ${b.lamp('lamp')} lamp be lit for ${b.seconds('on', 'Lit for')} and dark for ${b.seconds('off', 'Dark for')}, at about ${b.amps('amps')}${b.onChips}`;

const s = timerSlots('blink-simple');
const secondLamp = s.say` ${s.lamp('second', 'Colour of the second lamp')} one`;
export const blinkSimple = s.say`Let one ${s.lamp('lamp')} lamp blink, ${s.pick(
  'Second lamp',
  ({ second }) => (second === undefined ? 'alone' : 'in turn'),
  [
    ['alone', 'alone'],
    ['in turn', 'in turn with a second'],
  ],
  (params, key) => s.set(params, 'second', key === 'alone' ? undefined : 'green'),
)}${s.when(({ second }) => second !== undefined, secondLamp)}, once round in ${s.seconds('seconds', 'Once round in')}, at about ${s.amps('amps')}${s.onChips}`;

const o = timerSlots('one-shot');
export const oneShot = o.say`One press, and one ${o.lamp('lamp')} lamp is lit for ${o.seconds('seconds', 'Lit for')}, at about ${o.amps('amps')}${o.onChips}`;

const a = timerSlots('alternate', 'chips');
export const alternate = a.say`Let ${a.count('flashes', 'Flashes of a burst', 'Lesson', 'number of flashes')} flashes of ${a.lamp('lamps.0', 'First colour')} follow as many of ${a.lamp('lamps.1', 'Second colour')}, ${a.seconds('flash', 'From flash to flash')} from flash to flash, at about ${a.amps('amps')}${a.onChips}`;

const c = timerSlots('chain', 'chips');
const turns = (['first', 'second', 'third'] as const).map(
  (turn, i) =>
    c.say`${c.lamp(`lamps.${i}`, `The ${turn} lamp`)} for ${c.seconds(`seconds.${i}`, `Seconds of the ${turn}`)}`,
);
export const chain = c.say`In turn: ${listed(turns)}, over and over, at about ${c.amps('amps')}${c.onChips}`;

/** A tone near a pitch, from a speaker and a chip; whether it shall `sound`, or `sounds` on its own terms. */
function soundOf<Id extends 'tone' | 'beam-alarm'>(id: Id, verb: 'sound' | 'sounds') {
  const t = timerSlots(id as 'tone');
  const clause = t.say`a tone near ${t.figure('hertz', 'Pitch', 'A pitch', 'Hz', 7)} ${verb}, with about ${t.amps('amps', 'Current of the speaker')} in the speaker${t.onChips}`;
  return clause as unknown as ReturnType<ReturnType<typeof slotsOf<Id>>['say']>;
}

export const tone = slotsOf('tone').say`Let ${soundOf('tone', 'sound')}`;
/** What the alarm does when its beam is cut. */
export const alarmSounds = soundOf('beam-alarm', 'sounds');
