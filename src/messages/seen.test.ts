import { GLANCE, WHOLE_BENCH } from '@/core';
import { benchRead, looksWords, readSeen, seenText } from './seen';

const LAMPS = ['D1', 'D2', 'D3'];
const looks = (typed: string, lamps = LAMPS) => {
  const read = readSeen(typed, lamps);
  return 'looks' in read ? read.looks : read.message;
};

describe('how the lamps look, as it is typed', () => {
  it.each([
    ['ok', [{ lamp: WHOLE_BENCH, word: 'as-planned' }]],
    ['=', [{ lamp: WHOLE_BENCH, word: 'as-planned' }]],
    ['d', LAMPS.map((lamp) => ({ lamp, word: 'dark' }))],
    ['h', [{ lamp: WHOLE_BENCH, word: 'hot' }]],
    ['wrong lamp', [{ lamp: WHOLE_BENCH, word: 'wrong-lamp' }]],
  ])('“%s” speaks of the bench', (typed, said) => {
    expect(looks(typed)).toEqual(said);
  });

  it.each(['2d', 'D2 dark', 'd2 is dark', '2 out'])(
    '“%s” speaks of one lamp, the others are as planned',
    (typed) => {
      expect(looks(typed)).toEqual([
        { lamp: 'D2', word: 'dark' },
        { lamp: 'D1', word: 'as-planned' },
        { lamp: 'D3', word: 'as-planned' },
      ]);
    },
  );

  it('takes several, and is kept in words that are read back the same', () => {
    const said = looks('2d, 3 dim; hot');
    expect(said).toContainEqual({ lamp: 'D3', word: 'dim' });
    expect(said).toContainEqual({ lamp: WHOLE_BENCH, word: 'hot' });
    for (const typed of ['ok', '2d, 3 dim; hot', 'D1 another colour', 'w', '1 flickering', 'd']) {
      const first = looks(typed);
      if (typeof first === 'string') throw new Error(first);
      const text = seenText(first);
      const again = looks(text);
      expect(typeof again === 'string' ? again : seenText(again)).toBe(text);
    }
  });

  it('says what may be typed where it understands nothing', () => {
    expect(looks('7 dark')).toContain('“7 dark” says nothing of a lamp');
    expect(looks('purple')).toContain('d dark');
    expect(looks(' ')).toContain('Type ok');
  });

  it('is told as a phrase', () => {
    expect(looksWords({ D1: 'dark', D2: 'lit', D3: 'lit' })).toBe('D1 dark, D2 and D3 lit');
  });
});

describe('what counts of a bench', () => {
  it('is the newest figure of each checkpoint and the newest glance', () => {
    const read = benchRead(
      [
        { point: 'R1', value: 1, step: 0.01, typed: '1.00' },
        { point: GLANCE, value: 1, step: 0, typed: 'D1 dark' },
        { point: 'R1', value: 2, step: 0.01, typed: '2.00' },
        { point: GLANCE, value: 0, step: 0, typed: 'ok' },
      ],
      LAMPS,
    );
    expect(read).toEqual({
      noted: [{ point: 'R1', value: 2, step: 0.01 }],
      looks: [{ lamp: WHOLE_BENCH, word: 'as-planned' }],
    });
  });
});
