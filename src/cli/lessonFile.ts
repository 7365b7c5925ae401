import fs from 'node:fs';
import { z } from 'zod';
import {
  BARE_SHELF,
  BOARD_CHOICES,
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_METER,
  DEFAULT_STYLE,
  lessonWords,
  makeSheet,
  planSchema,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { Exit, valueOf } from './exit';
import { oneOf, wholeOption } from './input';

export interface LessonOptions {
  board?: string;
  samples: string;
  seed: string;
}

export const STUDENTS = 14;

/** Of a lesson file only the choice is needed; the rest has its default. */
const fileSchema = z.looseObject({
  choice: choiceSchema,
  plan: planSchema.nullish(),
  ageGroup: lessonWords.ageGroup,
  extras: lessonWords.extras,
});

/** What a lesson file asks of the core, by the house style, drawer and meter of a house that has set nothing. */
export function lessonRequest(file: string, options: LessonOptions): SheetRequest {
  const parsed = fileSchema.safeParse(jsonIn(file));
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw new Exit(2, `${file}: ${issue?.path.join('.') ?? 'lesson'}: ${issue?.message ?? 'is no lesson'}`);
  }
  const { choice, plan, ageGroup, extras } = parsed.data;
  const board = options.board && oneOf('board', options.board, BOARD_CHOICES);
  const build = { ...(choice.build ?? DEFAULT_BUILD), ...(board ? { board } : {}) };
  return {
    choice: { ...choice, build },
    plan: board ? undefined : (plan ?? undefined),
    ageGroup,
    extras,
    style: DEFAULT_STYLE,
    shelf: BARE_SHELF,
    stock: [],
    meter: DEFAULT_METER,
    students: STUDENTS,
    draws: {
      samples: wholeOption('samples', options.samples, 1, 1_000_000),
      seed: wholeOption('seed', options.seed, 0, 2 ** 31),
      coverage: 0.95,
    },
  };
}

export function sheetOf(request: SheetRequest): Sheet {
  return valueOf(makeSheet(request));
}

function jsonIn(file: string): unknown {
  try {
    return JSON.parse(fs.readFileSync(file === '-' ? 0 : file, 'utf8'));
  } catch (error) {
    const why = error instanceof SyntaxError ? 'is no JSON' : 'cannot be read';
    throw new Exit(2, `${file}: ${why}.`);
  }
}
