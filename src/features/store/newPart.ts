import { z } from 'zod';
import {
  BOARD_CHOICES,
  CONTROLLER_IDS,
  LAMP_TYPES,
  parseQuantity,
  SUPPLIES,
  SUPPLY_KINDS,
  TIMER_FAMILIES,
  type StockSpec,
  type Unit,
} from '@/core';
import { sentences } from '@/messages/findings';
import { BOARD_NAMES, CONTROLLER_NAMES, lampName, SUPPLY_NAMES } from '@/messages/names';

type Kind = StockSpec['kind'];

export const KIND_WORDS: Readonly<Record<Kind, string>> = {
  resistor: 'resistor',
  led: 'lamp',
  'rgb-lamp': 'three-colour lamp',
  potentiometer: 'potentiometer',
  capacitor: 'capacitor',
  inductor: 'coil',
  diode: 'diode',
  zener: 'zener',
  transistor: 'transistor',
  timer: 'timer chip',
  'light-sensor': 'light sensor',
  speaker: 'speaker',
  'sound-lead': 'sound lead',
  controller: 'controller board',
  button: 'push button',
  'slide-switch': 'slide switch',
  cell: 'cell or battery',
  holder: 'holder with leads',
  supply: 'port or bench lead',
  board: 'board',
  jumper: 'jumper wire',
  tape: 'copper tape, pieces',
  'tinned-wire': 'tinned wire, pieces',
  'clip-lead': 'clip lead',
  fuse: 'fuse',
  iron: 'soldering iron',
  thing: 'something else',
};
export const KINDS = Object.keys(KIND_WORDS) as Kind[];

/** The fields of the form; a text keeps what was typed until the part is added. */
export const FIELDS_AT_FIRST = {
  kind: 'resistor' as Kind,
  value: '',
  name: '',
  board: 'half' as (typeof BOARD_CHOICES)[number],
  common: 'cathode' as 'cathode' | 'anode',
  lamp: 'red' as (typeof LAMP_TYPES)[number],
  supply: 'aa-alkaline' as (typeof SUPPLY_KINDS)[number],
  body: 'electrolytic' as 'electrolytic' | 'ceramic',
  polarity: 'npn' as 'npn' | 'pnp',
  family: 'bipolar' as (typeof TIMER_FAMILIES)[number],
  controller: 'five-volt' as (typeof CONTROLLER_IDS)[number],
  cells: 3,
  have: 0,
  packSize: 10,
  price: '0.00',
};
export type NewPartFields = typeof FIELDS_AT_FIRST;

interface Ask {
  readonly name: keyof NewPartFields;
  readonly label: string;
  /** What may be chosen, value and words; nothing where it is typed. */
  readonly of?: readonly (readonly [string, string])[];
  readonly example?: string;
  readonly figure?: true;
}

const value = (label: string, example: string): Ask => ({ name: 'value', label, example });
const suppliesOf = (cells: boolean): Ask => ({
  name: 'supply',
  label: 'Of',
  of: SUPPLY_KINDS.filter((kind) => (SUPPLIES[kind].style === 'cell') === cells).map((kind) => [
    kind,
    SUPPLY_NAMES[kind].one,
  ]),
});

/** What the form asks of each kind of part beyond its name. */
export const ASKS: Readonly<Record<Kind, readonly Ask[]>> = {
  resistor: [value('Value', '4k7')],
  potentiometer: [value('Value', '10k')],
  capacitor: [
    value('Value', '100 µF'),
    {
      name: 'body',
      label: 'Body',
      of: [
        ['electrolytic', 'electrolytic'],
        ['ceramic', 'ceramic or film'],
      ],
    },
  ],
  inductor: [value('Value', '47 mH')],
  speaker: [value('Value', '64 Ω')],
  controller: [
    { name: 'controller', label: 'Which', of: CONTROLLER_IDS.map((id) => [id, CONTROLLER_NAMES[id]]) },
  ],
  zener: [value('Its volts', '8V2')],
  led: [{ name: 'lamp', label: 'Colour', of: LAMP_TYPES.map((type) => [type, lampName(type)]) }],
  'rgb-lamp': [{ name: 'common', label: 'Common leg', of: same(['cathode', 'anode']) }],
  transistor: [
    {
      name: 'polarity',
      label: 'Polarity',
      of: [
        ['npn', 'NPN'],
        ['pnp', 'PNP'],
      ],
    },
  ],
  timer: [{ name: 'family', label: 'Family', of: same(TIMER_FAMILIES) }],
  cell: [suppliesOf(true)],
  holder: [suppliesOf(true), { name: 'cells', label: 'Cells', figure: true }],
  supply: [suppliesOf(false)],
  board: [
    {
      name: 'board',
      label: 'Which',
      of: BOARD_CHOICES.filter((board) => board !== 'mini-pair').map((board) => [board, BOARD_NAMES[board]]),
    },
  ],
  thing: [{ name: 'name', label: 'What it is', example: 'jam jar' }],
  diode: [],
  'sound-lead': [],
  'light-sensor': [],
  button: [],
  'slide-switch': [],
  jumper: [],
  tape: [],
  'tinned-wire': [],
  'clip-lead': [],
  fuse: [],
  iron: [],
};

