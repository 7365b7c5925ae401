import { z } from 'zod';

/** What a schema allows of a number. */
export interface Limits {
  readonly low: number;
  readonly high: number;
}

/**
 * Limits that a schema sets to one of its numbers.
 *
 * @param path keys and indices from the outside in
 * @throws where there is no number with both limits: a programmer's mistake
 */
export function limitsAt(schema: unknown, path: readonly string[]): Limits {
  const inner = unwrapped(schema);
  const [key, ...rest] = path;
  if (key !== undefined) return limitsAt(childOf(inner, key), rest);
  if (!(inner instanceof z.ZodNumber)) throw new Error('No number stands there.');
  const { minValue, maxValue } = inner;
  if (minValue === null || maxValue === null) throw new Error('The number has no limits.');
  return { low: minValue, high: maxValue };
}

function unwrapped(schema: unknown): unknown {
  const isWrapped =
    schema instanceof z.ZodOptional || schema instanceof z.ZodReadonly || schema instanceof z.ZodDefault;
  return isWrapped ? unwrapped(schema.unwrap()) : schema;
}

function childOf(schema: unknown, key: string): unknown {
  if (schema instanceof z.ZodObject) return (schema.shape as Readonly<Record<string, unknown>>)[key];
  if (schema instanceof z.ZodArray) return schema.element;
  if (schema instanceof z.ZodTuple) return schema.def.items[Number(key)];
  throw new Error(`Nothing is called ${key} there.`);
}
