import type {
  Age,
  BoardChoice,
  Brightness,
  Circuit,
  ControllerId,
  LampType,
  Plan,
  PolarityCue,
  StockSpec,
  Pulses,
  SourceChoice,
  SourceKind,
  SupplyKind,
  ThingKind,
} from '@/core';
import {
  capacitorCode,
  formatFarads,
  formatOhms,
  formatPercent,
  formatQuantity,
  partOf,
  pinNumber,
  SUPPLIES,
  thingOf,
} from '@/core';
import { capital } from './grammar';

export { capital };

/** How things are called in a sentence. */
const THING_NAMES: Readonly<Record<ThingKind, string>> = {
  supply: 'supply',
  resistor: 'resistor',
  potentiometer: 'potentiometer',
  capacitor: 'capacitor',
  inductor: 'coil',
  led: 'lamp',
  rgb: 'three-colour lamp',
  diode: 'diode',
  zener: 'zener',
  transistor: 'transistor',
  timer: 'timer chip',
  ldr: 'light sensor',
  switch: 'button',
  wire: 'jumper',
  speaker: 'speaker',
  pin: 'controller pin',
  signal: 'sound lead',
};

/** A controller’s pin by its number in the program. */
export function pinName(id: string): string {
  const number = pinNumber(id);
  return number === undefined ? id : `pin ${number}`;
}

/** `the lamp D1`; where nobody knows what it is, its name alone. */
export function thingName(kind: ThingKind | undefined, id: string): string {
  if (kind === 'pin') return pinName(id);
  return kind ? `the ${THING_NAMES[kind]} ${id}` : id;
}

/** Names the things of a sentence, by what they are in a circuit. */
export type Naming = (id: string) => string;

/** Where no circuit is at hand, things go by their names alone. */
export const plainNames: Naming = (id) => id;

/** Names for everything in a circuit and the wires of its plan. */
export function namesIn(circuit: Circuit, plan?: Pick<Plan, 'placements'>): Naming {
  return (id) => {
    const own = ownName(circuit, id);
    if (pinNumber(id) !== undefined) return own;
    const part = partOf(circuit, id);
    if (part?.kind === 'switch' && part.params.stays) return `the switch ${id}`;
    return own === id ? thingName(kindIn(circuit, id, plan), id) : `the ${own}`;
  };
}

/** What a part goes by in a list: its name, or for one of several in a house `red of D1`. */
export function ownName(circuit: Circuit, id: string): string {
  const body = partOf(circuit, id)?.body;
  if (pinNumber(id) !== undefined) return pinName(id);
  if (body?.id === id) return id;
  const leg = body && Object.values(body.legs).find((name) => name !== 'common');
  return leg ? `${leg} of ${body.id}` : id;
}

/** What a thing of a circuit is; a part from the store is what its placement says. */
export function kindIn(circuit: Circuit, id: string, plan?: Pick<Plan, 'placements'>): ThingKind | undefined {
  const own = thingOf(circuit, id)?.kind ?? partOf(circuit, id)?.kind;
  if (own) return own;
  const placed = plan?.placements.find(({ part }) => part === id);
  return placed?.kind === 'jumper' ? 'wire' : placed?.standIn?.kind;
}

const PIN_NAMES: Readonly<Record<string, string>> = {
  anode: 'long leg',
  cathode: 'short leg',
  common: 'longest leg',
  red: 'red leg',
  green: 'green leg',
  blue: 'blue leg',
  wiper: 'middle leg',
  plus: 'red lead',
  minus: 'black lead',
  left: 'white wire',
  right: 'red wire',
  shield: 'bare wire',
};

/** Pins of a chip and a transistor go by their own names. */
const NAMED_PINS: ReadonlySet<ThingKind> = new Set(['timer', 'transistor']);

/** How a leg of a thing is called. */
export function legName(kind: ThingKind | undefined, pin: string): string {
  if (kind === 'zener' || kind === 'diode') return pin === 'cathode' ? 'banded end' : 'plain end';
  if (kind === 'wire') return 'end';
  if (kind === 'potentiometer' && pin !== 'wiper') return pin === 'a' ? 'first leg' : 'last leg';
  if (kind === 'timer') return `pin ${TIMER_PINS.findIndex((name) => name === pin) + 1} (${pin})`;
  if (pin.startsWith('pin ')) return `lead of ${pin}`;
  if (kind === 'pin') return pin === 'pin' ? 'lead' : 'ground of the board';
  if (kind && NAMED_PINS.has(kind)) return `${pin} pin`;
  return PIN_NAMES[pin] ?? 'leg';
}

