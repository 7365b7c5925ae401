import type { Checkpoint } from '../observe/checkpoint';
import { atOdds } from './atOdds';
import type { Expected } from './expected';

const POINT: Checkpoint = {
  id: 'R1',
  part: 'R1',
  kind: 'resistor',
  measure: 'volts',
  from: { part: 'R1', pin: 'a' },
  to: { part: 'R1', pin: 'b' },
};
const band = (figures: Partial<Expected>): Expected => ({
  id: 'R1',
  unit: 'V',
  typical: 2,
  low: 1.9,
  high: 2.1,
  worstLow: 1.8,
  worstHigh: 2.2,
  point: POINT,
  histogram: { from: 1.8, to: 2.2, shares: [1] },
  ...figures,
});
const codes = (figures: Partial<Expected>, unsettled = 0) =>
  atOdds({ points: [band(figures)], samples: 1000, seed: 1, unsettled }).map(({ code }) => code);

describe('figures that contradict one another', () => {
  it('are none where the band lies between its corners and about the typical figure', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ typical: 2, low: 2, high: 2, worstLow: 2, worstHigh: 2 })).toEqual([]);
  });

  it('are named where corners lie inside the band, or the typical figure outside of them', () => {
    expect(codes({ worstLow: 1.95 })).toEqual(['band-at-odds']);
    expect(codes({ typical: 0.522, low: 0.32, high: 0.38, worstLow: 0.32, worstHigh: 0.38 })).toEqual([
      'band-at-odds',
    ]);
  });

  it('are named where more than one in a hundred draws did not settle', () => {
    expect(codes({}, 10)).toEqual([]);
    expect(codes({}, 11)).toEqual(['draws-left-out']);
  });
});
