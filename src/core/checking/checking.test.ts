import fc from 'fast-check';
import { expectationWith, requestWith, sheetWith } from '../../../tests/support/sheets';
import { DEFAULT_METER } from '../catalogue/meter';
import { solve } from '../solver/solve';
import { faultContext } from '../sheet/expectation';
import { judgeBench, judgeReading, SETTLED, type Noted } from './bench';
import { columnSummary } from './column';
import { drawReadings } from './dictionary';
import { expectedReadings } from './expected';
import { faultsOf } from './faults/index';
import { noteReading } from './noted';
import { implausible } from './plausible';
import { burdensFor } from '../observe/draws';
import { metered } from '../observe/meter';
import { expandedUncertainty, judge } from './verdict';

const session = expectationWith();
const sheet = sheetWith();
const POINTS = ['pack', 'R1', 'D1', 'current'] as const;

/** Figures as a helper would type them, in the order of the columns; null for one not measured. */
function bench(...typed: (string | null)[]): Noted[] {
  return typed.flatMap((text, i) => {
    if (text === null) return [];
    const noted = noteReading(text, i === 3 ? 'amps' : 'volts');
    if (!noted.ok) throw new Error(text);
    return [{ point: POINTS[i]!, ...noted.value }];
  });
}

function causesOf(...typed: (string | null)[]): string[] {
  const { diagnosis } = judgeBench(session, bench(...typed));
  return (diagnosis?.groups[0]?.causes ?? []).map((c) => `${c.code}${c.data.ohms ? ` ${c.data.ohms}` : ''}`);
}

describe('what a right build reads', () => {
  it('has four checkpoints that hang together', () => {
    const typical = Object.fromEntries(session.expected.points.map((p) => [p.point.id, p.typical]));
    // The voltmeter's own 10 MΩ takes less than a microampere.
    expect(typical['pack']).toBeCloseTo(typical['R1']! + typical['D1']!, 4);
    expect(typical['R1']! / 330).toBeCloseTo(sheet.sums.design.amps, 6);
  });

  it('lowers the current by the meter’s own ohms', () => {
    const current = session.expected.points[3]!;
    expect(current.burden).toBe(10);
    const amps = sheet.checkpoints[3]!;
    if (amps.measure !== 'amps') throw new Error('not a current');
    const outcome = solve(metered(sheet.circuit, amps, 'right', 10)!.circuit);
    expect(outcome.ok && outcome.value.parts['meter']!.amps).toBeCloseTo(current.typical, 9);
    expect(current.typical).toBeLessThan(sheet.sums.design.amps);
    expect((4.8 - 1.8733) / (330 + 10 + 0.45)).toBeCloseTo(current.typical, 5);
  });

  it('has a histogram that adds up to all draws', () => {
    for (const { histogram } of session.expected.points) {
      expect(histogram.shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    }
  });

  it('refuses a checkpoint whose part is not there', () => {
    const broken = { ...sheet.circuit, parts: sheet.circuit.parts.filter((p) => p.id === 'R1') };
    const outcome = expectedReadings(broken, sheet.checkpoints.slice(2, 3), DEFAULT_METER, {
      samples: 10,
      seed: 1,
      coverage: 0.95,
    });
    expect(outcome.ok).toBe(false);
  });
});

describe('a verdict by guard bands', () => {
  const band = { low: 2.67, high: 3.13 };
  const at = (value: number, range = 20) => judge({ value, range, step: 0.01 }, band, DEFAULT_METER, 'volts');

  it('is right, close or off as the uncertainty allows', () => {
    const u = expandedUncertainty({ value: 2.7, range: 20, step: 0.01 }, DEFAULT_METER, 'volts');
    expect(u).toBeCloseTo((2 * (0.005 * 2.7 + 0.02)) / Math.sqrt(3), 9);
    expect(at(2.9)).toMatchObject({ verdict: 'right', side: 'inside' });
    expect(at(2.67)).toMatchObject({ verdict: 'close', side: 'inside' });
    expect(at(2.65)).toMatchObject({ verdict: 'close', side: 'below' });
    expect(at(2.6)).toMatchObject({ verdict: 'off', side: 'below' });
    expect(at(3.3)).toMatchObject({ verdict: 'off', side: 'above' });
  });

  it('says when a finer range would settle it', () => {
    const small = { low: 1.73, high: 2.07 };
    const coarse = judge({ value: 1.74, range: 20, step: 0.01 }, small, DEFAULT_METER, 'volts');
    expect(coarse).toMatchObject({ verdict: 'close', settle: 'finer-range' });
    const fine = judge({ value: 1.74, range: 2, step: 0.001 }, small, DEFAULT_METER, 'volts');
    expect(fine.uncertainty).toBeLessThan(coarse.uncertainty);
    expect(at(2.68).settle).toBe('other-measurement');
  });

  it('never calls right what lies outside, nor off what lies inside', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 6, noNaN: true }), (value) => {
        const { verdict, side } = at(value);
        if (verdict === 'right') expect(side).toBe('inside');
        if (verdict === 'off') expect(side).not.toBe('inside');
      }),
    );
  });
});

