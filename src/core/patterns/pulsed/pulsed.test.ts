import { refusedWith, requestWith, choiceWith, worked } from '../../../../tests/support/sheets';
import { LAMPS } from '../../catalogue/lamps';
import { isKind, partOf, type Part } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { drawResponses, responsesOf } from '../../observe/responses';
import { lampsSeen, litIn } from '../../observe/looks';
import { observe } from '../../observe/observe';
import { deviceOf } from '../../circuit/deviceOf';
import { drawn } from '../../tolerance/draw';
import { keyOf, uniform } from '../../numerics/random';
import { quantile } from '../../numerics/quantile';
import { makeSheet } from '../../sheet/sheet';
import { sessionExpectation } from '../../sheet/expectation';
import { beneathsFor, dayOf } from '../../sheet/day';
import { ampsOf } from '../steady/bank';
import { ownSums } from '../../../../tests/support/ownSums';

/** What flows while a pulse lasts: the lamp's own curve behind all ohms. */
function peakBy(volts: number, ohms: number): number {
  return ampsOf([new Junction(LAMPS.white)], volts, ohms);
}

function sheetOf(params: object = {}) {
  const request = { ...requestWith(), choice: choiceWith('pulsed', params) };
  const made = makeSheet(request);
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  return { sheet: made.value, request };
}

describe('a lamp on pulses', () => {
  it.each([
    { volts: 5, duty: 0.4, hertz: 1000, ohms: 10, amps: 0.004 },
    { volts: 9, duty: 0.25, hertz: 100_000, ohms: 0, amps: 0.003 },
    { volts: 6, duty: 0.7, hertz: 2, ohms: 25, amps: 0.006 },
  ])('has the peak of its curve and the share of it as its mean: $hertz Hz, $duty', (wish) => {
    const { sums } = worked('pulsed', wish);
    const pulses = ownSums(sums).pulses!;
    const chosen = sums.strings[0]!.chosen;
    const peak = peakBy(wish.volts, wish.ohms + chosen);
    expect(pulses.amps.peak / peak).toBeCloseTo(1, 5);
    expect(pulses.amps.mean / (wish.duty * peak)).toBeCloseTo(1, 5);
    expect(pulses.lampVolts.peak).toBeCloseTo(wish.volts - peak * (wish.ohms + chosen), 5);
    expect(pulses.lampVolts.mean).toBeCloseTo(wish.duty * pulses.lampVolts.peak, 4);
    expect(pulses.source.mean).toBeCloseTo(wish.duty * (wish.volts - peak * wish.ohms), 4);
    // Mean power is the mean of the product, not the product of the means.
    expect(pulses.watts).toBeCloseTo(wish.duty * peak * (wish.volts - peak * wish.ohms), 5);
    expect(pulses.cell.ampsLeast).toBeCloseTo(pulses.watts / 1.2, 9);
    expect(pulses.cell.hoursMost).toBeCloseTo(2 / pulses.cell.ampsLeast, 6);
  });

  it('is as bright as its mean where pulses are not seen, and as its peak where they are', () => {
    const [fast, slow] = [worked('pulsed', { hertz: 1000 }), worked('pulsed', { hertz: 2 })];
    const of = ({ sums }: typeof fast) => sums.design.lamps[0]!;
    expect(of(fast).amps).toBeCloseTo(ownSums(fast.sums).pulses!.amps.mean, 9);
    expect(of(fast).peak).toBeCloseTo(ownSums(fast.sums).pulses!.amps.peak, 9);
    expect(of(slow).amps).toBeCloseTo(ownSums(slow.sums).pulses!.amps.peak, 9);
    expect(lampsSeen(slow.design.seen!)[0]!.hertz).toBeCloseTo(2, 6);
    expect(lampsSeen(fast.design.seen!)[0]!.hertz).toBeUndefined();
  });

  it('counts flashes where an eye can, and measures means where it cannot', () => {
    const ids = (hertz: number) => worked('pulsed', { hertz }).design.checkpoints.map(({ id }) => id);
    expect(ids(2)).toEqual(['D1 rate', 'pack', 'R1', 'D1', 'current']);
    expect(ids(1000)).toEqual(['pack', 'R1', 'D1', 'current']);
  });

  it('stays dark on the mean of its pulses all the time', () => {
    const { sheet, request } = sheetOf();
    const day = dayOf(request, 'its mean');
    if (!day.ok || !day.value.other) throw new Error('no day');
    expect(litIn(day.value.seen).lit).toEqual(['D1']);
    expect(litIn(day.value.other)).toEqual({ lit: [], may: [] });
    expect(beneathsFor(sheet.circuit)).toEqual(['nothing', 'no lamps', 'its mean']);
  });
});

