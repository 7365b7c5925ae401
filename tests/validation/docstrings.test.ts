import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { standardBlinker } from '@/demo/circuits';
import { DEFAULT_STYLE, PATTERNS } from '@/core';
import { lampLoop, made } from '../support/circuits';

const SOURCES = path.resolve(__dirname, '../../src');

/** What examples speak of besides plain values. */
const AROUND = {
  oneLamp: lampLoop(9, 0, 'green', 560),
  blinker: made(standardBlinker('bipolar', 9, [10e3, 47e3], 10e-6)),
  signals: PATTERNS.sequence.defaults(DEFAULT_STYLE),
  lamps: PATTERNS['sound-lights'].defaults(DEFAULT_STYLE).lamps,
};

interface Example {
  readonly file: string;
  readonly call: string;
  readonly gives: string;
}

/** Every `@example call // what it gives` of a file; it may go on in the next lines. */
function examplesIn(file: string): Example[] {
  const comments = readFileSync(file, 'utf8').match(/\/\*\*[\s\S]*?\*\//gu) ?? [];
  return comments.flatMap((comment) => {
    const text = comment.slice(3, -2).replace(/^\s*\* ?/gmu, '');
    return text
      .split(/^(?=@)/mu)
      .filter((tag) => tag.startsWith('@example '))
      .map((tag) => {
        const [call, gives = ''] = tag.slice('@example '.length).replace(/\s+/gu, ' ').trim().split(' // ');
        return { file, call: call!, gives };
      });
  });
}

const files = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.tsx?$/u.test(file) && !file.includes('.test.'))
  .map((file) => path.join(SOURCES, file));
const examples = files.flatMap(examplesIn);

function evaluated(text: string, known: object): unknown {
  return (new Function(...Object.keys(known), `return (${text});`) as (...values: unknown[]) => unknown)(
    ...Object.values(known),
  );
}

it('docstrings have examples', () => {
  expect(examples.length).toBeGreaterThan(15);
});

it.each(examples.map((one) => [`${path.relative(SOURCES, one.file)}: ${one.call}`, one] as const))(
  'example of %s',
  async (_, { file, call, gives }) => {
    const told = evaluated(call, { ...((await import(file)) as object), ...AROUND });
    const [at, figure] = gives.split(' → ');
    if (figure !== undefined) {
      const value = at!
        .split('.')
        .reduce((inside, name) => (inside as Record<string, unknown>)[name], told) as number;
      expect(value / Number(figure)).toBeCloseTo(1, 3);
    } else if (typeof told === 'object') expect(told).toMatchObject(evaluated(gives, {}) as object);
    else expect(told).toEqual(evaluated(gives, {}));
  },
);
