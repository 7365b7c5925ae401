import { z } from 'zod';
import { circuitSchema, lessonFileSchema } from '@/core';

/** The published JSON Schemas, made from the schemas in force, by file name. */
export function jsonSchemas(): Record<string, object> {
  const options = { io: 'input', unrepresentable: 'any' } as const;
  return {
    'circuit.schema.json': { title: 'mivvet.circuit/1', ...z.toJSONSchema(circuitSchema, options) },
    'lesson.schema.json': { title: 'mivvet.lesson/1', ...z.toJSONSchema(lessonFileSchema, options) },
  };
}