/** The timer's pins by number, as they are counted around the chip from its notch. */
export const TIMER_PINS = [
  'ground',
  'trigger',
  'output',
  'reset',
  'control',
  'threshold',
  'discharge',
  'supply',
] as const;

const LAMP_NAMES: Readonly<Record<LampType, string>> = {
  infrared: 'infrared',
  red: 'red',
  orange: 'orange',
  yellow: 'yellow',
  'yellow-green': 'yellow-green (older type)',
  green: 'green (bright type)',
  blue: 'blue',
  white: 'white',
  violet: 'violet',
};

export function lampName(type: string): string {
  return LAMP_NAMES[type as LampType] ?? type;
}

export const SUPPLY_NAMES: Readonly<Record<SourceKind, { one: string; many: string }>> = {
  'aa-alkaline': { one: 'AA cell', many: 'AA cells' },
  'aaa-alkaline': { one: 'AAA cell', many: 'AAA cells' },
  'aa-nimh': { one: 'rechargeable AA cell', many: 'rechargeable AA cells' },
  'block-9v': { one: '9 V block', many: '9 V blocks' },
  'coin-20mm': { one: '20 mm coin cell', many: '20 mm coin cells' },
  usb: { one: 'USB port', many: 'USB ports' },
  'rail-5v': { one: 'controller’s 5 V rail', many: 'controller’s 5 V rails' },
  'rail-3v3': { one: 'controller’s 3.3 V rail', many: 'controller’s 3.3 V rails' },
  'lead-acid-12v': { one: '12 V lead-acid battery', many: '12 V lead-acid batteries' },
  bench: { one: 'bench supply', many: 'bench supplies' },
  booster: { one: 'booster', many: 'boosters' },
};

export const CONTROLLER_NAMES: Readonly<Record<ControllerId, string>> = {
  'five-volt': '5 V controller',
  'three-volt': '3.3 V controller',
};

export function supplyName(choice: SourceChoice): string {
  const names = SUPPLY_NAMES[choice.kind];
  if (choice.pulses) return boosterName(choice, choice.pulses);
  if (choice.kind === 'bench') return `bench supply at ${formatQuantity(choice.volts ?? 5, 'V')}`;
  const cells = SUPPLIES[choice.kind].cellsMost > 1 ? choice.cells : 1;
  const name = cells === 1 ? `one ${names.one}` : `${cells} ${names.many}`;
  if (choice.measured) return `${name}, measured ${formatQuantity(choice.measured.volts, 'V')}`;
  return SUPPLIES[choice.kind].style === 'cell' ? `${name}, ${choice.age}` : name;
}

function boosterName({ volts }: SourceChoice, { hertz, duty }: Pulses): string {
  return `booster, pulses of ${formatQuantity(volts ?? 5, 'V')} for ${formatPercent(duty)} of the time, ${formatQuantity(hertz, 'Hz')}`;
}

/** What a supply is called at one of its ages: the one that was measured is none of the table's. */
export function ageName(age: Age, { age: own, measured }: Pick<SourceChoice, 'age' | 'measured'>): string {
  return measured && age === own ? 'measured' : AGE_NAMES[age];
}

export const AGE_NAMES: Readonly<Record<Age, string>> = {
  fresh: 'fresh',
  nominal: 'as labelled',
  tired: 'tired',
};

export const CUE_WORDS: Readonly<Record<PolarityCue, string>> = {
  'long-leg': 'long leg',
  'flat-edge': 'short leg, on the flat edge of the rim',
  'band-end': 'end with the band',
  'stripe-minus': 'leg beside the stripe',
  'plus-face': 'face marked +',
  'red-wire': 'red lead',
  'white-wire': 'white wire',
  'bare-wire': 'bare wire of the shield',
  'black-wire': 'black lead',
  'notch-end': 'pin 1, at the notch',
  'flat-face': 'flat face towards you',
  'longest-leg': 'longest leg',
  'beside-the-longest': 'told by its place beside the longest leg',
  none: 'either leg',
};

export const BRIGHTNESS_WORDS: Readonly<Record<Brightness, string>> = {
  dark: 'dark',
  barely: 'barely glowing',
  dim: 'dim',
  fair: 'fairly bright',
  bright: 'bright',
  'at its limit': 'at its limit',
  'shortened life': 'too bright, wearing out',
  'expected to fail': 'expected to fail',
};

