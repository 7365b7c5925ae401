import { isProblem, type FieldProblem } from '../devices/device';
import type { Part } from './circuit';
import { deviceOf } from './deviceOf';
import { partSchemas } from './schema';

/**
 * The part with one field of the circuit file set anew, checked as in a file.
 *
 * @returns the part, or what is wrong with the field
 */
export function withField(part: Part, field: string, value: number): Part | FieldProblem {
  const { id, kind, pins, params } = part;
  const schema = partSchemas[kind];
  if (!(field in deviceOf(part).fields)) return { field, problem: 'is not a field of this part' };
  const given = schema.safeParse({ id, kind, pins, ...params, [field]: value });
  if (!given.success) {
    const [issue] = given.error.issues;
    const figure = issue && ['too_small', 'too_big', 'custom'].includes(issue.code);
    return { field, problem: figure ? `of ${value} ${issue.message}` : 'cannot be varied' };
  }
  const { id: _id, kind: _kind, pins: _pins, ...fields } = given.data as Record<string, unknown>;
  const resolved = deviceOf(part).resolve(fields);
  return isProblem(resolved) ? resolved : ({ ...part, params: resolved } as Part);
}
