import { z } from 'zod';

const digits = z
  .string()
  .regex(/^\d{1,9}$/u)
  .transform(Number);

/** A row number out of an address; undefined for anything that cannot be one. */
export function pageId(text: string): number | undefined {
  const read = digits.safeParse(text);
  return read.success ? read.data : undefined;
}
