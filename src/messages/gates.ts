import {
  boardOf,
  buildType,
  formatQuantity,
  sideOf,
  type Bursts,
  type Gate,
  type GateReading,
  type Sheet,
  type Step,
} from '@/core';
import { familyWords } from './families';
import { burstWords, everyWords } from './often';
import { capital, listed } from './grammar';
import { holeName } from './holes';
import { looksWords, ownName } from './names';
import { heldWords } from './points';
import { turnsWords } from './measuring';
import { listWords, type StepWords } from './stepWords';

type Of<A extends Step['action']> = Extract<Step, { action: A }>;

/** Legs that a student reads through before power; of larger builds the card itself is the list. */
const LISTED_MOST = 14;

/** The two gates every card has: a look before power, and a measurement after it. */
export function gateWords(step: Of<'gate'>, sheet: Sheet): StepWords {
  return step.at === 'before-power' ? beforePower(sheet) : afterPower(step.gate, sheet);
}

function beforePower(sheet: Sheet): StepWords {
  const build = buildType(boardOf(sheet.plan));
  const pieces = sheet.steps.flatMap((s) =>
    s.action === 'place-part' || s.action === 'place-jumper'
      ? [`${s.part} ${legsWords(s.legs.map((l) => holeName(l.hole)))}`]
      : [],
  );
  const list =
    pieces.length > 0 && pieces.length <= LISTED_MOST
      ? `Read every leg against the card: ${pieces.join('; ')}.`
      : 'Read every leg against the card, part by part.';
  if (build === 'taped') {
    return {
      title: 'Stop: look before the cell goes in.',
      detail:
        'The plus tape and the minus tape touch nowhere. Every lamp’s long leg lies on the plus side. Press every joint of tape flat with a fingernail.',
      cue: 'Long legs on the plus side?',
      why: 'Tapes that touch short the cell: it gets hot.',
    };
  }
  return {
    title: 'Stop: look before power.',
    detail: `${list} No two legs of one part in one ${build === 'plugged' ? 'row' : 'strip'}.`,
    cue: cueBefore(sheet),
    why: 'A mistake found now costs nothing.',
  };
}

/** Which end of the lamps looks to plus: of a three-colour lamp it is its common leg that counts. */
function cueBefore({ circuit }: Sheet): string {
  const house = circuit.parts.find((part) => part.kind === 'led' && part.body !== undefined);
  if (!house?.body) return 'Lamp’s long leg on the plus side?';
  const end = house.body.legs['cathode'] === 'common' ? 'minus' : 'plus';
  return `The longest leg towards ${end}?`;
}

function afterPower(gate: Gate, sheet: Sheet): StepWords {
  return {
    title: 'Stop: is it right?',
    detail: [
      holdWords(gate),
      heardWords(sheet) ?? seenWords(gate, sheet),
      ...gate.swings.map(swingWords),
      ...gate.readings.map(readingWords),
      pressWords(sheet),
      familyWords(sheet.sums.own).alsoTry?.(sheet.sums.own, sheet),
    ]
      .filter(Boolean)
      .join(' '),
    cue: 'Lit is not enough: measure.',
    why: 'A lamp with too much current lights as well, and wears out.',
  };
}

/** Of a build that a program drives: which lamps light in which order, for as long as it is measured. */
function programSeen({ turns }: Gate, sheet: Sheet): string | undefined {
  const { measuring } = sheet;
  return measuring && turns && `The program for measuring lights ${turnsWords(turns, measuring, sheet)}.`;
}

