import fc from 'fast-check';
import {
  circuitOf,
  lampLoop,
  ledPart,
  made,
  resistorPart,
  supplyPart,
} from '../../../tests/support/circuits';
import { oneShot, outputDriven, standardBlinker, timerPart } from '@/demo/circuits';
import { supplySpent } from '../catalogue/discharge';
import { seriesValues } from '../catalogue/preferred';
import type { SupplyChoice } from '../catalogue/supplies';
import { timesOf, type TimingForm } from '../catalogue/timing';
import type { TimerFamily } from '../catalogue/timers';
import type { Circuit } from '../circuit/circuit';
import type { Outcome } from '../findings/finding';
import { run } from '../solver/run/run';
import { solve } from '../solver/solve';
import { batteryLife, batteryLifeOf } from './battery';
import { resistorForCurrent } from './resistor';
import { seek } from './seek';
import { thresholds } from './thresholds';
import { timingChoices, type TimingDrawer, type TimingWish } from './timing';
import { trimRange } from './trim';

function answer<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

function refusal<T>(outcome: Outcome<T>) {
  return outcome.ok ? 'answered' : outcome.findings[0]!;
}

const withLampCheck = (circuit: Circuit): Circuit => ({
  ...circuit,
  checks: [{ id: 'lamp', measure: 'amps', part: 'D1' }],
});

describe('seeking the value of a field', () => {
  const loop = withLampCheck(lampLoop(9, 1, 'red', 470));

  it('finds the one with which the circuit reads the target', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 0.02, noNaN: true }), (target) => {
        const ohms = answer(
          seek(loop, { part: 'R1', field: 'ohms', from: 1, to: 1e7, check: 'lamp', target }),
        );
        const { parts } = answer(solve(lampLoop(9, 1, 'red', ohms)));
        expect(parts['D1']!.amps / target).toBeCloseTo(1, 7);
      }),
      { numRuns: 30 },
    );
  });

  it('does not call out of reach what it could not read', () => {
    const plain = outputDriven('cmos', 9, 47e3, 10e-6);
    const checks = [{ id: 'lamp', measure: 'amps', part: 'R1' }];
    const wish = { part: 'B1', field: 'volts', from: 0, to: 9, check: 'lamp', target: 0.5 };
    expect(refusal(seek(made({ ...plain, checks }), wish))).toMatchObject({ code: 'oscillates' });
  });

  it('says the range when it is out of reach, and what is not there', () => {
    const wish = { part: 'R1', field: 'ohms', from: 100, to: 1000, check: 'lamp', target: 1 };
    expect(refusal(seek(loop, wish))).toMatchObject({ code: 'out-of-reach', data: { target: 1, unit: 'A' } });
    expect(refusal(seek(loop, { ...wish, part: 'R7' }))).toMatchObject({ code: 'bad-field' });
    expect(refusal(seek(loop, { ...wish, field: 'colour' }))).toMatchObject({ code: 'bad-field' });
    expect(refusal(seek(loop, { ...wish, check: 'sun' }))).toMatchObject({ code: 'check-refers' });
  });
});

