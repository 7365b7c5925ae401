import { countedAs } from './countedAs';
import { implausible } from './plausible';
import { noteReading } from './noted';

const asked = (typed: string, typical: number) => {
  const found = countedAs(typed, Number(typed.replace(',', '.')), typical);
  return found?.code === 'reading-counted' ? found.data.perhaps : undefined;
};

describe('a rate that was typed bare', () => {
  it('may be a count in ten seconds, or a period', () => {
    expect(asked('7', 0.7)).toBe('7/10');
    expect(asked('1.4', 0.7)).toBe('1/1.4');
    expect(asked('1,4', 0.7)).toBe('1/1,4');
  });

  it('is a rate where it is near one, and where seconds or a unit stand with it', () => {
    expect(asked('0.72', 0.7)).toBeUndefined();
    // At one a second a rate and a period are the same figure.
    expect(asked('1.1', 1)).toBeUndefined();
    expect(countedAs('7/10', 0.7, 0.7)).toBeUndefined();
    expect(countedAs('7 Hz', 7, 0.7)).toBeUndefined();
  });

  it('is not asked about where it is neither', () => {
    expect(asked('3', 0.7)).toBeUndefined();
  });
});

describe('a small figure', () => {
  it('is a slip of the unit, unless a named mistake reads just that', () => {
    const expected = { typical: 8.5, unit: 'V' } as const;
    expect(implausible('0.01', 0.01, 9, expected)?.code).toBe('reading-implausible');
    expect(implausible('0.01', 0.01, 9, expected, [0.012, 9])).toBeUndefined();
    expect(implausible('0.01', 0.01, 9, expected, [0, 9])?.code).toBe('reading-implausible');
  });
});

describe('a comma', () => {
  const value = (typed: string, measured: 'volts' | 'amps' | 'hertz') => {
    const noted = noteReading(typed, measured);
    return noted.ok ? noted.value : noted.findings[0]?.code;
  };

  it('is a decimal one wherever thousands cannot be meant', () => {
    expect(value('0,703', 'volts')).toEqual({ value: 0.703, step: 0.001 });
    expect(value('2,93', 'volts')).toEqual({ value: 2.93, step: 0.01 });
    expect(value('2,931', 'volts')).toEqual({ value: 2.931, step: 0.001 });
    expect(value('8,853', 'amps')).toMatchObject({ value: 0.008853 });
    expect(value('0,703', 'hertz')).toMatchObject({ value: 0.703 });
  });

  it('is asked about where a pitch may have thousands', () => {
    expect(value('1,234', 'hertz')).toBe('ambiguous-comma');
  });
});