describe('what is typed into a cell', () => {
  it.each([
    ['2.71', 'volts', 2.71, 0.01],
    ['2.714', 'volts', 2.714, 0.001],
    ['4.8', 'volts', 4.8, 0.1],
    ['8.8', 'amps', 0.0088, 1e-4],
    ['8.85 mA', 'amps', 0.00885, 1e-5],
    ['290 mV', 'volts', 0.29, 1e-3],
    ['0.00', 'volts', 0, 0.01],
    ['-2.9', 'volts', -2.9, 0.1],
    ['2,71', 'volts', 2.71, 0.01],
    ['no sound', 'hertz', 0, 0],
    ['None', 'hertz', 0, 0],
  ] as const)('%s as %s', (typed, measured, value, step) => {
    const noted = noteReading(typed, measured);
    expect(noted.ok && noted.value.value).toBeCloseTo(value, 9);
    expect(noted.ok && noted.value.step).toBeCloseTo(step, 9);
  });

  it('asks back when a figure is beyond anything the circuit could show', () => {
    const [pack] = session.expected.points;
    const doubt = implausible('27', 27, 4.8, { typical: 2.9, unit: 'V' });
    expect(doubt).toMatchObject({ code: 'reading-implausible', data: { typed: '27', perhaps: 2.7 } });
    expect(implausible('2710', 2710, 4.8, { typical: 2.9, unit: 'V' })).toMatchObject({
      data: { perhaps: 2.71 },
    });
    expect(implausible('4.9', 4.9, session.limits.volts, pack!)).toBeUndefined();
    expect(session.limits.volts).toBeCloseTo(4.8, 9);
    expect(session.limits.amps).toBeGreaterThan(0.6);
  });
});

