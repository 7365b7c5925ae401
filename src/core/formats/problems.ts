import type { z } from 'zod';
import { finding, type Finding } from '../findings/finding';

/** Names the thing at a path of a parsed file: `R1`, `part 3`, `check 2`, `circuit`. */
export type PlaceNamer = (path: readonly PropertyKey[]) => string;

/** Every Zod issue as a finding that names the place, the field and what is wrong with it. */
export function problemsOf(error: z.ZodError, nameOf: PlaceNamer): Finding[] {
  return error.issues.flatMap((issue) =>
    issueProblems(issue).map(({ path, problem }) =>
      finding('bad-field', { place: nameOf(path), field: fieldOf(path), problem }),
    ),
  );
}

type Issue = z.core.$ZodIssue;

function issueProblems(issue: Issue): { path: PropertyKey[]; problem: string }[] {
  switch (issue.code) {
    case 'unrecognized_keys':
      return issue.keys.map((key) => ({ path: [...issue.path, key], problem: 'is not a known field' }));
    case 'invalid_type':
      return [{ path: issue.path, problem: typeProblem(issue) }];
    case 'invalid_union':
      return [unionProblem(issue)];
    case 'invalid_value':
      return [{ path: issue.path, problem: `must be one of ${issue.values.join(', ')}` }];
    default:
      return [{ path: issue.path, problem: issue.message }];
  }
}

function typeProblem(issue: Extract<Issue, { code: 'invalid_type' }>): string {
  if (issue.input === undefined && issue.message.includes('undefined')) return 'is missing';
  return issue.message.includes('received undefined') ? 'is missing' : `must be ${issue.expected}`;
}

function unionProblem(issue: Extract<Issue, { code: 'invalid_union' }>): {
  path: PropertyKey[];
  problem: string;
} {
  if (issue.discriminator) {
    return {
      path: [...issue.path.filter((p) => p !== issue.discriminator), issue.discriminator],
      problem: 'is not a known one',
    };
  }
  const missing = issue.errors.flat().some((inner) => inner.message.includes('received undefined'));
  return { path: issue.path, problem: missing ? 'is missing' : 'must be a figure' };
}

function fieldOf(path: readonly PropertyKey[]): string {
  const named = path.filter((step) => typeof step === 'string');
  return named.slice(-1)[0]?.toString() ?? 'file';
}
