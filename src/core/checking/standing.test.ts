import { countingReadings, standingReadings, type ReadingKind } from './standing';

const numbers = (readings: readonly { readonly id: number }[]) => readings.map(({ id }) => id);
const reading = (id: number, typed = '2.9', kind: ReadingKind = 'first', point = 'R1') => ({
  id,
  point,
  typed,
  kind,
});
const read = (...ids: number[]) => ids.map((id) => reading(id));

describe('readings of a bench that was mended', () => {
  it('all count where nothing was mended', () => {
    expect(numbers(countingReadings(read(3, 5, 9), 0))).toEqual([3, 5, 9]);
  });

  it('count on until the first one after it, which leaves the earlier behind', () => {
    expect(numbers(countingReadings(read(3, 5, 9), 9))).toEqual([3, 5, 9]);
    expect(numbers(countingReadings(read(3, 5, 9, 12), 9))).toEqual([12]);
  });

  it('that are on their way were read since', () => {
    expect(numbers(countingReadings(read(3, 5, 9, -77), 9))).toEqual([-77]);
  });

  it('count again when what was read since is taken back', () => {
    const all = [...read(3, 5), reading(12, '0.1', 'retest'), reading(13, '0.1', 'taken-back')];
    expect(numbers(countingReadings(all, 9))).toEqual([3, 5]);
  });
});

describe('a reading that is taken back', () => {
  it('is the newest one of that text there, and the one before it stands again', () => {
    const all = [
      reading(1, '2.9'),
      reading(2, '0.1', 'retest'),
      reading(3, '0.1', 'first', 'D1'),
      reading(4, '0.1', 'taken-back'),
    ];
    expect(numbers(standingReadings(all))).toEqual([1, 3]);
  });

  it('twice, by two people, takes no second one with it', () => {
    const all = [
      reading(1, '2.8'),
      reading(2, '2.9'),
      reading(3, '2.9', 'taken-back'),
      reading(4, '2.9', 'taken-back'),
    ];
    expect(numbers(standingReadings(all))).toEqual([1]);
  });

  it('can be typed again', () => {
    const all = [reading(1), reading(2, '2.9', 'taken-back'), reading(3)];
    expect(numbers(standingReadings(all))).toEqual([3]);
  });
});
