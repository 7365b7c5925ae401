import {
  benchContextSchema,
  formatEntered,
  parseQuantity,
  type BenchContext,
  type LampType,
  type MeterFigures,
  type Outcome,
} from '@/core';
import { sentences } from '@/messages/findings';
import { issueSentence } from '@/messages/issues';
import { lampName } from '@/messages/names';
import type { ContextChoices } from '@/server/benchContext';

/** What stands in the form, as typed: by the resistor's name, by the lamp's sort, and the meter's own sheet. */
export interface TypedContext {
  readonly ohms: Readonly<Record<string, string>>;
  readonly volts: Readonly<Record<string, string>>;
  readonly amps: Readonly<Record<string, string>>;
  readonly meter: MeterFigures | undefined;
}

export function typedContext(context: BenchContext, { lamps }: ContextChoices): TypedContext {
  const measured = (sort: LampType) => context.lamps[sort];
  return {
    ohms: Object.fromEntries(
      Object.entries(context.ohms).map(([id, ohms]) => [id, formatEntered(ohms, 'Ω')]),
    ),
    volts: Object.fromEntries(
      lamps.flatMap(({ sort }) =>
        measured(sort) ? [[sort, formatEntered(measured(sort)!.volts, 'V')]] : [],
      ),
    ),
    amps: Object.fromEntries(
      lamps.map(({ sort, amps }) => [
        sort,
        formatEntered(measured(sort)?.amps ?? Number(amps.toPrecision(2)), 'A'),
      ]),
    ),
    meter: context.meter,
  };
}

/** What was typed, as a context; or what in it is no figure, each in a sentence that names it. */
export function contextTyped(
  typed: TypedContext,
  { resistors, lamps }: ContextChoices,
): { readonly context: BenchContext } | { readonly problems: readonly string[] } {
  const problems: string[] = [];
  const figure = (name: string, read: Outcome<number>) => {
    if (read.ok) return read.value;
    problems.push(`${name}: ${sentences(read.findings)}`);
    return undefined;
  };
  const ohms = resistors.flatMap(({ id, ohms: planned }) => {
    const text = typed.ohms[id]?.trim() ?? '';
    if (text === '') return [];
    const value = figure(id, parseQuantity(text, 'Ω'));
    return value === undefined || value === planned ? [] : [[id, value] as const];
  });
  const measured = lamps.flatMap(({ sort }) => {
    const text = typed.volts[sort]?.trim() ?? '';
    if (text === '') return [];
    const name = `The ${lampName(sort)} lamps`;
    const volts = figure(name, parseQuantity(text, 'V'));
    const amps = figure(name, parseQuantity(typed.amps[sort] ?? '', 'A', 1e-3));
    return volts === undefined || amps === undefined ? [] : [[sort, { volts, amps }] as const];
  });
  if (problems.length > 0) return { problems };
  const read = benchContextSchema.safeParse({
    ohms: Object.fromEntries(ohms),
    lamps: Object.fromEntries(measured),
    ...(typed.meter ? { meter: typed.meter } : {}),
  });
  return read.success
    ? { context: read.data }
    : { problems: [issueSentence(read.error, FIELDS, 'What is fitted')] };
}

const FIELDS = {
  ohms: 'The resistor',
  lamps: 'What was measured of a lamp',
  volts: 'The volts of the lamp',
  amps: 'The current of the lamp',
  meter: 'The meter',
  counts: 'The meter’s counts',
  share: 'The meter’s percent of reading',
} as const;
