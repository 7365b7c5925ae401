import fs from 'node:fs';
import { parseCircuit, parseQuantity, type Circuit, type Unit } from '@/core';
import { Exit, valueOf } from './exit';

/** The circuit in a file, or on standard input for `-`. */
export function readCircuit(file: string): Circuit {
  let text: string;
  try {
    text = fs.readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    throw new Exit(2, `${file}: cannot be read (${(error as { code?: string }).code ?? 'unknown'}).`);
  }
  return valueOf(parseCircuit(text));
}

/** An option that is a plain number within limits. */
export function numberOption(name: string, text: string, low: number, high: number): number {
  const value = Number(text);
  if (text.trim() === '' || !Number.isFinite(value) || value < low || value > high) {
    throw new Exit(2, `--${name} “${text}” must be a number from ${low} to ${high}.`);
  }
  return value;
}

export function wholeOption(name: string, text: string, low: number, high: number): number {
  const value = numberOption(name, text, low, high);
  if (!Number.isInteger(value)) throw new Exit(2, `--${name} “${text}” must be a whole number.`);
  return value;
}

/** An option that is a figure with or without its unit. */
export function quantityOption(name: string, text: string, unit: Unit): number {
  const figure = parseQuantity(text, unit);
  if (!figure.ok) throw new Exit(2, `--${name}: “${text}” is not a figure in ${unit}.`);
  return figure.value;
}

/** An option that is a list of figures: `1k, 4k7`. */
export function quantitiesOption(name: string, text: string, unit: Unit): number[] {
  return text
    .split(/[,;\s]+/u)
    .filter((item) => item !== '')
    .map((item) => quantityOption(name, item, unit));
}

/** An option that is one of a few words. */
export function oneOf<T extends string>(name: string, text: string, words: readonly T[]): T {
  const found = words.find((word) => word === text);
  if (found === undefined) throw new Exit(2, `--${name} “${text}” must be one of ${words.join(', ')}.`);
  return found;
}

/** An option that names a field of a part. */
export function partField(name: string, text: string): { part: string; field: string } {
  const dot = text.lastIndexOf('.');
  if (dot < 1) throw new Exit(2, `--${name} “${text}” must be PART.FIELD.`);
  return { part: text.slice(0, dot), field: text.slice(dot + 1) };
}