describe('the resistor for a current', () => {
  it('is the solver’s, and stocked values come closest first with their currents', () => {
    const found = answer(
      resistorForCurrent(lampLoop(9, 1, 'red', 470), 'R1', 'D1', 0.01, seriesValues('E12')),
    );
    const lamp = answer(solve(lampLoop(9, 1, 'red', found.ohms))).parts['D1']!;
    expect(lamp.amps).toBeCloseTo(0.01, 9);
    expect(found.around).toMatchObject({ down: 680, up: 820 });
    expect(found.choices[0]!.ohms).toBe(680);
    const shares = found.choices.map(({ share }) => Math.abs(Math.log(share)));
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  it('is the larger one where two values would do', () => {
    // A base resistor: far too small a one drags the whole supply down, and the lamp with it.
    const stage = circuitOf([
      supplyPart(6, 0.6),
      resistorPart('RB', 'plus', 'b', 22e3),
      resistorPart('RC', 'plus', 'l', 220),
      ledPart('D1', 'l', 'c', 'red'),
      { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'b', emitter: '0' } },
    ]);
    const { ohms } = answer(resistorForCurrent(stage, 'RB', 'D1', 0.008, [100e3]));
    expect(ohms).toBeGreaterThan(100e3);
    expect(ohms).toBeLessThan(200e3);
  });

  it('is refused for what is no resistor, or no part', () => {
    const loop = lampLoop(9, 1, 'red', 470);
    expect(refusal(resistorForCurrent(loop, 'D1', 'D1', 0.01, [100]))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(resistorForCurrent(loop, 'R1', 'D9', 0.01, [100]))).toMatchObject({
      code: 'check-refers',
    });
    expect(refusal(resistorForCurrent(loop, 'R1', 'D1', 9, [100]))).toMatchObject({ code: 'out-of-reach' });
  });
});

describe('the trim range of a sensor', () => {
  /** A light switch: sensor over trim at the base of a transistor. */
  const boathouse = circuitOf([
    supplyPart(9, 1),
    { id: 'L', kind: 'ldr', pins: { a: 'plus', b: 'b' }, lux: 20 },
    resistorPart('T', 'b', '0', 10e3),
    resistorPart('RC', 'plus', 'l', 390),
    ledPart('D1', 'l', 'c', 'red'),
    { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'b', emitter: '0' } },
  ]);
  const check = { id: 'base', measure: 'volts', from: 'b', to: '0' } as const;

  it('goes from the most sensitive sensor to the least, and a stocked potentiometer covers it', () => {
    const range = answer(trimRange(boathouse, 'L', 'T', check, 0.6, [1e3, 4.7e3, 10e3]));
    expect(range.low).toBeLessThan(range.typical);
    expect(range.high).toBeGreaterThan(range.typical);
    // Without base current it would be R·0.6/8.4 of a sensor a factor of 1.5 off either way.
    expect(range.high / range.low).toBeGreaterThan(1.9);
    expect(range.potentiometer!.ohms).toBeGreaterThanOrEqual(range.high);
    expect(range.potentiometer!.to).toBeLessThanOrEqual(1);
    expect(range.potentiometer!.from * range.potentiometer!.ohms).toBeCloseTo(range.low, 6);
  });

  it('carries the current of a timer’s own reset pin', () => {
    const beam = (family: TimerFamily) =>
      circuitOf([
        { ...supplyPart(9, 0), pins: { plus: 'v', minus: '0' } },
        timerPart('U', family, { trigger: 'v', threshold: '0', output: 'o', reset: 'r' }),
        { id: 'L', kind: 'ldr', pins: { a: 'v', b: 'r' }, lux: 5 },
        resistorPart('T', 'r', '0', 10e3),
        resistorPart('RO', 'o', '0', 1e4),
      ]);
    const reset = { id: 'reset', measure: 'volts', from: 'r', to: '0' } as const;
    const trim = (family: TimerFamily) =>
      answer(trimRange(beam(family), 'L', 'T', reset, 0.6999, [])).typical;
    const sensor = 15e3 * 0.5 ** -0.7;
    expect(trim('cmos') / ((0.6999 * sensor) / 8.3001)).toBeCloseTo(1, 4);
    expect(trim('bipolar') / (0.6999 / (8.3001 / sensor + 1e-4))).toBeCloseTo(1, 4);
  });

  it('is refused for parts of other kinds', () => {
    expect(refusal(trimRange(boathouse, 'Q', 'T', check, 0.6, []))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(trimRange(boathouse, 'L', 'Q', check, 0.6, []))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(trimRange(boathouse, 'L', 'T', check, 30, []))).toMatchObject({ code: 'out-of-reach' });
  });
});