describe('a wish of pulses that cannot be had', () => {
  it('names the share of the time, or the mean, that works', () => {
    const found = refusedWith('pulsed', { amps: 0.01, duty: 0.2 });
    expect(found).toMatchObject({ code: 'pulse-over-limit', data: { limit: 0.03 } });
    const { duty, amps, peak } = found!.data as { duty: number; amps: number; peak: number };
    expect(peak).toBeCloseTo(0.05, 9);
    expect(refusedWith('pulsed', { amps: 0.01, duty: duty * 1.01, volts: 9 })).toBeUndefined();
    expect(refusedWith('pulsed', { amps: amps * 0.99, duty: 0.2, volts: 9 })).toBeUndefined();
  });

  it.each([
    [{ volts: 2.5 }, 'cannot-light'],
    [{ volts: 230 }, 'mains-refused'],
    [{ volts: 30 }, 'supply-too-high'],
  ])('refuses %o', (wish, code) => {
    expect(refusedWith('pulsed', wish)?.code).toBe(code);
  });
});

describe('the check of a lamp on pulses', () => {
  const { sheet, request } = sheetOf();

  it('has bands that agree with 2,000 whole runs within 2 %', () => {
    const { circuit, checkpoints } = sheet;
    const metering = { meterUseAt: () => 'right' as const, burdens: checkpoints.map(() => 0) };
    const quick = drawResponses(responsesOf(circuit, checkpoints, metering)!, 7, 2000);
    const whole = checkpoints.map(() => new Float64Array(2000));
    for (let draw = 0; draw < 2000; draw++) {
      const parts = circuit.parts.map((part) => {
        const params: Record<string, unknown> = { ...part.params };
        for (const spread of deviceOf(part).spreads(part.params))
          params[spread.field] = drawn(spread, uniform(7, draw, keyOf(`${part.id}.${spread.field}`)));
        return { ...part, params } as Part;
      });
      const seen = observe({ ...circuit, parts });
      if (!seen.ok) throw new Error('does not settle');
      checkpoints.forEach((point, i) => {
        const { volts, amps } = seen.value.parts[point.part]!;
        whole[i]![draw] = point.id === 'current' ? -amps : volts;
      });
    }
    checkpoints.forEach((_, i) => {
      for (const share of [0.025, 0.5, 0.975]) {
        const [a, b] = [quick[i]!, whole[i]!].map((all) => quantile(all.slice().sort(), share));
        expect(Math.abs(a! / b! - 1)).toBeLessThan(0.02);
      }
    });
  });

  it('weighs a booster that is dead or turned, a lamp turned, and a wrong resistor', () => {
    const { dictionary } = sessionExpectation(sheet, request);
    const codes = dictionary.signatures.map(({ code }) => code);
    for (const code of ['supply-dead', 'supply-reversed', 'lamp-reversed', 'wrong-resistor'])
      expect(codes).toContain(code);
  });

  it('packs the booster, its cell and a holder for it', () => {
    const keys = sheet.kit.lines.map(({ key }) => key);
    expect(keys).toEqual(
      expect.arrayContaining(['supply booster', 'cell aa-nimh', 'holder aa-nimh 1', 'resistor 220']),
    );
  });

  it('is fed by a source that the circuit file knows: a square from nothing to its peak', () => {
    const source = partOf(sheet.circuit, 'B1')!;
    if (!isKind(source, 'signal')) throw new Error('no signal');
    expect(source.params).toMatchObject({ shape: 'square', amplitude: 2.5, offset: 2.5, duty: 0.4 });
    expect(sheet.built.findings.map(({ code }) => code)).toEqual(['lamp-glow']);
  });
});
