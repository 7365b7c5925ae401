import {
  CONTROLLER_IDS,
  formatEntered,
  LAMP_TYPES,
  limitsAt,
  PATTERNS,
  readCount,
  readLampAmps,
  readSupplyVolts,
  readWithin,
  ROUNDINGS,
  SERIES_NAMES,
  type HouseStyle,
  type Outcome,
  type ParamsOf,
  type PatternId,
  type Unit,
} from '@/core';
import { CONTROLLER_NAMES, lampName } from '@/messages/names';
import { ROUNDING_WORDS } from '@/messages/schools';
import { valueAt, withValueAt, type PathIn } from './path';
import type { ChoiceSlot, FigureSlot, Piece, Sentence, Slot, SupplySlot } from './sentence';

type Names = readonly (readonly [key: string, words: string])[];

/** Values that were taken by hand go with the wish they were taken for; these leave them standing. */
const KEEPS_TAKEN = ['supply', 'family', 'quiet', 'values', 'rounding', 'amps', 'beam', 'taken'];

/**
 * The slots that the sentence of a pattern is made of. Each reads and changes what stands at a path of the wishes;
 * limits of figures are those of the pattern's own schema.
 */
export function slotsOf<Id extends PatternId>(id: Id) {
  type Params = ParamsOf<Id>;
  type Path = PathIn<Params>;
  const get = (params: Params, path: string) => valueAt(params, path);
  const set = (params: Params, path: string, value: unknown): Params => {
    const next = withValueAt(params, path, value);
    return KEEPS_TAKEN.includes(path.split('.')[0]!) ? next : withValueAt(next, 'taken', undefined);
  };
  const limits = (path: string) => limitsAt(PATTERNS[id].params, path.split('.'));

  /** A figure at a path, read and shown in ways of its own. */
  const typed = (
    path: Path,
    label: string,
    width: number,
    shown: (value: number) => string,
    read: (typed: string) => Outcome<number>,
  ): FigureSlot<Params> => ({
    as: 'figure',
    label,
    width,
    shown: (params) => shown(get(params, path) as number),
    read,
    set: (params, value) => set(params, path, value),
  });

  /** A choice that changes more than one thing. */
  const pick = (
    label: string,
    value: (params: Params) => string,
    names: Names | ((params: Params) => Names),
    choose: (params: Params, key: string) => Params,
  ): ChoiceSlot<Params> => ({
    as: 'choice',
    label,
    value,
    names: typeof names === 'function' ? names : () => names,
    choose,
  });

  /** One of a few words at a path. */
  const choice = (path: Path, label: string, names: Names | ((params: Params) => Names)) =>
    pick(
      label,
      (params) => String(get(params, path)),
      names,
      (params, key) => set(params, path, typeof get(params, path) === 'number' ? Number(key) : key),
    );

  /** What a lesson may overrule of the house style. */
  const overrule = (path: 'values' | 'rounding', label: string, names: Names): ChoiceSlot<Params> => ({
    ...pick(
      label,
      () => '',
      names,
      (params, key) => set(params, path, key),
    ),
    value: (params, style: HouseStyle) => (get(params, path) as string | undefined) ?? style[path],
  });

  const say = (text: TemplateStringsArray, ...pieces: readonly Piece<Params>[]): Sentence<Params> => ({
    as: 'sentence',
    pieces: text.flatMap((words, i) => (i < pieces.length ? [words, pieces[i]!] : [words])),
  });
  const values = say`values from ${overrule('values', 'Values from', [
    ['drawer', 'the drawer'],
    ...SERIES_NAMES.map((name) => [name, `the ${name} series`] as const),
  ])}`;
  const rounding = overrule(
    'rounding',
    'Rounding',
    ROUNDINGS.map((name) => [name, ROUNDING_WORDS[name]] as const),
  );

  return {
    say,
    set,
    limits,
    typed,
    pick,
    choice,
    /** `values from the drawer`. */
    values,
    /** `, values from the drawer, next value up`: how a resistor is chosen. */
    resistorChoice: say`, ${values}, next value ${rounding}`,
    /** A clause that is there for some wishes only. */
    when:
      (holds: (params: Params) => boolean, clause: Piece<Params>): Piece<Params> =>
      (params) =>
        holds(params) ? clause : '',
    /** Yes or no, each in its words, in the order that they are offered. */
    either: (path: Path, label: string, names: Names) =>
      pick(
        label,
        (params) => (get(params, path) ? 'with' : 'without'),
        names,
        (params, key) => set(params, path, key === 'with'),
      ),
    lamp: (path: Path, label = 'Lamp') =>
      choice(
        path,
        label,
        LAMP_TYPES.map((type) => [type, lampName(type)] as const),
      ),
    controller: (path: Path) =>
      choice(
        path,
        'Controller',
        CONTROLLER_IDS.map((name) => [name, CONTROLLER_NAMES[name]] as const),
      ),
    /** A lamp's current; a bare number is milliamps. */
    amps: (path: Path, label = 'Wanted current') =>
      typed(path, label, 8, (value) => formatEntered(value, 'A'), readLampAmps),
    volts: (path: Path, label: string) =>
      typed(path, label, 6, (value) => formatEntered(value, 'V'), readSupplyVolts),
    /** A figure within the schema's limits. */
    figure: (path: Path, label: string, name: string, unit: Unit, width = 6) => {
      const { low, high } = limits(path);
      return typed(
        path,
        label,
        width,
        (value) => formatEntered(value, unit),
        readWithin(name, unit, low, high),
      );
    },
    /** Seconds within the schema's limits; minutes may be said. */
    seconds: (path: Path, label: string) => {
      const { low, high } = limits(path);
      const read = readWithin('A time', 's', low, high);
      return typed(
        path,
        label,
        6,
        (value) => formatEntered(value, 's'),
        (text) => read(inSeconds(text)),
      );
    },
    /** A whole number within the schema's limits. */
    count: (path: Path, label: string, place: string, field: string, width = 2) => {
      const { low, high } = limits(path);
      return typed(path, label, width, String, readCount(place, field, low, high));
    },
    supply: {
      as: 'supply',
      value: (params) => get(params, 'supply') as SupplyChoiceOf,
      set: (params, supply) => set(params, 'supply', supply),
    } satisfies SupplySlot<Params>,
    button: (words: string, press: (params: Params) => Params, label?: string): Slot<Params> => ({
      as: 'button',
      words,
      press,
      ...(label === undefined ? {} : { label }),
    }),
  };
}

type SupplyChoiceOf = ReturnType<SupplySlot<unknown>['value']>;

/** `2 min` as `120`. */
function inSeconds(typed: string): string {
  const minutes = /^\s*(\d+(?:[.,]\d+)?)\s*min(?:utes?)?\s*$/iu.exec(typed);
  return minutes ? String(Number(minutes[1]!.replace(',', '.')) * 60) : typed;
}