/** Of a build that sounds: what is heard. */
function heardWords({ built, circuit }: Sheet): string | undefined {
  // As the board that is laid out makes it: it may be another than the one that is wanted.
  for (const { code, data } of built.findings) {
    const hertz = 'hertz' in data && typeof data.hertz === 'number' ? data.hertz : 0;
    const tone = `A tone of about ${formatQuantity(hertz, 'Hz', 2)} is heard`;
    if (code === 'sounds') return `${tone}, all the time.`;
    if (code === 'sound-waits') return `${tone}; take the hand away, and it is silent.`;
    if (code === 'stays-silent') return 'Nothing is heard.';
  }
  return circuit.parts.some(({ kind }) => kind === 'speaker') ? 'Nothing is heard.' : undefined;
}

/** Of a build that waits for its button: how long one press lights it. */
function pressWords({ started, expected }: Sheet): string {
  const light = started && expected.points.find(({ point }) => point.measure === 'seconds');
  if (!light) return '';
  const button = Object.keys(started)[0]!;
  return `Let go, and press ${button} once: ${light.point.part} stays lit for ${formatQuantity(light.low, 's', 2)} to ${formatQuantity(light.high, 's', 2)}.`;
}

/** What is pressed and turned while one looks. */
export function holdWords({ held }: Gate): string {
  const words = heldWords(held);
  const turned = Object.entries(held).some(([part, state]) => typeof state === 'number' && !sideOf(part));
  if (!words) return '';
  return turned ? `Set ${words}.` : `${capital(words)}.`;
}

/** Which lamps light, which may glow, and that the others stay dark. */
export function seenWords(gate: Gate, sheet: Sheet): string {
  const { lit, may } = gate;
  const all = sheet.sums.design.lamps;
  const infrared = all.filter(({ part, type }) => type === 'infrared' && lit.includes(part));
  const shown = lit.filter((part) => !infrared.some((lamp) => lamp.part === part));
  return [
    shown.length > 0 && (programSeen(gate, sheet) ?? `${litWords(gate, shown, sheet)}.`),
    infrared.length > 0 &&
      `${listWords(infrared.map(({ part }) => part))}: infrared is not seen; look through a phone’s camera.`,
    may.length > 0 &&
      `${listWords(may.map((id) => ownName(sheet.circuit, id)))} ${may.length === 1 ? 'glows' : 'glow'} so faintly that you may not see it.`,
    lit.length + may.length === 0 && 'Nothing lights yet.',
    darkWords(gate, sheet),
  ]
    .filter(Boolean)
    .join(' ');
}

/** Lamps of the finished build that look alike are told of together. */
function litWords(gate: Gate, lit: readonly string[], sheet: Sheet): string {
  const all = sheet.sums.design.lamps;
  const own = all.filter(({ part }) => lit.includes(part));
  // As they look at this gate, with its knobs turned and its buttons held, not as the lesson ends.
  const looks = [
    ...new Set(own.map(({ part, brightness, type }) => looksWords(gate.looks[part] ?? brightness, type))),
  ];
  const blinks = lit.filter((id) => gate.blinks[id] !== undefined);
  if (blinks.length > 0) return blinkWords(gate, lit, blinks, sheet);
  const verb = lit.length === 1 ? 'lights' : 'light';
  if (lit.length === all.length && looks.length === 1 && all.length > 1)
    return `${all.length === 2 ? 'Both' : `All ${all.length}`} lamps are ${looks[0]}`;
  if (all.length === 1 && looks.length === 1) return `The lamp is ${looks[0]}`;
  return `${listWords(lit.map((id) => ownName(sheet.circuit, id)))} ${verb}`;
}

/** What each of some lamps that are lit does: blinks at its rate, or stays lit. */
export function blinksOf(gate: Gate, lit: readonly string[], sheet: Sheet): string {
  return blinkWords(
    gate,
    lit,
    lit.filter((id) => gate.blinks[id] !== undefined),
    sheet,
  );
}

