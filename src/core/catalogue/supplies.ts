import type { AmpHours, Hertz, Ohms, Volts } from '../quantities/units';

/** What gives steady volts: a lesson may be fed from any of them. */
export const SUPPLY_KINDS = [
  'aa-alkaline',
  'aaa-alkaline',
  'aa-nimh',
  'block-9v',
  'coin-20mm',
  'usb',
  'rail-5v',
  'rail-3v3',
  'lead-acid-12v',
  'bench',
] as const;
export type SupplyKind = (typeof SUPPLY_KINDS)[number];

/** Everything that a circuit may be fed from: what gives steady volts, and what gives pulses. */
export const SOURCE_KINDS = [...SUPPLY_KINDS, 'booster'] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];

export const AGES = ['fresh', 'nominal', 'tired'] as const;
export type Age = (typeof AGES)[number];

/** One cell (or port) as it ages. Cells in series add volts and ohms. */
export interface SupplySource {
  readonly kind: SourceKind;
  readonly volts: Readonly<Record<Age, Volts>>;
  readonly empty?: Volts;
  readonly ohms: Readonly<Record<Age, Ohms>>;
  readonly capacity?: AmpHours;
  /** Share of the capacity that is spent when it stands at its nominal and its tired volts. */
  readonly spentAt?: { readonly nominal: number; readonly tired: number };
  readonly cellsMost: number;
  /** How far a supply at its stated age may lie from its volts. */
  readonly tolerance: number;
  readonly style: 'cell' | 'port' | 'accumulator' | 'bench' | 'pulsed';
}

const source = (
  kind: SourceKind,
  style: SupplySource['style'],
  volts: readonly [number, number, number],
  ohms: readonly [number, number],
  rest: Partial<Pick<SupplySource, 'empty' | 'capacity' | 'spentAt' | 'cellsMost' | 'tolerance'>>,
): SupplySource => ({
  kind,
  style,
  volts: { fresh: volts[0], nominal: volts[1], tired: volts[2] },
  ohms: { fresh: ohms[0], nominal: ohms[0], tired: ohms[1] },
  cellsMost: 1,
  tolerance: 0.03,
  ...rest,
});

/** How unloaded volts fall as charge is drawn, by chemistry: assumed shapes, as the table states only their volts. */
const ALKALINE = { nominal: 0.1, tired: 0.7 };
const NICKEL = { nominal: 0.4, tired: 0.85 };
const LITHIUM = { nominal: 0.15, tired: 0.85 };
const LEAD = { nominal: 0.55, tired: 0.75 };

/** The supply table that ships with the product: fresh, nominal, tired volts; fresh and tired ohms. */
export const SUPPLIES: Readonly<Record<SourceKind, SupplySource>> = {
  'aa-alkaline': source('aa-alkaline', 'cell', [1.6, 1.5, 1.2], [0.15, 0.5], {
    empty: 0.9,
    capacity: 2.4,
    spentAt: ALKALINE,
    cellsMost: 8,
  }),
  'aaa-alkaline': source('aaa-alkaline', 'cell', [1.6, 1.5, 1.2], [0.25, 0.7], {
    empty: 0.9,
    capacity: 1.0,
    spentAt: ALKALINE,
    cellsMost: 8,
  }),
  'aa-nimh': source('aa-nimh', 'cell', [1.35, 1.2, 1.15], [0.03, 0.06], {
    empty: 1.0,
    capacity: 2.0,
    spentAt: NICKEL,
    cellsMost: 10,
  }),
  'block-9v': source('block-9v', 'cell', [9.5, 9.0, 7.5], [1.7, 6], {
    empty: 6.0,
    capacity: 0.5,
    spentAt: ALKALINE,
    cellsMost: 2,
  }),
  'coin-20mm': source('coin-20mm', 'cell', [3.2, 3.0, 2.7], [12, 40], {
    empty: 2.0,
    capacity: 0.22,
    spentAt: LITHIUM,
    cellsMost: 2,
  }),
  usb: source('usb', 'port', [5.1, 5.0, 4.75], [0.2, 0.2], {}),
  'rail-5v': source('rail-5v', 'port', [5.05, 5.0, 4.75], [0.2, 0.2], {}),
  'rail-3v3': source('rail-3v3', 'port', [3.35, 3.3, 3.15], [0.2, 0.2], {}),
  'lead-acid-12v': source('lead-acid-12v', 'accumulator', [12.75, 12.0, 11.5], [0.02, 0.02], {
    empty: 10.5,
    capacity: 7,
    spentAt: LEAD,
  }),
  bench: source('bench', 'bench', [5, 5, 5], [0, 0], { tolerance: 0.02 }),
  booster: source('booster', 'pulsed', [5, 5, 5], [0, 0], { tolerance: 0 }),
};

/** Pulses of a booster: its volts for a share of every round, nothing for the rest. */
export interface Pulses {
  readonly hertz: Hertz;
  /** Share of a round for which it is up. */
  readonly duty: number;
  readonly ohms: Ohms;
  /** The one cell that is boosted. */
  readonly cell: SupplyKind;
}

/** What a lesson is fed from. `volts` are set on a bench supply and a booster, `limitAmps` on a bench supply. */
export interface SourceChoice {
  readonly kind: SourceKind;
  readonly cells: number;
  readonly age: Age;
  readonly volts?: Volts;
  readonly limitAmps?: number;
  /** Of a booster; its `volts` are the peak of its pulses. */
  readonly pulses?: Pulses;
  /** Its own volts and ohms as measured today, in the place of the table's at its age. */
  readonly measured?: { readonly volts: Volts; readonly ohms: Ohms } | undefined;
}

/** A source of steady volts, as a lesson says it. */
export type SupplyChoice = SourceChoice & { readonly kind: SupplyKind };

export interface SupplyFigures {
  readonly volts: Volts;
  readonly ohms: Ohms;
  readonly tolerance: number;
  readonly capacity?: AmpHours;
  readonly limitAmps?: number;
}

/**
 * The ages that a supply has before it: all three of one by the table; of one that was measured, itself and what it will
 * come to.
 */
export function agesOf(choice: SourceChoice): readonly Age[] {
  const { measured, age } = choice;
  if (!measured) return AGES;
  const later = AGES.slice(AGES.indexOf(age) + 1);
  return [age, ...later.filter((then) => supplyFigures(choice, then).volts < measured.volts)];
}

/** Whether a source gives steady volts. */
export function isSteady(choice: SourceChoice): choice is SupplyChoice {
  return choice.kind !== 'booster';
}

/** Electromotive force, internal ohms and capacity of a supply as chosen, at an age. */
export function supplyFigures(choice: SourceChoice, age: Age = choice.age): SupplyFigures {
  const row = SUPPLIES[choice.kind];
  const set = row.style === 'bench' || row.style === 'pulsed' ? choice.volts : undefined;
  const perCell = set ?? row.volts[age];
  const cells = row.cellsMost > 1 ? choice.cells : 1;
  const measured = age === choice.age ? choice.measured : undefined;
  return {
    volts: measured?.volts ?? perCell * cells,
    ohms: measured?.ohms ?? choice.pulses?.ohms ?? row.ohms[age] * cells,
    tolerance: row.tolerance,
    ...(row.capacity === undefined ? {} : { capacity: row.capacity }),
    ...(row.style === 'bench' && choice.limitAmps ? { limitAmps: choice.limitAmps } : {}),
  };
}
