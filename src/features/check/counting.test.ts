import type { Reading } from '@/server/repositories/readings';
import { countingOf } from './counting';

const read = (id: number, point: string) => ({ id, point }) as Reading;
const OWN = [read(1, 'predicted'), read(2, 'R1'), read(3, 'D1'), read(7, 'R1')];
const ids = (mended: number, own = OWN) => countingOf(own, 'predicted', mended).map(({ id }) => id);

describe('readings that count', () => {
  it('are all where nothing was mended', () => {
    expect(ids(0)).toEqual([1, 2, 3, 7]);
  });

  it('are those since it was mended, and the guess that was made before', () => {
    expect(ids(3)).toEqual([1, 7]);
  });

  it('are all again where nothing but a guess came after', () => {
    expect(ids(7, [...OWN, read(8, 'predicted')])).toEqual([1, 8, 2, 3, 7]);
  });
});
