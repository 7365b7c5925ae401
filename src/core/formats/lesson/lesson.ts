import { z } from 'zod';
import { AGE_GROUPS, type AgeGroup } from '../../assembly/pace';
import { planSchema } from '../../board/plan';
import { LAMP_TYPES, type LampFigures, type LampType } from '../../catalogue/lamps';
import { ORIGINS } from '../../catalogue/origin';
import { accepted, refused, type Outcome } from '../../findings/finding';
import { extraSchema, EXTRAS_MOST } from '../../kits/extras';
import { choiceSchema } from '../../sheet/choice';
import { strangeFormat } from '../formatOf';
import { readJson } from '../json';
import { problemsOf } from '../problems';
import { builtSchema } from './built';

export const LESSON_FORMAT = 'mivvet.lesson/1';
/** How much of the working the students are given. */
export const LEVELS = ['no mathematics', 'card', 'full working'] as const;
export type Level = (typeof LEVELS)[number];

const LESSON_BYTES = 1024 * 1024;

const text = (most: number) => z.string().max(most, `is longer than ${most} characters`);

/** What an educator says about a lesson besides its circuit. */
export const lessonWords = {
  title: text(80).min(1, 'must not be empty'),
  aim: text(600).default(''),
  story: text(1200).default(''),
  notes: text(4000).default(''),
  ageGroup: z.enum(AGE_GROUPS as [AgeGroup, ...AgeGroup[]]).default('10–12'),
  level: z.enum(LEVELS).default('card'),
  /** What the students take home; left empty, the pattern's own. */
  homework: text(600).default(''),
  extras: z.array(extraSchema).max(EXTRAS_MOST).readonly().default([]),
};

/** What an educator says about a lesson besides its circuit, as it is kept. */
export type LessonWords = z.output<z.ZodObject<typeof lessonWords>>;

const lampFigures = z.strictObject({
  type: z.enum(LAMP_TYPES),
  technology: z.enum(['phosphide', 'nitride', 'phosphor-converted', 'arsenide']),
  vf: z.number().min(0.5).max(10),
  vfLow: z.number().min(0.5).max(10),
  vfHigh: z.number().min(0.5).max(10),
  at: z.number().min(1e-5).max(1),
  n: z.number().min(0.5).max(20),
  rs: z.number().min(0).max(1000),
  maxAmps: z.number().min(1e-4).max(1),
  absoluteAmps: z.number().min(1e-4).max(2),
  reverseLimit: z.number().min(1).max(100),
  origin: z.enum(ORIGINS),
});

/** One lesson as a file: its words, its wishes, a hand-arranged plan if there is one, and the lamp's own figures. */
export const lessonFileSchema = z.strictObject({
  format: z.literal(LESSON_FORMAT),
  ...lessonWords,
  choice: choiceSchema,
  plan: planSchema.nullable().default(null),
  /** The figures of one lamp as the sender's store has them: how a file with a single lamp carries it. */
  lamp: lampFigures.nullable().default(null),
  /** The same for every sort of lamp in the lesson, so that the sums come out the same elsewhere. */
  lamps: z.array(lampFigures).max(9).default([]),
  /** Every part as it is worked out where the file was written, so that what differs elsewhere can be told. */
  built: z.array(builtSchema).max(400).default([]),
});

export type LessonFile = z.output<typeof lessonFileSchema>;

/** Reads a lesson file whole or not at all. */
export function parseLesson(source: string): Outcome<LessonFile> {
  const json = readJson(source, LESSON_BYTES);
  if (!json.ok) return json;
  const strange = strangeFormat(json.value, LESSON_FORMAT);
  if (strange) return refused(strange);
  const file = lessonFileSchema.safeParse(json.value);
  return file.success ? accepted(file.data) : { ok: false, findings: problemsOf(file.error, () => 'lesson') };
}

export function serialiseLesson(file: LessonFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Whether two lamps would make different sums. */
export function lampDiffers(file: LampFigures, own: LampFigures): boolean {
  const keys = ['vf', 'vfLow', 'vfHigh', 'at', 'n', 'rs', 'maxAmps'] as const;
  return keys.some((key) => file[key] !== own[key]);
}

export type { LampType };
