import { DEFAULT_METER, type MeterFigures } from '../catalogue/meter';
import type { FaultDictionary, Signature } from './dictionary';
import { nextMeasurement } from './next';
import { GLANCE } from './seen';
import { withPairs } from './pairs';
import { alikeAt, candidatesOf, indistinct, weigh, withCandidates } from './weigh';

const EXACT: MeterFigures = { ...DEFAULT_METER, volts: { ...DEFAULT_METER.volts, share: 0, counts: 0 } };
const point = (id: string) => ({
  id,
  part: id,
  kind: 'resistor',
  measure: 'volts',
  from: 'x',
  to: 'y',
  usual: 6,
});

/** A candidate of two checkpoints, each with a deviation of 0.1 V. */
function candidate(code: Signature['code'], prior: number, a: number, b: number, look = 'lit'): Signature {
  const variance = (0.1 / 1.2) ** 2;
  const covariance = [
    [variance, 0],
    [0, variance],
  ];
  return { code, data: { part: code }, prior, looks: { D1: look as 'lit' }, means: [a, b], covariance };
}

const dictionary = (...signatures: Signature[]): FaultDictionary =>
  ({ points: [point('a'), point('b')], signatures, unsettled: 0 }) as unknown as FaultDictionary;
const read = (at: number, value: number) => ({ point: at, value, gain: 0, own: 0 });

const [RIGHT, SHORTED, OPEN] = [
  candidate('right', 1, 3, 2),
  candidate('resistor-shorted', 3, 0, 2),
  candidate('lamp-open', 1, 3, 5, 'dark'),
];
const three = candidatesOf(dictionary(RIGHT, SHORTED, OPEN), EXACT);

describe('belief', () => {
  it('begins with six right builds of ten, one thing in fifty that no list has, and mistakes by how often they are made', () => {
    const beliefs = weigh(three, { taken: [], looks: [] });
    [0.6, 0.38 * 0.75, 0.38 * 0.25, 0.02].forEach((share, i) => expect(beliefs[i]).toBeCloseTo(share, 12));
  });

  it('follows Bayes: shares beforehand times densities, and a flat density for something else', () => {
    // At 3.0 V the right build and the open lamp have the peak of their curve, the short is thirty deviations off; over
    // one and a half times the 3 V that all candidates span lies what is on no list.
    const peak = (105 * Math.sqrt(Math.PI)) / 16 / (Math.sqrt(8 * Math.PI) * 6) / 0.1;
    const raw = [0.6 * peak, 0, 0.095 * peak, 0.02 / 4.5];
    const total = raw.reduce((a, b) => a + b);
    weigh(three, { taken: [read(0, 3)], looks: [] }).forEach((belief, i) =>
      expect(belief).toBeCloseTo(raw[i]! / total, 9),
    );
  });

  it('goes to something else where nothing explains a reading', () => {
    expect(weigh(three, { taken: [read(0, 1.5)], looks: [] })).toEqual([0, 0, 0, 1]);
  });

  it('in a dark lamp is belief in what leaves it dark', () => {
    const beliefs = weigh(three, { taken: [], looks: [{ lamp: 'D1', word: 'dark' }] });
    expect(beliefs[2]).toBeGreaterThan(0.8);
    expect(beliefs.reduce((a, b) => a + b)).toBeCloseTo(1, 12);
  });

  it('leaves room for candidates that are added', () => {
    const both = candidate('resistor-missing', 0.01, 1.5, 5);
    const more = withCandidates(three, [{ signature: both, prior: 0.01, widths: [0.1, 0.1] }]);
    const beliefs = weigh(more, { taken: [read(0, 1.5)], looks: [] });
    expect(beliefs).toHaveLength(5);
    expect(beliefs[3]).toBeGreaterThan(0.8);
    expect(beliefs[4]).toBeCloseTo(1 - beliefs[3]!, 12);
  });
});

describe('two candidates', () => {
  it('are told apart by a checkpoint, or by a look, or by nothing', () => {
    const near = candidate('lamp-reversed', 1, 3.04, 5.04, 'dark');
    const all = candidatesOf(dictionary(RIGHT, SHORTED, OPEN, near), EXACT);
    expect(alikeAt(all, 0, 2, [0])).toBe(true);
    expect(alikeAt(all, 0, 2)).toBe(false);
    expect(indistinct(all, 2, 3)).toBe(true);
    const lit = candidatesOf(dictionary(OPEN, candidate('lamp-reversed', 1, 3.04, 5.04)), EXACT);
    expect([alikeAt(lit, 0, 1), indistinct(lit, 0, 1)]).toEqual([true, false]);
  });
});

describe('the next measurement', () => {
  const asked = (...beliefs: number[]) => nextMeasurement(three, beliefs, { taken: [], looks: [] });

  it('between two that are equally likely and far apart tells one bit', () => {
    const next = asked(0.5, 0.5, 0, 0)!;
    expect(next.point).toBe('a');
    expect(next.bits).toBeCloseTo(1, 2);
  });

  it('of a sure thing is none', () => {
    expect(asked(1, 0, 0, 0)).toBeUndefined();
  });

  it('is a look where it tells nearly as much: it takes no probe', () => {
    expect(asked(0.5, 0, 0.5, 0)).toMatchObject({ point: GLANCE });
    const seen = nextMeasurement(three, [0.5, 0, 0.5, 0], {
      taken: [],
      looks: [{ lamp: 'D1', word: 'lit' }],
    });
    expect(seen?.point).toBe('b');
  });

  it('is never one that was made', () => {
    const left = nextMeasurement(three, [0.5, 0.5, 0, 0], { taken: [read(0, 3)], looks: [] });
    expect(left?.point).not.toBe('a');
  });
});

describe('two mistakes at once', () => {
  it('are looked for too where many share the belief, and what no list has leads with little of it', () => {
    const signatures = [
      RIGHT,
      ...[1, 2, 3, 4, 5, 6].map((volts) => candidate('wrong-resistor', 1, volts, 2)),
    ];
    const many = candidatesOf(dictionary(...signatures), EXACT);
    const beliefs = [...signatures.map(() => 0.83 / 7), 0.17];
    const found = withPairs(many, beliefs, { taken: [read(0, 9)], looks: [] });
    expect(found.dictionary.signatures.slice(0, 7)).toEqual(signatures);
  });
});
