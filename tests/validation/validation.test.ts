import { errorOf } from './case';
import { CHAPTERS } from './cases';

describe.each(Object.entries(CHAPTERS))('%s', (_chapter, cases) => {
  it.each(cases().map((c) => [`${c.name}: ${c.quantity}`, c] as const))('%s', (_name, c) => {
    expect(errorOf(c)).toBeLessThanOrEqual(c.allowed);
  });
});
