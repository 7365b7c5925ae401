import { z } from 'zod';
import type { Circuit, Part } from '../../circuit/circuit';
import type { Kind } from '../../devices/index';
import { KINDS } from '../../devices/index';
import { observe, reportOf } from '../../observe/observe';
import type { Unit } from '../../quantities/units';

/** What one part of a lesson is and carries where the file was written. */
export const builtSchema = z.strictObject({
  part: z.string().min(1).max(12),
  kind: z.enum(KINDS as [Kind, ...Kind[]]),
  /** Its value in SI units, for parts that are chosen by one. */
  value: z.number().nullable(),
  amps: z.number(),
});

export type Built = z.output<typeof builtSchema>;

/** The figure by which parts of a kind are taken from the drawer, in its unit. */
export const VALUED: Readonly<Record<Kind, { readonly field: string; readonly unit: Unit } | undefined>> = {
  resistor: { field: 'ohms', unit: 'Ω' },
  potentiometer: { field: 'ohms', unit: 'Ω' },
  capacitor: { field: 'farads', unit: 'F' },
  inductor: { field: 'henries', unit: 'H' },
  zener: { field: 'vz', unit: 'V' },
  supply: { field: 'volts', unit: 'V' },
  led: undefined,
  diode: undefined,
  transistor: undefined,
  timer: undefined,
  ldr: undefined,
  switch: undefined,
  wire: undefined,
  speaker: undefined,
  pin: undefined,
  signal: undefined,
};

/** Every part of a circuit with its value and what it carries at rest, or on average. */
export function builtOf(circuit: Circuit): Built[] {
  const seen = observe(circuit);
  return circuit.parts.map((part) => ({
    part: part.id,
    kind: part.kind,
    value: valueOf(part),
    amps: seen.ok ? reportOf(seen.value, part.id).amps : 0,
  }));
}

function valueOf(part: Part): number | null {
  const valued = VALUED[part.kind];
  return valued ? (part.params as unknown as Record<string, number>)[valued.field]! : null;
}

/** A part that is another one here, or carries another current; one side is missing where only the other has it. */
export interface BuiltDifference {
  readonly part: string;
  readonly kind: Kind;
  readonly sent?: Built;
  readonly here?: Built;
}

/** Figures that differ by less than this are the same. */
const SAME = 0.01;

/**
 * What of a sender's build differs from the one that is worked out here: values, and currents of lamps. A resistor of
 * the same value that carries a little more is told by its lamp.
 */
export function builtDiffers(sent: readonly Built[], here: readonly Built[]): BuiltDifference[] {
  const own = new Map(here.map((built) => [built.part, built]));
  const theirs = new Set(sent.map(({ part }) => part));
  return [
    ...sent.flatMap((was): BuiltDifference[] => {
      const is = own.get(was.part);
      if (!is || is.kind !== was.kind) return [{ part: was.part, kind: was.kind, sent: was }];
      const lampDiffers = was.kind === 'led' && !alike(was.amps, is.amps);
      const differs = lampDiffers || !alike(was.value ?? 0, is.value ?? 0);
      return differs ? [{ part: was.part, kind: was.kind, sent: was, here: is }] : [];
    }),
    ...here.filter(({ part }) => !theirs.has(part)).map((is) => ({ part: is.part, kind: is.kind, here: is })),
  ];
}

function alike(a: number, b: number): boolean {
  return Math.abs(a - b) <= SAME * Math.max(Math.abs(a), Math.abs(b), 1e-12);
}
