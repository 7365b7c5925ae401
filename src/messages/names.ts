import type {
  Age,
  BoardChoice,
  Brightness,
  LampType,
  PolarityCue,
  StockSpec,
  SupplyChoice,
  SupplyKind,
} from '@/core';
import { formatOhms, formatQuantity, SUPPLIES } from '@/core';

const KIND_NAMES: Readonly<Record<string, string>> = {
  D: 'lamp',
  R: 'resistor',
  B: 'supply',
  W: 'jumper',
  P: 'potentiometer',
  Z: 'zener',
  S: 'button',
};

/** How the parts of a lesson are called in a sentence. */
export function partName(part: string): string {
  const kind = /^[A-Z]\d/u.test(part) ? KIND_NAMES[part.charAt(0)] : undefined;
  return kind ? `the ${kind} ${part}` : part;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function legName(part: string, pin: string): string {
  if (part.startsWith('Z')) return pin === 'cathode' ? 'banded end' : 'plain end';
  if (pin === 'anode') return 'long leg';
  if (pin === 'cathode') return 'short leg';
  if (pin === 'common') return 'longest leg';
  if (pin === 'red' || pin === 'green' || pin === 'blue') return `${pin} leg`;
  if (pin === 'wiper') return 'middle leg';
  if (part.startsWith('W')) return 'end';
  return pin === 'plus' ? 'red lead' : pin === 'minus' ? 'black lead' : 'leg';
}

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

export const SUPPLY_NAMES: Readonly<Record<SupplyKind, { one: string; many: string }>> = {
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
};

export function supplyName(choice: SupplyChoice): string {
  const names = SUPPLY_NAMES[choice.kind];
  if (choice.kind === 'bench') return `bench supply at ${formatQuantity(choice.volts ?? 5, 'V')}`;
  const cells = SUPPLIES[choice.kind].cellsMost > 1 ? choice.cells : 1;
  const name = cells === 1 ? `one ${names.one}` : `${cells} ${names.many}`;
  if (choice.measured) return `${name}, measured ${formatQuantity(choice.measured.volts, 'V')}`;
  return SUPPLIES[choice.kind].style === 'cell' ? `${name}, ${choice.age}` : name;
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
  'black-wire': 'black lead',
  none: 'either leg',
};

export const BRIGHTNESS_WORDS: Readonly<Record<Brightness, string>> = {
  dark: 'dark',
  barely: 'barely glowing',
  dim: 'dim',
  fair: 'fair',
  bright: 'bright',
  'at its limit': 'at its limit',
  'shortened life': 'too bright, wearing out',
  'expected to fail': 'expected to fail',
};

export function stockName(spec: StockSpec): string {
  switch (spec.kind) {
    case 'resistor':
      return `resistor ${formatOhms(spec.ohms)}`;
    case 'led':
      return `lamp, ${lampName(spec.lamp)}`;
    case 'cell':
      return SUPPLY_NAMES[spec.supply].one;
    case 'holder':
      return `holder with leads for ${spec.cells} × ${SUPPLY_NAMES[spec.supply].one}`;
    case 'supply':
      return `${SUPPLY_NAMES[spec.supply].one}, lead`;
    case 'jumper':
      return 'jumper wire';
    case 'board':
      return BOARD_NAMES[spec.board];
    case 'potentiometer':
      return `potentiometer ${formatOhms(spec.ohms)}`;
    case 'zener':
      return `zener ${formatQuantity(spec.volts, 'V')}`;
    case 'button':
      return 'push button';
    case 'rgb-lamp':
      return `three-colour lamp, common ${spec.common}`;
    case 'tinned-wire':
      return 'tinned wire, pieces';
    case 'tape':
      return 'copper tape, pieces';
    case 'thing':
      return spec.name;
  }
}

export const BOARD_NAMES: Readonly<Record<BoardChoice, string>> = {
  mini: 'mini breadboard, 17 rows, no rails',
  half: 'half-size breadboard',
  full: 'full-size breadboard',
  'full-split': 'full-size breadboard, rails split',
  strip: 'stripboard',
  pad: 'pad board',
  card: 'copper tape on card',
};

/** The same in two words, for narrow places. */
export const BOARD_SHORT: Readonly<Record<BoardChoice, string>> = {
  mini: 'mini board',
  half: 'half board',
  full: 'full board',
  'full-split': 'full board, split rails',
  strip: 'stripboard',
  pad: 'pad board',
  card: 'tape on card',
};

/** Names of the checkpoints, as column heads and in sentences. */
const CHECKPOINT_NAMES: Readonly<Record<string, { head: string; probes: string }>> = {
  pack: { head: 'pack under load', probes: 'from the red lead to the black lead, lamp lit' },
  resistor: { head: 'across R1', probes: 'one probe on each leg of R1' },
  lamp: { head: 'across the lamp', probes: 'red probe on the long leg, black on the short leg' },
  current: { head: 'current', probes: 'lift the red lead and put the meter between it and its hole' },
};

export function checkpointName(id: string): string {
  return CHECKPOINT_NAMES[id]?.head ?? (/^[A-Z]\d/u.test(id) ? `across ${id}` : id);
}

/** Where the probes go, in words. */
export function probeWords(id: string): string {
  const known = CHECKPOINT_NAMES[id];
  if (known) return known.probes;
  return id.startsWith('D')
    ? `red probe on the long leg of ${id}, black on the short leg`
    : `one probe on each leg of ${id}`;
}
