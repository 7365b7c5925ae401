import { z } from 'zod';
import { READING_KINDS } from '@/core';

/** The figures that a reading may hold, in SI: what the screen takes the database keeps, and nothing else. */
export const READING_MOST = 10_000;

/** A reading as it is sent; the screen checks by it before it sends, and the server before it keeps. */
export const readingSchema = z.strictObject({
  sessionId: z.number().int().positive(),
  studentId: z.number().int().positive(),
  point: z.string().min(1).max(40),
  kind: z.enum(READING_KINDS),
  value: z.number().min(-READING_MOST).max(READING_MOST),
  step: z.number().min(0).max(READING_MOST),
  // What was seen may name several parts.
  typed: z.string().min(1).max(200),
  meter: z.string().max(40),
  takenBy: z.string().max(30),
  takenAt: z.iso.datetime(),
  entryKey: z.uuid(),
});

export const READING_FIELDS = {
  value: 'The figure',
  typed: 'What was typed',
  takenBy: 'The name of who read it',
} as const;
