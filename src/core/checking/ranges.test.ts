import { choiceWith, patternSheet, requestWith, ROUGH } from '../../../tests/support/sheets';
import { ampRangesFor, DEFAULT_METER, rangesNoted } from '../catalogue/meter';
import { isKind } from '../circuit/circuit';
import { isGapped } from '../observe/checkpoint';
import type { ParamsOf } from '../sheet/choice';
import type { PatternId } from '../patterns/index';
import { faultContext, sessionExpectation } from '../sheet/expectation';
import { judgeBench, judgeReading } from './bench';
import { faultsOf } from './faults/index';
import { simulatedBench } from './simulated';

const MA = 1e-3;

describe('the range that a hand takes for a current', () => {
  it('is the smallest that what flows before does not overflow, and one beside it', () => {
    expect(ampRangesFor(DEFAULT_METER, 8 * MA)).toEqual([0.02, 0.2]);
    expect(ampRangesFor(DEFAULT_METER, 19.9 * MA)).toEqual([0.02, 0.2]);
    // Within a tenth over the border a bench of a little less takes the finer one.
    expect(ampRangesFor(DEFAULT_METER, 20.8 * MA)).toEqual([0.2, 0.02]);
    // Further on there is one; the next has a jack of its own, and is taken where this one nearly overflows.
    expect(ampRangesFor(DEFAULT_METER, 60 * MA)).toEqual([0.2]);
    expect(ampRangesFor(DEFAULT_METER, 190 * MA)).toEqual([0.2, 10]);
    expect(ampRangesFor(DEFAULT_METER, -8 * MA)).toEqual([0.02, 0.2]);
  });

  it('is told by the digits that were noted', () => {
    const noted = (milliamps: number, step: number) =>
      rangesNoted(DEFAULT_METER, [0.02, 0.2], milliamps * MA, step * MA);
    expect(noted(18.35, 0.01)).toEqual([0.02]);
    // The last digit of the coarser one, or a finer one's figure rounded.
    expect(noted(18.3, 0.1)).toEqual([0.2, 0.02]);
    expect(noted(20.8, 0.1)).toEqual([0.2]);
    expect(noted(20.8, 0.001)).toEqual([]);
  });
});

function lessonOf<Id extends PatternId>(pattern: Id, params: Partial<ParamsOf<Id>>) {
  const sheet = patternSheet(pattern, params, 'half', ROUGH);
  const request = { ...requestWith({}, ROUGH), choice: choiceWith(pattern, params) };
  return { session: sessionExpectation(sheet, request), context: faultContext(sheet, request) };
}

describe.each([
  ['well within the finer range', 0.008],
  ['just under its end', 0.0195],
  ['just over its end', 0.0207],
])('a current %s', (_, amps) => {
  const { session, context } = lessonOf('single', {
    amps,
    supply: { kind: 'block-9v', cells: 1, age: 'fresh' },
  });
  const at = session.dictionary.points.findIndex(isGapped);
  const { id } = session.dictionary.points[at]!;

  it('reads 9 Ω apart on the two ranges, by the band and by every mistake', () => {
    const { typical, ranges, burden } = session.expected.points[at]!;
    const other = ranges![1]!;
    const ohms = other.range === 0.2 ? 1 : 10;
    // The lamp's volts stay nearly as they are: V / (R + own ohms).
    const series = context.circuit.parts.reduce(
      (sum, part) => sum + (isKind(part, 'resistor') ? part.params.ohms : 0),
      0,
    );
    expect(typical).toBeGreaterThan(0.9 * amps);
    expect(Math.abs(other.share / ((series + burden!) / (series + ohms)) - 1)).toBeLessThan(0.006);
    const { onRanges } = session.dictionary.signatures.find(({ data }) => data.ohms !== undefined)!;
    expect(onRanges![at]![1]! > 1).toBe(ohms < burden!);
  });

  it('is right on either range at right builds, and its bench is', () => {
    const right = faultsOf(context)[0]!;
    for (let seed = 1; seed <= 12; seed++)
      for (const beside of [false, true]) {
        const chance = { seed, gain: seed % 2 ? 1 : -1, beside };
        const { shown } = simulatedBench(right, session.dictionary.points, DEFAULT_METER, context, chance);
        const noted = shown.map((one) => one!);
        expect(judgeReading(session, noted[at]!)!.verdict.verdict).not.toBe('off');
        expect(judgeBench(session, noted).state).toBe('right');
      }
  });

  it('is taken for no slip of the resistor where the coarser range was used', () => {
    const right = faultsOf(context)[0]!;
    const chance = { seed: 4, wider: 0, beside: true };
    const { shown } = simulatedBench(right, session.dictionary.points, DEFAULT_METER, context, chance);
    const current = shown.find((one) => one!.point === id)!;
    const { diagnosis, state } = judgeBench(session, [current]);
    expect(state).toBe('right');
    expect(diagnosis?.groups[0]?.causes[0]?.code ?? 'right').toMatch(/^right$|^supply-used$/u);
  });
});