function same(names: readonly string[]): readonly (readonly [string, string])[] {
  return names.map((name) => [name, name]);
}

type Reading = number | { readonly problem: string };
const SPEC_OF: {
  readonly [K in Kind]: (fields: NewPartFields, read: (unit: Unit) => number) => StockSpec;
} = {
  resistor: (_, read) => ({ kind: 'resistor', ohms: read('Ω') }),
  potentiometer: (_, read) => ({ kind: 'potentiometer', ohms: read('Ω') }),
  capacitor: ({ body }, read) => ({
    kind: 'capacitor',
    farads: read('F'),
    polarised: body === 'electrolytic',
  }),
  inductor: (_, read) => ({ kind: 'inductor', henries: read('H') }),
  speaker: (_, read) => ({ kind: 'speaker', ohms: read('Ω') }),
  controller: ({ controller }) => ({ kind: 'controller', controller }),
  zener: (_, read) => ({ kind: 'zener', volts: read('V') }),
  led: ({ lamp }) => ({ kind: 'led', lamp }),
  'rgb-lamp': ({ common }) => ({ kind: 'rgb-lamp', common }),
  transistor: ({ polarity }) => ({ kind: 'transistor', polarity }),
  timer: ({ family }) => ({ kind: 'timer', family }),
  cell: ({ supply }) => ({ kind: 'cell', supply }),
  holder: ({ supply, cells }) => ({ kind: 'holder', supply, cells }),
  supply: ({ supply }) => ({ kind: 'supply', supply }),
  board: ({ board }) => ({ kind: 'board', board }),
  thing: ({ name }) => ({ kind: 'thing', name: name.trim() }),
  'sound-lead': () => ({ kind: 'sound-lead' }),
  'slide-switch': () => ({ kind: 'slide-switch' }),
  diode: () => ({ kind: 'diode' }),
  'light-sensor': () => ({ kind: 'light-sensor' }),
  button: () => ({ kind: 'button' }),
  jumper: () => ({ kind: 'jumper' }),
  tape: () => ({ kind: 'tape' }),
  'tinned-wire': () => ({ kind: 'tinned-wire' }),
  'clip-lead': () => ({ kind: 'clip-lead' }),
  fuse: () => ({ kind: 'fuse' }),
  iron: () => ({ kind: 'iron' }),
};

/** The part that the fields name, with what there is of it; a value that cannot be read is an issue. */
export const newPartSchema = z.custom<NewPartFields>().transform((fields, context) => {
  const read = (unit: Unit): number => {
    const figure: Reading = valueOf(fields.value, unit);
    if (typeof figure === 'number') return figure;
    context.addIssue({ code: 'custom', path: ['value'], message: figure.problem });
    return NaN;
  };
  return {
    spec: SPEC_OF[fields.kind](fields, read),
    values: {
      have: fields.have,
      packSize: fields.packSize,
      packCents: Math.round(Number(fields.price.replace(',', '.')) * 100),
      place: '',
    },
  };
});

function valueOf(text: string, unit: Unit): Reading {
  const figure = parseQuantity(text, unit);
  return figure.ok ? figure.value : { problem: sentences(figure.findings) };
}

/** A supply that the kind can be of, so that what the form shows is what it holds. */
export function firstSupply(kind: Kind): NewPartFields['supply'] | undefined {
  return ASKS[kind].find(({ name }) => name === 'supply')?.of?.[0]?.[0] as
    NewPartFields['supply'] | undefined;
}
