import { capacitorTolerance, type CapacitorSort } from '../../catalogue/capacitors';
import type { TimerFamily } from '../../catalogue/timers';
import type { Part, PartOf } from '../../circuit/circuit';
import { MINUS, PLUS, resistorPart } from '../steady/parts';
import type { TimingValues } from './figures';

/** The nodes around a chip of its own number. */
export function nodesOf(number: number) {
  return {
    output: `out${number}`,
    timing: `cap${number}`,
    discharge: `dis${number}`,
    trigger: `trig${number}`,
    control: `con${number}`,
  };
}

/** Where a chip's pins go beside its supply; those left out are on no net. */
export interface ChipPins {
  readonly trigger: string;
  readonly threshold: string;
  readonly output: string;
  readonly discharge?: string;
  /** Left out, at the plus rail: the chip always runs. */
  readonly reset?: string;
}

export function capacitorPart(id: string, a: string, b: string, sort: CapacitorSort): PartOf<'capacitor'> {
  const { farads, polarised } = sort;
  const params = { farads, polarised, volts: 0, tolerance: capacitorTolerance(sort) };
  return { id, kind: 'capacitor', pins: { a, b }, params };
}

/** A chip with its supply, and where it is wished the two small capacitors that keep it quiet. */
export function chipParts(
  number: number,
  family: TimerFamily,
  { reset = PLUS, ...pins }: ChipPins,
  quiet: { readonly across: string; readonly control: string } | undefined,
): Part[] {
  const { control } = nodesOf(number);
  const chip: PartOf<'timer'> = {
    id: `U${number}`,
    kind: 'timer',
    pins: { ground: MINUS, ...pins, reset, ...(quiet ? { control } : {}), supply: PLUS },
    params: { family },
  };
  if (!quiet) return [chip];
  return [
    chip,
    capacitorPart(quiet.control, control, MINUS, { farads: 1e-8, polarised: false }),
    capacitorPart(quiet.across, PLUS, MINUS, { farads: 1e-7, polarised: false }),
  ];
}

/** Names of the parts that set one chip's time. */
export interface TimingNames {
  readonly ra?: string;
  readonly r: string;
  readonly c: string;
}

/** Which capacitor of the drawer has so many farads. */
export function sortOf(farads: number, drawer: readonly CapacitorSort[]): CapacitorSort {
  return drawer.find((sort) => sort.farads === farads) ?? { farads, polarised: farads >= 1e-6 };
}

/** Supply – RA – discharge – RB – threshold and trigger – C – ground. */
export function standardParts(
  number: number,
  names: TimingNames,
  { ra, r, farads }: TimingValues,
  drawer: readonly CapacitorSort[],
  tolerance: number,
): Part[] {
  const { discharge, timing } = nodesOf(number);
  return [
    resistorPart(names.ra!, PLUS, discharge, ra!, tolerance),
    resistorPart(names.r, discharge, timing, r, tolerance),
    capacitorPart(names.c, timing, MINUS, sortOf(farads, drawer)),
  ];
}

/** One resistor from the output to threshold and trigger, and C to ground. */
export function drivenParts(
  number: number,
  names: TimingNames,
  { r, farads }: TimingValues,
  drawer: readonly CapacitorSort[],
  tolerance: number,
): Part[] {
  const { output, timing } = nodesOf(number);
  return [
    resistorPart(names.r, output, timing, r, tolerance),
    capacitorPart(names.c, timing, MINUS, sortOf(farads, drawer)),
  ];
}