describe('the rungs of a gauge', () => {
  const rung = (n: number, type: string) => [
    { id: `Z${n}`, kind: 'zener', type, pins: { anode: `z${n}`, cathode: 'plus' } },
    resistorPart(`R${n}`, `z${n}`, `r${n}`, 220),
    ledPart(`D${n}`, `r${n}`, '0', 'red'),
  ];

  it('light one after another, each at the supply where it carries its current', () => {
    const gauge = circuitOf([
      supplyPart(12, 0),
      ...rung(1, 'zener-6v2'),
      ...rung(2, 'zener-8v2'),
      ...rung(3, 'zener-10v'),
    ]);
    const found = answer(thresholds(gauge, 'B1', 1e-3, 5, 16));
    const volts = found.map((rungOf) => rungOf.volts!);
    expect([...volts].sort((a, b) => a - b)).toEqual(volts);
    const at = answer(
      solve({ ...gauge, parts: circuitOf([supplyPart(volts[1]!, 0)]).parts.concat(gauge.parts.slice(1)) }),
    );
    expect(at.parts['D2']!.amps).toBeCloseTo(1e-3, 9);
    expect(answer(thresholds(gauge, 'B1', 1e-3, 5, 11)).map((rungOf) => rungOf.volts === undefined)).toEqual([
      false,
      false,
      true,
    ]);
    expect(refusal(thresholds(gauge, 'D1', 1e-3, 5, 11))).toMatchObject({ code: 'not-of-kind' });
  });
});

describe('resistors and capacitors for a time', () => {
  const drawer: TimingDrawer = {
    ohms: seriesValues('E12').filter((ohms) => ohms >= 100 && ohms <= 2.2e6),
    capacitors: [
      { farads: 10e-9, tolerance: 0.1 },
      { farads: 100e-9, tolerance: 0.1 },
      { farads: 10e-6, tolerance: 0.2 },
      { farads: 100e-6, tolerance: 0.2 },
    ],
    tolerance: 0.05,
  };
  const forms: [TimingForm, TimerFamily][] = [
    ['standard', 'bipolar'],
    ['standard', 'cmos'],
    ['output-driven', 'bipolar'],
    ['output-driven', 'cmos'],
    ['one-shot', 'cmos'],
  ];

  it.each(forms)('%s, %s: the first choice runs at the time it promises', (form, family) => {
    const seconds = 0.7;
    const [best] = answer(timingChoices({ form, family, volts: 9, seconds }, drawer));
    expect(Math.abs(best!.error)).toBeLessThan(0.1);
    const circuit =
      form === 'standard'
        ? standardBlinker(family, 9, [best!.ra!, best!.r], best!.farads)
        : (form === 'one-shot' ? oneShot : outputDriven)(family, 9, best!.r, best!.farads);
    const { cycles } = answer(run(made(circuit), { seconds: 5, settle: form === 'one-shot' ? 0 : 1.5 }));
    const { period, high } = cycles['out']!;
    expect((form === 'one-shot' ? high! : period!) / best!.period).toBeCloseTo(1, 3);
  });

  it('come closest first, with the spread of their parts around them', () => {
    const choices = answer(
      timingChoices({ form: 'standard', family: 'bipolar', volts: 9, seconds: 1 }, drawer),
    );
    const errors = choices.map(({ error }) => Math.abs(Math.log1p(error)));
    expect([...errors].sort((a, b) => a - b)).toEqual(errors);
    for (const { shortest, period, longest, ra, r, farads } of choices) {
      const { high, low } = timesOf('standard', 'bipolar', 9, { ra: ra!, r, farads });
      expect(period).toBeCloseTo(high + low, 12);
      expect(shortest).toBeLessThan(period * 0.86);
      expect(longest).toBeGreaterThan(period * 1.14);
    }
  });

  it('keep a wanted duty, and a wanted pitch', () => {
    const wish: TimingWish = { form: 'standard', family: 'cmos', volts: 9, seconds: 1 / 440, duty: 0.6 };
    const [best] = answer(timingChoices(wish, drawer));
    expect(best!.hertz / 440).toBeCloseTo(1, 1);
    expect(best!.duty).toBeCloseTo(0.6, 1);
  });

  it('warn of resistors that are too small or too large', () => {
    const far = (seconds: number, farads: number) =>
      answer(
        timingChoices(
          { form: 'one-shot', family: 'bipolar', volts: 9, seconds },
          { ...drawer, capacitors: [{ farads, tolerance: 0.1 }] },
        ),
      )[0]!.cautions;
    expect(far(2e-6, 10e-9)).toEqual(['low-ohms']);
    expect(far(20, 10e-6)).toEqual(['high-ohms']);
    expect(far(0.1, 10e-6)).toEqual([]);
  });

  it('say when the chip stalls, the duty cannot be had, or nothing is there', () => {
    const wish: TimingWish = { form: 'output-driven', family: 'bipolar', volts: 3.5, seconds: 1 };
    expect(refusal(timingChoices(wish, drawer))).toMatchObject({
      code: 'timer-stalls',
    });
    expect(timesOf('output-driven', 'bipolar', 3.5, { ra: 0, r: 1e4, farads: 1e-5 }).high).toBe(Infinity);
    const half: TimingWish = { form: 'standard', family: 'cmos', volts: 9, seconds: 1, duty: 0.5 };
    expect(refusal(timingChoices(half, drawer))).toMatchObject({ code: 'duty-out-of-reach' });
    expect(refusal(timingChoices({ ...half, duty: 0.6 }, { ...drawer, ohms: [] }))).toMatchObject({
      code: 'nothing-to-choose',
    });
    expect(refusal(timingChoices({ ...half, duty: 0.6 }, { ...drawer, capacitors: [] }))).toMatchObject({
      code: 'nothing-to-choose',
    });
  });
});