/** Lamps that blink, each with its rate, and those that stay lit beside them. */
function blinkWords(
  { blinks, bursts }: Gate,
  lit: readonly string[],
  blinking: readonly string[],
  { circuit }: Sheet,
): string {
  const rates = new Map<string, string[]>();
  for (const id of blinking) {
    const burst = bursts?.[id];
    const often = burst
      ? `${burstWords(burst)}, ${everyWords(blinks[id]!)} within one`
      : everyWords(blinks[id]!);
    rates.set(often, [...(rates.get(often) ?? []), ownName(circuit, id)]);
  }
  const said = [...rates].map(
    ([often, ids]) => `${listWords(ids)} ${ids.length === 1 ? 'blinks' : 'blink'}, ${often}`,
  );
  const steady = lit.filter((id) => !blinking.includes(id)).map((id) => ownName(circuit, id));
  return [
    ...said,
    ...(steady.length > 0 ? [`${listWords(steady)} ${steady.length === 1 ? 'stays' : 'stay'} lit`] : []),
  ].join('; ');
}

/** What a probe at a chip's output shows. */
export function swingWords({ chip, low, high, mean, heard, period }: Gate['swings'][number]): string {
  const v = (volts: number) => formatQuantity(volts, 'V', 2);
  const tone = heard === undefined ? '' : ` A tone of about ${formatQuantity(heard, 'Hz', 2)} is heard.`;
  if (mean !== undefined)
    return `Pin 3 of ${chip} goes up and down faster than a meter follows: it shows about ${v(mean)} there.${tone}`;
  return `Pin 3 of ${chip} goes up and down between ${v(low)} and ${v(high)}, ${everyWords(1 / period)}.`;
}

/** A lamp that is on the board by now and does not light is said to stay dark, so that nobody looks for a fault. */
function darkWords({ lit, may, held }: Gate, sheet: Sheet): string {
  if (Object.values(held).includes('open')) return '';
  const later = sheet.sums.design.lamps.filter(
    ({ part, brightness }) => brightness === 'dark' && !lit.includes(part) && !may.includes(part),
  );
  return later.length > 0 && lit.length > 0
    ? `${listWords(later.map(({ part }) => ownName(sheet.circuit, part)))} ${later.length === 1 ? 'stays' : 'stay'} dark, as the lesson wants it.`
    : '';
}

/** Within a burst there is one pause less than there are flashes: from the first to the last of them is timed. */
function burstTimed(part: string, low: number, high: number, { flashes }: Bursts): string {
  const after = Math.max(1, Math.round(flashes) - 1);
  const seconds = (hertz: number) => formatQuantity(after / hertz, 's', 2);
  return `Within a burst of ${part}, the ${after === 1 ? 'flash' : `${after} flashes`} after the first take${after === 1 ? 's' : ''} ${seconds(high)} to ${seconds(low)}.`;
}

export function readingWords({ part, measure, low, high, bursts, during = [] }: GateReading): string {
  if (measure === 'amps')
    return `This batch by itself adds ${formatQuantity(low, 'A', 2)} to ${formatQuantity(high, 'A', 2)} to the supply’s current.`;
  if (measure === 'hertz') {
    if (!(high > low)) return '';
    if (bursts) return burstTimed(part, low, high, bursts);
    const ten = (hertz: number) => formatQuantity(10 / hertz, 's', 2);
    return `Ten flashes of ${part} take ${ten(high)} to ${ten(low)}.`;
  }
  const band =
    high > low
      ? `${formatQuantity(low, 'V', 3)} to ${formatQuantity(high, 'V', 3)}`
      : `about ${formatQuantity(low, 'V', 2)}`;
  const mean = measure === 'meanVolts' ? ', the mean while it comes and goes' : '';
  const lit =
    during.length > 0
      ? `While ${listWords(during)} ${during.length === 1 ? 'is' : 'are'} lit, across`
      : 'Across';
  return `${lit} ${part} the meter reads ${band}${mean}.`;
}

/** From hole to hole, or all of them where a thing has more than two legs. */
function legsWords(holes: readonly string[]): string {
  return holes.length === 2 ? holes.join(' to ') : listed(holes);
}