describe('finding the cause by computing each fault', () => {
  it.each([
    ['lamp turned round', ['4.80', '0.00', '4.80'], 'lamp-reversed'],
    ['ten times the resistor', ['4.80', '3.03', '1.77', '0.92'], 'wrong-resistor 3300'],
    ['a tenth of the resistor', ['4.77', '2.54', '2.23', '74.6'], 'wrong-resistor 33'],
    ['the next value in the drawer', ['4.79', '2.86', '1.93', '12.5'], 'wrong-resistor 220'],
    ['no resistor', ['4.49', '0.01', '4.48'], 'resistor-shorted'],
    ['a tired pack', ['3.59', '1.73', '1.86', '5.11'], 'supply-tired'],
    ['a pack turned round', ['-4.80', '0.00', '-4.80'], 'supply-reversed'],
    ['a flat pack', ['0.00', '0.00', '0.00', '0.00'], 'supply-dead'],
    ['a lamp with both legs in one row', ['4.79', '4.79', '0.00'], 'lamp-shorted'],
    ['a blue lamp instead', ['4.80', '1.86', '2.94', '5.49'], 'other-lamp'],
    ['a resistor leg a row off', ['4.80', '0.00', '0.00', '0.00'], 'leg-astray'],
    ['probes swapped at one point', ['4.79', '2.91', '-1.88'], 'probes-swapped'],
    ['a blown fuse', ['4.78', '2.91', '1.87', '0.00'], 'fuse-blown'],
    ['the meter across the lamp', ['4.79', '2.91', '1.88', '14.1'], 'meter-across-lamp'],
    ['a part-used pack', ['4.12', '2.24', '1.88', '6.65'], 'supply-used'],
  ])('%s', (_name, typed, code) => {
    expect(causesOf(...typed)).toContain(code);
  });

  it('takes a resistor’s volts whichever way the probes are held: nothing tells its legs apart', () => {
    const [one, other] = ['2.91', '-2.91'].map((volts) => judgeBench(session, bench('4.79', volts, '1.88')));
    expect(one!.state).toBe('right');
    expect(other!.verdicts['R1']).toEqual({ ...one!.verdicts['R1'], counted: 2.91 });
    expect({ ...other, verdicts: {} }).toEqual({ ...one, verdicts: {} });
  });

  it('offers a bad contact beside a part-used pack, which reads the same', () => {
    const { groups } = judgeBench(session, bench('4.12', '2.24', '1.88', '6.65')).diagnosis!;
    const bad = groups.find(({ causes }) => causes.some(({ code }) => code === 'bad-contact'));
    expect(bad!.probability).toBeGreaterThan(0.1);
  });

  it('keeps together what no checkpoint can tell apart', () => {
    const causes = causesOf('4.80', '0.00', '4.80', '0.00');
    expect(causes).toEqual(expect.arrayContaining(['lamp-reversed', 'lamp-open']));
    expect(causes).not.toContain('lamp-shorted');
  });

  it('says something else when no single fault shows these figures', () => {
    expect(causesOf('4.79', '0.29', '1.64', '0.88')).toEqual(['something-else']);
    expect(causesOf('2.00', '3.00', '1.00')).toEqual(['something-else']);
  });

  it('names the measurement that would tell most, and none when all is told', () => {
    const flat = judgeBench(session, bench('0.00', '0.00', '0.00')).diagnosis!;
    expect(flat.next).toMatchObject({ point: 'current' });
    expect(flat.next!.bits).toBeGreaterThan(0.5);
    const first = judgeBench(session, bench(null, '0.00')).diagnosis!;
    expect(['D1', 'pack']).toContain(first.next!.point);
    expect(judgeBench(session, bench('4.80', '3.03', '1.77', '0.92')).diagnosis!.next).toBeUndefined();
  });

  it('gives shares of belief that add up to one', () => {
    for (const typed of [
      ['4.80', '0.00'],
      ['3.70', '1.80', '1.85'],
      ['4.6', '2.7'],
    ]) {
      const { diagnosis } = judgeBench(session, bench(...typed));
      const named = (diagnosis?.groups ?? []).reduce((sum, g) => sum + g.probability, 0);
      expect(named).toBeLessThanOrEqual(1 + 1e-9);
      expect(diagnosis === undefined || named > 0.75).toBe(true);
    }
  });

  it('does not look for a cause on a bench that is right', () => {
    const judged = judgeBench(session, bench('4.79', '2.90', '1.88', '8.55'));
    expect(judged.state).toBe('right');
    expect(judged.diagnosis).toBeUndefined();
    expect(judgeBench(session, [])).toMatchObject({ verdicts: {}, state: 'none' });
  });

  it('lets the other readings settle one at the edge of its band', () => {
    const edge = bench('4.66', '2.78', '1.87', '8.10');
    expect(judgeReading(session, edge[0]!)!.verdict.verdict).toBe('close');
    expect(judgeBench(session, edge).state).toBe('right');
    const sofar = judgeBench(session, edge.slice(0, 1));
    expect(sofar.open).toBeGreaterThan(SETTLED);
    expect(sofar.next).toBeDefined();
    expect(judgeReading(session, { point: 'unknown', value: 1, step: 0.1 })).toBeUndefined();
  });

  it('finds the fault that was built, for draws of every fault of the lesson', () => {
    const request = requestWith();
    const context = faultContext(sheet, request);
    for (const candidate of faultsOf(context)) {
      // Each is read on the range that its own current wants.
      const burdens = burdensFor(candidate.circuit, sheet.checkpoints, DEFAULT_METER);
      const drawn = drawReadings(candidate, sheet.checkpoints, burdens, 3, 77);
      if (!drawn || candidate.code === 'right' || candidate.code === 'other-lamp') continue;
      for (let k = 0; k < 3; k++) {
        const noted = POINTS.map((point, i) => ({
          point,
          value: drawn[i]![k]!,
          step: i === 3 ? 1e-5 : 0.01,
        }));
        const judged = judgeBench(session, noted);
        if (judged.state === 'right') continue; // a neighbouring value may lie within the band
        const named = judged.diagnosis!.groups.flatMap((g) => g.causes);
        expect(named.map((c) => c.code)).toContain(candidate.code);
      }
    }
  });
});

describe('how a class did at one checkpoint', () => {
  it('compares the right ones with the typical figure', () => {
    const readings = [
      { value: 2.95, verdict: 'right' },
      { value: 3.01, verdict: 'right' },
      { value: 0, verdict: 'off' },
    ] as const;
    const summary = columnSummary(readings, 2.92);
    expect(summary).toMatchObject({ measured: 3, right: 2 });
    expect(summary.offset).toBeCloseTo(2.98 / 2.92 - 1, 9);
    expect(columnSummary([], 2.92)).toEqual({ measured: 0, right: 0 });
  });
});