describe('battery hours along the discharge', () => {
  const cells: SupplyChoice = { kind: 'aa-alkaline', cells: 3, age: 'fresh' };

  it('pass through the table’s volts, straight between them', () => {
    const at = (spent: number) => supplySpent(cells, spent)!.volts;
    [4.8, 4.5, 3.6, 2.7].forEach((volts, i) => expect(at([0, 0.1, 0.7, 1][i]!)).toBeCloseTo(volts, 9));
    expect(at(0.4)).toBeCloseTo(4.05, 9);
    expect(supplySpent(cells, 0.7)!.ohms).toBeCloseTo(1.5, 9);
    expect(supplySpent({ kind: 'usb', cells: 1, age: 'fresh' }, 0)).toBeUndefined();
  });

  it('are capacity over current where the current does not change', () => {
    const life = batteryLife(cells, () => ({ drain: 0.01, lamp: 0.01 }))!;
    expect(life.toEmpty).toBeCloseTo(240, 6);
    expect(life.toDim).toBe(Infinity);
    expect(batteryLife(cells, () => ({ drain: 0.01, lamp: 1e-5 }))!.toDim).toBeUndefined();
  });

  it('stretch as the current falls, and end first for the eye', () => {
    const life = answer(batteryLifeOf(lampLoop(4.8, 0.45, 'red', 330), 'B1', 'D1', cells));
    const fresh = life.points[0]!.drain;
    expect(fresh).toBeCloseTo(answer(solve(lampLoop(4.8, 0.45, 'red', 330))).parts['D1']!.amps, 9);
    expect(life.toEmpty).toBeGreaterThan(2.4 / fresh);
    const blue = answer(batteryLifeOf(lampLoop(4.8, 0.45, 'blue', 150), 'B1', 'D1', cells));
    expect(blue.toDim).toBeLessThan(blue.toEmpty);
    const drains = blue.points.map(({ drain }) => drain);
    expect([...drains].sort((a, b) => b - a)).toEqual(drains);
  });

  it('take the mean of a lamp that blinks', () => {
    const plain = outputDriven('cmos', 4.8, 47e3, 10e-6);
    const blinker = made({
      ...plain,
      parts: [...plain.parts, resistorPart('RD', 'out', 'n', 330), ledPart('D1', 'n', '0', 'red')],
    });
    const life = answer(batteryLifeOf(blinker, 'B1', 'D1', cells));
    const [first] = life.points;
    expect(first!.drain).toBeGreaterThan(0.3 * first!.lamp);
    expect(first!.drain).toBeLessThan(0.7 * first!.lamp);
  });

  it('are refused for what does not run down, and parts of other kinds', () => {
    const loop = lampLoop(4.8, 0.45, 'red', 330);
    expect(refusal(batteryLifeOf(loop, 'B1', 'D1', { kind: 'usb', cells: 1, age: 'fresh' }))).toMatchObject({
      code: 'no-battery',
    });
    expect(refusal(batteryLifeOf(loop, 'R1', 'D1', cells))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(batteryLifeOf(loop, 'B1', 'R1', cells))).toMatchObject({ code: 'not-of-kind' });
  });
});
