import { made } from '../../../tests/support/circuits';
import { answer, refusal } from '../../../tests/support/outcomes';
import { oneShot, outputDriven, standardBlinker } from '@/demo/circuits';
import { seriesValues } from '../catalogue/preferred';
import { timesOf, type TimingForm } from '../catalogue/timing';
import type { TimerFamily } from '../catalogue/timers';
import { run } from '../solver/run/run';
import { timingChoices, type TimingDrawer, type TimingWish } from './timing';

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
