import type { z } from 'zod';

type Issue = z.core.$ZodRawIssue;

/** Fields by the name that a form gives them. */
export type FieldNames = Readonly<Record<string, string>>;

/**
 * What is wrong with what was typed, in words: the field by its name and the limit that it breaks.
 *
 * @param names what the fields are called on the screen
 * @param otherwise what a field without a name is called
 */
export function issueSentence(
  error: z.ZodError,
  names: FieldNames = {},
  otherwise = 'What was sent',
): string {
  const issue = error.issues[0];
  if (!issue) return `${otherwise} cannot be taken. Nothing was saved.`;
  const field = issue.path.map(String).find((name) => names[name] !== undefined);
  return `${field === undefined ? otherwise : names[field]} ${issueWords(issue as Issue)}. Nothing was saved.`;
}

/** Why a field cannot be taken, to follow its name. */
export function issueWords(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
      if (issue.origin !== 'string') return `must be at least ${issue.minimum}`;
      return Number(issue.minimum) <= 1 ? 'is missing' : `must have at least ${issue.minimum} letters`;
    case 'too_big':
      return issue.origin === 'string'
        ? `must not be longer than ${issue.maximum} letters`
        : `must be at most ${issue.maximum}`;
    case 'invalid_type':
      return WANTED[issue.expected] ?? 'is not what can be kept here';
    case 'invalid_value':
      return issue.values.length > 1
        ? `must be one of ${issue.values.map(String).join(', ')}`
        : 'is another one';
    case 'not_multiple_of':
      return `must be a multiple of ${issue.divisor}`;
    case 'invalid_format':
      return issue.format === 'date' ? 'must be a day of the calendar' : 'is not written as it should be';
    case 'custom':
      return issue.message ?? 'is not what can be kept here';
    default:
      return 'is not what can be kept here';
  }
}

const WANTED: Readonly<Record<string, string>> = {
  number: 'must be a number',
  int: 'must be a whole number',
  string: 'must be text',
  boolean: 'must be yes or no',
};
