import { sinceMended } from './mended';

const numbers = (readings: readonly { readonly id: number }[]) => readings.map(({ id }) => id);
const read = (...ids: number[]) => ids.map((id) => ({ id }));

describe('readings of a bench that was mended', () => {
  it('all count where nothing was mended', () => {
    expect(numbers(sinceMended(read(3, 5, 9), 0))).toEqual([3, 5, 9]);
  });

  it('count on until the first one after it, which leaves the earlier behind', () => {
    expect(numbers(sinceMended(read(3, 5, 9), 9))).toEqual([3, 5, 9]);
    expect(numbers(sinceMended(read(3, 5, 9, 12), 9))).toEqual([12]);
  });

  it('that are on their way were read since', () => {
    expect(numbers(sinceMended(read(3, 5, 9, -77), 9))).toEqual([-77]);
  });
});
