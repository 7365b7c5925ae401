import {
  choiceWith,
  patternSheet,
  refusedWith,
  requestWith,
  ROUGH,
  worked,
} from '../../../../tests/support/sheets';
import { inLight, type LightSums } from '../../answers/lampInLight';
import { lightSensorOhms, SCENE_LUX, SCENES } from '../../catalogue/light';
import { isKind, partOf, withPart, type Circuit } from '../../circuit/circuit';
import { withHeld } from '../../observe/held';
import { observe, reportOf } from '../../observe/observe';
import { faultsOf } from '../../checking/faults/index';
import { faultContext, sessionExpectation } from '../../sheet/expectation';
import { makeSheet } from '../../sheet/sheet';
import { DEFAULT_STYLE } from '../style';
import { measuredIn } from '../sensed';
import { lightSwitch } from './lightSwitch';
import { ownSums } from '../../../../tests/support/ownSums';

const HALF = 0.004;

function lampIn(circuit: Circuit, lux: number): number {
  const seen = observe(inLight(circuit, lux));
  if (!seen.ok) throw new Error('does not settle');
  return reportOf(seen.value, 'D1').amps;
}

/** The light at which the lamp carries half of its wish, by bisection on whole solutions. */
function rootOf(circuit: Circuit): number {
  const rising = lampIn(circuit, 0.05) < HALF;
  let [low, high] = [Math.log(0.05), Math.log(10_000)];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (lampIn(circuit, Math.exp(middle)) < HALF === rising) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

function withSensor(circuit: Circuit, r10: number): Circuit {
  return withPart(circuit, 'L1', (part) =>
    isKind(part, 'ldr') ? { ...part, params: { ...part.params, r10 } } : part,
  );
}

const wishes = [
  { lit: 'dusk', dark: 'classroom' },
  { lit: 'classroom', dark: 'dusk' },
  { lit: 'hood', dark: 'room' },
  { lit: 'torch', dark: 'room' },
] as const;

describe.each(wishes)('a lamp that is lit in $lit and dark in $dark', (wish) => {
  const { design, sums } = worked('light-switch', wish);
  const light: LightSums = ownSums(sums).light!;

  it('switches where an exact root says, with the sensor as named and at the ends of its sort', () => {
    expect(light.switches.typical! / rootOf(design.circuit)).toBeCloseTo(1, 3);
    for (const [end, r10] of [
      ['low', 10e3],
      ['high', 22.5e3],
    ] as const)
      expect(light.switches[end]! / rootOf(withSensor(design.circuit, r10))).toBeCloseTo(1, 3);
  });

  it('switches between its two lights, as near to their middle as the drawer allows', () => {
    const [least, most] = [SCENE_LUX[wish.lit], SCENE_LUX[wish.dark]].sort((a, b) => a - b);
    expect(light.aimLux).toBeCloseTo(Math.sqrt(least! * most!), 9);
    expect(light.switches.typical!).toBeGreaterThan(least!);
    expect(light.switches.typical!).toBeLessThan(most!);
    // Half a step of the series is up to 12 % of the resistor, and by the sensor's slope twice that of the light.
    expect(Math.abs(Math.log(light.switches.typical! / light.aimLux))).toBeLessThan(0.25);
  });

  it('is observed to be lit in the one and dark in the other', () => {
    const amps = (scene: typeof wish.lit | typeof wish.dark) => {
      const seen = observe(withHeld(design.circuit, { L1: scene }));
      return seen.ok ? reportOf(seen.value, 'D1').amps : NaN;
    };
    expect(amps(wish.lit)).toBeGreaterThan(0.006);
    expect(amps(wish.dark)).toBeLessThan(2e-5);
    for (const { scene, ohms, lux } of light.scenes) {
      const { params } = partOf(design.circuit, 'L1') as { params: Parameters<typeof lightSensorOhms>[0] };
      expect(ohms).toBeCloseTo(lightSensorOhms(params, SCENE_LUX[scene]), 6);
      expect(lux).toBe(SCENE_LUX[scene]);
    }
  });

  it('has a range of trims with which any sensor of the sort switches at the aim', () => {
    const { low, high, potentiometer } = light.range!;
    expect(potentiometer!.ohms).toBeGreaterThanOrEqual(high);
    const trimmed = (r10: number, ohms: number) =>
      withPart(withSensor(design.circuit, r10), 'R2', (part) =>
        isKind(part, 'resistor') ? { ...part, params: { ...part.params, ohms } } : part,
      );
    // More ohms of the sensor want more ohms beside it.
    expect(rootOf(trimmed(10e3, low)) / light.aimLux).toBeCloseTo(1, 3);
    expect(rootOf(trimmed(22.5e3, high)) / light.aimLux).toBeCloseTo(1, 3);
  });
});

describe('a light switch', () => {
  it('has its sensor towards minus when it is to light in the dark, else towards plus', () => {
    const pinsOf = (lit: 'dusk' | 'classroom', dark: 'dusk' | 'classroom') =>
      Object.values(partOf(worked('light-switch', { lit, dark }).design.circuit, 'L1')!.pins);
    expect(pinsOf('dusk', 'classroom')).toContain('minus');
    expect(pinsOf('classroom', 'dusk')).toContain('plus');
  });

  it('follows two readings of the real sensor', () => {
    const sensor = { lit: 50e3, dark: 2e3 };
    const { design } = worked('light-switch', { sensor });
    const { params } = partOf(design.circuit, 'L1') as { params: Parameters<typeof lightSensorOhms>[0] };
    expect(lightSensorOhms(params, SCENE_LUX.dusk)).toBeCloseTo(sensor.lit, 3);
    expect(lightSensorOhms(params, SCENE_LUX.classroom)).toBeCloseTo(sensor.dark, 3);
  });

  it('has in a third light what the line through its two readings says', () => {
    const params = { ...lightSwitch.defaults(DEFAULT_STYLE), sensor: { lit: 50e3, dark: 2e3 } };
    const slope = Math.log(50e3 / 2e3) / Math.log(5 / 400);
    expect(measuredIn(params, 'window') / (50e3 * (2000 / 5) ** slope)).toBeCloseTo(1, 2);
    expect(measuredIn(params, 'dusk')).toBeCloseTo(50e3, -2);
  });

  it('keeps its aim in words, and says when it does not', () => {
    const made = makeSheet({ ...requestWith(), choice: choiceWith('light-switch') });
    if (!made.ok) throw new Error('refused');
    expect(made.value.goals.map(({ code, met }) => [code, met])).toEqual([
      ['lit-in', true],
      ['dark-in', true],
      ['within-limit', true],
      ['board-makes-it', true],
    ]);
  });

  it('warns where sensors of the sort would switch outside of two lights that are close together', () => {
    const { design } = worked('light-switch', { lit: 'room', dark: 'classroom' });
    expect(design.findings.map(({ code }) => code)).toContain('sensors-differ');
  });

  it.each([
    [{ lit: 'dusk', dark: 'dusk' }, 'same-light'],
    [{ sensor: { lit: 900, dark: 15e3 } }, 'sensor-backwards'],
    [{ supply: { kind: 'bench', cells: 1, age: 'fresh', volts: 230 } }, 'mains-refused'],
    [{ supply: { kind: 'aa-alkaline', cells: 1, age: 'fresh' } }, 'cannot-light'],
  ] as const)('refuses %o', (wish, code) => {
    expect(refusedWith('light-switch', wish as never)?.code).toBe(code);
  });

  it('is measured in both lights, and weighs a turned transistor, a sensor out and in the wrong place', () => {
    const request = { ...requestWith(), choice: choiceWith('light-switch') };
    const made = makeSheet(request);
    if (!made.ok) throw new Error('refused');
    const { points } = made.value.expected;
    expect(
      points.filter(({ point }) => point.held?.['L1'] === 'classroom').map(({ point }) => point.id),
    ).toEqual(['L1 dark', 'Q1 dark']);
    const codes = sessionExpectation(made.value, request).dictionary.signatures.map(
      ({ code, data }) => `${code} ${data.part ?? ''}`,
    );
    for (const code of ['part-reversed Q1', 'pins-exchanged Q1', 'part-missing L1', 'part-shorted L1'])
      expect(codes).toContain(code);
  });
});

describe('a lamp that its own sensor sees', () => {
  const wished = { lit: 'dusk', dark: 'classroom', amps: 0.008 } as const;

  it('leaves on it what candela over the square of the distance says: 400 cd an amp, a metre away', () => {
    const { own, scenes } = ownSums(worked('light-switch', { ...wished, sees: 1 }).sums).light!;
    const { amps } = ownSums(worked('light-switch', wished).sums).light!.scenes.find(
      ({ scene }) => scene === 'dusk',
    )!;
    expect(own!.lux / (400 * amps)).toBeCloseTo(1, 9);
    // Its own light holds it back a little, and it still does what is wished.
    const [lit, dark] = ['dusk', 'classroom'].map((name) => scenes.find(({ scene }) => scene === name)!.amps);
    expect(lit! / amps).toBeGreaterThan(0.9);
    expect(dark).toBeLessThan(1e-6);
  });

  it.each([
    ['dark-on', wished],
    ['light-on', { ...wished, lit: 'classroom', dark: 'dusk' } as const],
  ] as const)('is refused too near, with a distance that works: %s', (way, wish) => {
    const why = refusedWith('light-switch', { ...wish, sees: 0.03 })!;
    expect(why).toMatchObject({ code: 'lights-own-sensor', data: { way, metres: 0.03 } });
    const { nearest } = why.data as { nearest: number };
    expect(nearest).toBeGreaterThan(0.03);
    const { goals } = lightSwitch;
    const made = worked('light-switch', { ...wish, sees: nearest * 1.001 });
    expect(goals!(made.sums).every(({ met }) => met)).toBe(true);
    expect(refusedWith('light-switch', { ...wish, sees: nearest * 0.98 })?.code).toBe('lights-own-sensor');
  });

  it('switches, in the room’s light, where this very build does: by its own light earlier or later than without', () => {
    const { design, sums } = worked('light-switch', { ...wished, sees: 0.5 });
    expect(ownSums(sums).light!.own!.lux).toBeGreaterThan(5);
    expect(ownSums(sums).light!.switches.typical! / rootOf(design.circuit)).toBeCloseTo(1, 3);
    const hidden = ownSums(worked('light-switch', wished).sums).light!.switches.typical!;
    // Half lit it adds half of its light: the room must be so much darker.
    expect(
      (hidden - ownSums(sums).light!.switches.typical!) / (ownSums(sums).light!.own!.luxPerAmp * HALF),
    ).toBeCloseTo(1, 1);
  });

  it.each([1, 0.5, 0.35, 0.25])(
    'says where it goes out only where it holds itself lit: from %s m',
    (sees) => {
      const { design, sums } = worked('light-switch', { ...wished, lit: 'window', dark: 'dusk', sees });
      const [on, off] = [ownSums(sums).light!.switches.typical!, ownSums(sums).light!.own!.offLux];
      const statesAt = (lux: number) => {
        const seen = observe(inLight(design.circuit, lux));
        if (!seen.ok || seen.value.kind !== 'still') throw new Error('does not rest');
        return [seen.value, ...(seen.value.also ? [seen.value.also] : [])].map(
          ({ parts }) => parts['D1']!.amps >= HALF,
        );
      };
      // Coming from the dark it is lit from one light on; no lit state is left below the other.
      expect(statesAt(on * 1.005)[0]).toBe(true);
      expect(statesAt(on * 0.99)[0]).toBe(false);
      expect(statesAt((off ?? on) * 0.99)).not.toContain(true);
      if (off !== undefined) {
        expect(statesAt((on + off) / 2)).toEqual([false, true]);
        expect(SCENE_LUX.dusk).toBeLessThan(off);
      }
      // Looked for step by step below where it comes on: two states of one build.
      const below = Array.from({ length: 60 }, (_, i) => on * 0.99 ** (i + 1));
      const holds = below.some((lux) => statesAt(lux).includes(true));
      expect(off !== undefined).toBe(holds);
    },
  );
});

describe('a lamp with its resistor inside', () => {
  const block = { kind: 'block-9v', cells: 1, age: 'nominal' } as const;

  it('carries what its ohms let through, and has none on the board', () => {
    const { design, sums } = worked('light-switch', { lamp: 'red', madeFor: 9, supply: block });
    expect(partOf(design.circuit, 'R1')).toBeUndefined();
    const lamp = partOf(design.circuit, 'D1')!;
    const inside = isKind(lamp, 'led') ? lamp.params.inside! : NaN;
    // (9 V − 1.9 V) over 10 mA, and the next of the preferred values.
    expect(inside).toBeGreaterThanOrEqual(680);
    expect(inside).toBeLessThan(760);
    // By hand: nine volts less the lamp's 1.9 V and the transistor's 0.1 V, over those ohms and the block's own.
    const amps = sums.design.lamps.find(({ part }) => part === 'D1')!.amps;
    expect(amps / ((9 - 1.9 - 0.1) / (inside + 1.7))).toBeCloseTo(1, 1);
    expect(sums.strings).toEqual([]);
    const light = ownSums(sums).light!;
    expect(light.switches.typical! / light.aimLux).toBeGreaterThan(0.7);
    expect(light.switches.typical! / light.aimLux).toBeLessThan(1.4);
  });

  it('is refused where the supply has too few volts for it, with how many it wants', () => {
    const coin = { kind: 'coin-20mm', cells: 1, age: 'fresh' } as const;
    const refusal = refusedWith('light-switch', { lamp: 'blue', madeFor: 12, supply: coin });
    expect(refusal).toMatchObject({ code: 'cannot-light', data: { lamp: 'blue' } });
  });

  it('is another part of the kit than a bare one', () => {
    const { kit } = patternSheet('light-switch', { lamp: 'red', madeFor: 9, supply: block }, 'half', ROUGH);
    expect(kit.lines.find(({ spec }) => spec.kind === 'led')!.spec).toMatchObject({
      lamp: 'red',
      inside: 680,
    });
  });
});

describe('a power lamp with its switch', () => {
  const sheet = patternSheet('light-switch', { power: 'red' }, 'half', ROUGH);

  it('is lit in every light while the switch is on, and nothing at all is while it is off', () => {
    for (const light of SCENES) {
      const on = observe(withHeld(sheet.circuit, { L1: light, S1: 'on' }));
      const off = observe(withHeld(sheet.circuit, { L1: light, S1: 'open' }));
      if (!on.ok || !off.ok) throw new Error('unsettled');
      expect(reportOf(on.value, 'D2').amps).toBeGreaterThan(4e-3);
      expect(reportOf(off.value, 'D2').amps).toBeLessThan(1e-9);
      expect(reportOf(off.value, 'D1').amps).toBeLessThan(1e-9);
    }
  });

  it('leaves the light at which the other lamp switches where it was', () => {
    const without = ownSums(worked('light-switch').sums).light!.switches.typical!;
    expect(ownSums(sheet.sums).light!.switches.typical! / without).toBeCloseTo(1, 1);
  });

  it('is switched on for every gate and check, and stays put when it is held', () => {
    for (const { held } of sheet.checkpoints) expect(held).toMatchObject({ S1: 'on' });
    const gates = sheet.steps.flatMap((step) => ('gate' in step && step.gate.power ? [step.gate] : []));
    for (const { held } of gates) expect(held['S1']).toBe('on');
    const held = withHeld(withHeld(sheet.circuit, { S1: 'open' }), { S1: 'on' });
    expect(partOf(held, 'S1')!.params).toEqual({ closed: true, stays: true });
  });

  it('left off is asked for before anything is called wrong', () => {
    const off = faultsOf(faultContext(sheet, requestWith())).find(({ code }) => code === 'switch-off')!;
    expect(off.data.part).toBe('S1');
    const seen = observe(off.circuit);
    expect(seen.ok && seen.value.parts['D2']!.amps).toBeLessThan(1e-9);
  });

  it('is not what the lesson is told by: that is the lamp that follows the light', () => {
    expect(sheet.sums.design.lamps.map(({ part }) => part)).toEqual(['D1', 'D2']);
    expect(sheet.sums.design.lamps[0]!.type).toBe('white');
  });
});
