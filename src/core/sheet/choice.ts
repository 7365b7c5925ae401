import { z } from 'zod';
import { BOARD_CHOICES } from '../board/boards';
import { RAIL_HABITS } from '../board/layout/request';
import { PATTERN_IDS, PATTERNS, type PatternId } from '../patterns/index';

/** What a lesson is built on, and how the board is held. */
export const buildSchema = z.strictObject({
  board: z.enum(BOARD_CHOICES).default('half'),
  spacing: z.enum(['clear', 'compact']).default('clear'),
  held: z.enum(['upright', 'flat']).default('upright'),
  /** How rails are used, where the lesson overrules the house. */
  rails: z.enum(RAIL_HABITS).optional(),
});
export type Build = z.output<typeof buildSchema>;
export const DEFAULT_BUILD: Build = buildSchema.parse({});

export type ParamsOf<Id extends PatternId> = z.output<(typeof PATTERNS)[Id]['params']>;

/** What a lesson says about its circuit: a pattern, what is wished of it, and what it is built on. */
export type PatternChoice = {
  readonly [Id in PatternId]: {
    readonly pattern: Id;
    readonly params: ParamsOf<Id>;
    readonly build?: Build | undefined;
  };
}[PatternId];

function optionFor<Id extends PatternId>(id: Id) {
  const { params } = PATTERNS[id];
  return z.strictObject({ pattern: z.literal(id), params, build: buildSchema.optional() });
}

const [first, ...rest] = PATTERN_IDS.map(optionFor);
export const choiceSchema: z.ZodType<PatternChoice> = z.discriminatedUnion('pattern', [
  first!,
  ...rest,
]) as unknown as z.ZodType<PatternChoice>;
