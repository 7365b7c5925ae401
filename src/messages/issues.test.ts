import { z } from 'zod';
import { meterSchema, styleSchema } from '@/core';
import { issueSentence, issueWords } from './issues';

describe('what is wrong with what was typed', () => {
  const schema = z.strictObject({
    name: z.string().trim().min(1).max(5),
    count: z.number().int().min(2).max(9),
    word: z.string().min(3),
    day: z.iso.date(),
    side: z.enum(['plus', 'minus']),
    sum: z.number().refine((n) => n % 2 === 0, { error: 'must be even' }),
    on: z.boolean(),
  });
  const good = { name: 'Tern', count: 3, word: 'lamp', day: '2026-12-01', side: 'plus', sum: 4, on: true };
  const FIELDS = { name: 'The name', count: 'The count', word: 'The word', day: 'The day', sum: 'The sum' };
  const sentence = (more: Readonly<Record<string, unknown>>) => {
    const read = schema.safeParse({ ...good, ...more });
    return read.success ? 'taken' : issueSentence(read.error, FIELDS, 'The form');
  };

  it('is said by the name of the field and its limit', () => {
    expect(sentence({})).toBe('taken');
    expect(sentence({ name: ' ' })).toBe('The name is missing. Nothing was saved.');
    expect(sentence({ name: 'Ternary' })).toBe(
      'The name must not be longer than 5 letters. Nothing was saved.',
    );
    expect(sentence({ count: 1 })).toBe('The count must be at least 2. Nothing was saved.');
    expect(sentence({ count: 10 })).toBe('The count must be at most 9. Nothing was saved.');
    expect(sentence({ count: NaN })).toBe('The count must be a number. Nothing was saved.');
    expect(sentence({ count: 2.5 })).toBe('The count must be a whole number. Nothing was saved.');
    expect(sentence({ word: 'ab' })).toBe('The word must have at least 3 letters. Nothing was saved.');
    expect(sentence({ day: '31 December' })).toBe(
      'The day must be a day of the calendar. Nothing was saved.',
    );
    expect(sentence({ side: 'left' })).toBe('The form must be one of plus, minus. Nothing was saved.');
    expect(sentence({ sum: 3 })).toBe('The sum must be even. Nothing was saved.');
    expect(sentence({ on: 'yes' })).toBe('The form must be yes or no. Nothing was saved.');
    expect(sentence({ extra: 1 })).toBe('The form is not what can be kept here. Nothing was saved.');
  });

  it('never says what a schema says by itself, in any figure of house style and meter', () => {
    const wrong = [undefined, null, NaN, -1, 1e9, '', 'x'.repeat(500), {}, []];
    for (const [one, name] of [
      [styleSchema, Object.keys(styleSchema.shape)],
      [meterSchema, Object.keys(meterSchema.shape)],
    ] as const) {
      const whole = one.safeParse(one === styleSchema ? {} : { name: 'm', counts: 1999 });
      for (const field of name)
        for (const value of wrong) {
          const read = one.safeParse(
            { ...(whole.success ? whole.data : {}), [field]: value },
            { error: issueWords },
          );
          for (const { message } of read.success ? [] : read.error.issues)
            expect(message).not.toMatch(/invalid|expected|received|too (?:small|big)|>=|<=/iu);
        }
    }
  });
});