/** How a lamp looks; what cannot be seen is never called bright. */
export function looksWords(brightness: Brightness, type?: string): string {
  if (type !== 'infrared') return BRIGHTNESS_WORDS[brightness];
  if (brightness === 'dark') return 'off';
  const over =
    brightness === 'shortened life' || brightness === 'expected to fail' || brightness === 'at its limit';
  return over ? `unseen, ${BRIGHTNESS_WORDS[brightness].replace('too bright, ', '')}` : 'on, unseen';
}

/** Supplies that come with a lead of their own, and what holds the others. */
const HELD_BY: Readonly<Partial<Record<SupplyKind, string>>> = {
  'block-9v': 'clip with leads for a 9 V block',
  'coin-20mm': 'closed holder with leads for a coin cell',
};
const LED_BY: Readonly<Partial<Record<SourceKind, string>>> = {
  usb: 'USB lead with bare ends',
  bench: 'bench supply',
  'lead-acid-12v': '12 V lead-acid battery',
  booster: 'booster with leads, from a cell to pulses',
};

type StockWords = { readonly [K in StockSpec['kind']]: (spec: Extract<StockSpec, { kind: K }>) => string };
const STOCK_WORDS: StockWords = {
  resistor: ({ ohms }) => `resistor ${formatOhms(ohms)}`,
  led: ({ lamp, inside }) =>
    `lamp, ${lampName(lamp)}${inside === undefined ? '' : `, with ${formatOhms(inside)} inside`}`,
  cell: ({ supply }) => SUPPLY_NAMES[supply].one,
  holder: ({ supply, cells }) =>
    (cells === 1 ? HELD_BY[supply] : undefined) ??
    `holder with leads for ${cells} × ${SUPPLY_NAMES[supply].one}`,
  supply: ({ supply }) => LED_BY[supply] ?? `two leads to the ${SUPPLY_NAMES[supply].one}`,
  jumper: () => 'jumper wire',
  board: ({ board }) => BOARD_NAMES[board],
  potentiometer: ({ ohms }) => `potentiometer ${formatOhms(ohms)}`,
  zener: ({ volts }) => `zener ${formatQuantity(volts, 'V')}`,
  button: () => 'push button',
  'slide-switch': () => 'slide switch',
  'rgb-lamp': ({ common }) => `three-colour lamp, common ${common}`,
  'tinned-wire': () => 'tinned wire, pieces',
  tape: () => 'copper tape, pieces',
  capacitor: ({ polarised, farads }) =>
    polarised
      ? `electrolytic capacitor ${formatFarads(farads)}`
      : `ceramic or film capacitor ${formatFarads(farads)} (${capacitorCode(farads)})`,
  inductor: ({ henries }) => `coil ${formatQuantity(henries, 'H')}`,
  diode: () => 'diode',
  transistor: ({ polarity }) => `transistor, ${polarity.toUpperCase()}`,
  timer: ({ family }) => `timer chip, ${family === 'cmos' ? 'CMOS' : 'bipolar'}`,
  'light-sensor': () => 'light sensor',
  'sound-lead': () => 'sound lead, plug to three bare ends',
  speaker: ({ ohms }) => `speaker ${formatOhms(ohms)}`,
  controller: ({ controller }) => `${CONTROLLER_NAMES[controller]} with its cable`,
  'clip-lead': () => 'clip lead',
  fuse: () => 'fuse in a lead, 1 A',
  iron: () => 'soldering iron with stand',
  thing: ({ name }) => name,
};

export function stockName(spec: StockSpec): string {
  // Each kind has its own words; TypeScript cannot see through the union that they belong together.
  return (STOCK_WORDS[spec.kind] as (spec: StockSpec) => string)(spec);
}

export const BOARD_NAMES: Readonly<Record<BoardChoice, string>> = {
  mini: 'mini breadboard, 17 rows, no rails',
  'mini-pair': 'two mini breadboards, end to end',
  half: 'half-size breadboard',
  full: 'full-size breadboard',
  'full-split': 'full-size breadboard, rails split',
  strip: 'stripboard, 24 strips of 40 holes',
  'strip-large': 'large stripboard, 40 strips of 64 holes',
  pad: 'pad board, 24 by 40 holes',
  'pad-large': 'large pad board, 40 by 64 holes',
  card: 'copper tape on card',
};

/** The same in two words, for narrow places. */
export const BOARD_SHORT: Readonly<Record<BoardChoice, string>> = {
  mini: 'mini board',
  'mini-pair': 'two mini boards',
  half: 'half board',
  full: 'full board',
  'full-split': 'full board, split rails',
  strip: 'stripboard',
  'strip-large': 'large stripboard',
  pad: 'pad board',
  'pad-large': 'large pad board',
  card: 'tape on card',
};
