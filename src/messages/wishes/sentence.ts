import type { HouseStyle, Outcome, SupplyChoice } from '@/core';

/** One of a few words, chosen by its key. */
export interface ChoiceSlot<Params> {
  readonly as: 'choice';
  readonly label: string;
  value(params: Params, style: HouseStyle): string;
  names(params: Params): readonly (readonly [key: string, words: string])[];
  choose(params: Params, key: string): Params;
}

/** A figure that is typed. */
export interface FigureSlot<Params> {
  readonly as: 'figure';
  readonly label: string;
  /** Characters that are usually seen of it. */
  readonly width: number;
  shown(params: Params): string;
  read(typed: string): Outcome<number>;
  set(params: Params, value: number): Params;
}

/** Something that is done to the wish with a click. */
export interface ButtonSlot<Params> {
  readonly as: 'button';
  readonly words: string;
  readonly label?: string;
  press(params: Params): Params;
}

/** The supply: kind, cells, volts, age. */
export interface SupplySlot<Params> {
  readonly as: 'supply';
  value(params: Params): SupplyChoice;
  set(params: Params, supply: SupplyChoice): Params;
}

export type Slot<Params> = ChoiceSlot<Params> | FigureSlot<Params> | ButtonSlot<Params> | SupplySlot<Params>;

/** Text, a slot, or what the wish itself decides: a clause that is there or not, a list as long as it is. */
export type Piece<Params> = string | Slot<Params> | Sentence<Params> | ((params: Params) => Piece<Params>);

/** A wish as a sentence whose slots are its inputs. */
export interface Sentence<Params> {
  readonly as: 'sentence';
  readonly pieces: readonly Piece<Params>[];
}

/** What a list is strung together with: `a, b and c`. */
export function listed<Params>(items: readonly Piece<Params>[]): Sentence<Params> {
  const last = items.length - 1;
  const pieces = items.flatMap((item, i) => [i === 0 ? '' : i === last ? ' and ' : ', ', item]);
  return { as: 'sentence', pieces };
}
