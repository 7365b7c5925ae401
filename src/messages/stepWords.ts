import { bandsFor, formatFarads, formatOhms, formatQuantity, partOf, type Sheet } from '@/core';
import { lampName } from './names';

export interface StepWords {
  readonly title: string;
  readonly detail: string;
  /** The polarity cue, for parts that have one. */
  readonly cue?: string;
  readonly why: string;
}

/** What stands on a part: its ohms, its colour, its volts. */
export function valueOf(part: string, sheet: Sheet): string {
  const found = partOf(sheet.circuit, part);
  if (found?.kind === 'resistor' || found?.kind === 'potentiometer') return formatOhms(found.params.ohms);
  if (found?.kind === 'led') return lampName(sheet.sorts[part] ?? '');
  if (found?.kind === 'capacitor') return formatFarads(found.params.farads);
  if (found?.kind === 'timer') return found.params.family === 'cmos' ? 'CMOS' : 'bipolar';
  if (found?.kind === 'zener') return formatQuantity(found.params.vz, 'V');
  return '';
}

export function listWords(names: readonly string[]): string {
  if (names.length > 6) return `${names[0]} to ${names[names.length - 1]}`;
  return names.length < 2
    ? names.join('')
    : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;
}

/** The colour bands that a resistor of the drawer wears; undefined where its value has none. */
export function resistorBands({ ohms, tolerance }: { ohms: number; tolerance: number }) {
  return bandsFor(ohms, tolerance < 0.05 ? 5 : 4, tolerance) ?? bandsFor(ohms, 5, 0.01);
}
