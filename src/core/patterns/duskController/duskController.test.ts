import fc from 'fast-check';
import { patternSheet, refusedWith, worked } from '../../../../tests/support/sheets';
import { WISHES } from '../../../../tests/support/wishes';
import { luxAtCounts, readShare } from '../../answers/duskRule';
import { CONTROLLERS } from '../../catalogue/controllers';
import { LAMPS } from '../../catalogue/lamps';
import { LIGHT_SENSOR, SCENE_LUX } from '../../catalogue/light';
import { isKind, partOf, type Circuit } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { withHeld } from '../../observe/held';
import { GLOW_AMPS } from '../../observe/looks';
import { observe, reportOf } from '../../observe/observe';
import { ampsOf } from '../steady/bank';
import { ownSums } from '../../../../tests/support/ownSums';

/** The lamp’s current in a light, as the whole build is observed. */
function inLux(circuit: Circuit, lux: number): number {
  const parts = circuit.parts.map((part) =>
    isKind(part, 'ldr') ? { ...part, params: { ...part.params, lux } } : part,
  );
  const seen = observe({ ...circuit, parts });
  if (!seen.ok) throw new Error('does not settle');
  return reportOf(seen.value, 'D1').amps;
}

describe('a lamp that a program lights by a reading', () => {
  const { design, sums } = worked('dusk-controller', {});
  const rule = ownSums(sums).rule!;

  it('reads the share of the divider, in whole counts', () => {
    // 15 kΩ at 10 lx, and the power 0.7 of the light: 24.4 kΩ at 5 lx, 1.13 kΩ at 400 lx.
    const trim = rule.trimOhms;
    for (const [scene, ohms] of [
      ['dusk', 15e3 * 0.5 ** -0.7],
      ['classroom', 15e3 * 40 ** -0.7],
    ] as const) {
      const row = rule.rows.find((one) => one.scene === scene)!;
      expect(row.counts).toBe(Math.floor((1023 * trim) / (trim + ohms)));
      expect(row.volts).toBeCloseTo((5 * trim) / (trim + ohms), 9);
      const held = observe(withHeld(design.circuit, { L1: scene }));
      if (!held.ok) throw new Error('does not settle');
      expect(held.value.nodes['sense']! / row.volts).toBeCloseTo(1, 3);
    }
  });

  it('switches, as observed, at the light of its threshold to 0.1 %', () => {
    const exact = luxAtCounts(LIGHT_SENSOR, rule.trimOhms, rule.board, rule.threshold)!;
    expect(readShare(LIGHT_SENSOR, rule.trimOhms, exact) * 1023).toBeCloseTo(rule.threshold, 6);
    let [low, high] = [1, 1000];
    for (let i = 0; i < 60; i++) {
      const middle = Math.sqrt(low * high);
      if (inLux(design.circuit, middle) > GLOW_AMPS) low = middle;
      else high = middle;
    }
    expect(Math.abs(low / exact - 1)).toBeLessThan(1e-3);
    expect(ownSums(sums).light!.switches.typical).toBeCloseTo(exact, 9);
    expect(rule.on.lux!).toBeLessThan(exact);
    expect(rule.off.lux!).toBeGreaterThan(exact);
  });

  it('carries while lit what pin, rail and resistor leave, and nothing in the other light', () => {
    const amps = ampsOf([new Junction(LAMPS.white)], 5, sums.strings[0]!.chosen + 25 + 0.2);
    expect(inLux(design.circuit, SCENE_LUX.dusk) / amps).toBeCloseTo(1, 3);
    expect(Math.abs(inLux(design.circuit, SCENE_LUX.classroom))).toBeLessThan(1e-9);
  });

  it('asks the other way round where it is to be lit in the light', () => {
    const other = worked('dusk-controller', { lit: 'window', dark: 'dusk' });
    expect(ownSums(other.sums).rule!.way).toBe('light-on');
    expect(ownSums(other.sums).rule!.on.counts).toBeGreaterThan(ownSums(other.sums).rule!.off.counts);
    expect(inLux(other.design.circuit, SCENE_LUX.window)).toBeGreaterThan(1e-3);
    expect(Math.abs(inLux(other.design.circuit, SCENE_LUX.dusk))).toBeLessThan(1e-9);
  });

  it('keeps its aim for 200 random wishes, or says why it cannot', () => {
    let kept = 0;
    for (const params of fc.sample(WISHES['dusk-controller'], { numRuns: 200, seed: 11 })) {
      const why = refusedWith('dusk-controller', params);
      if (why) {
        expect(['cannot-light', 'hysteresis-wide', 'threshold-outside', 'pin-over-current']).toContain(
          why.code,
        );
        continue;
      }
      kept++;
      const made = worked('dusk-controller', params);
      const look = (scene: typeof params.lit) =>
        ownSums(made.sums).light!.scenes.find((row) => row.scene === scene)!.amps;
      expect(look(params.lit)).toBeGreaterThan(GLOW_AMPS);
      expect(Math.abs(look(params.dark))).toBeLessThan(1e-6);
      const { on, off, threshold, board } = ownSums(made.sums).rule!;
      const most = CONTROLLERS[board].counts;
      for (const counts of [on.counts, off.counts, threshold]) expect(counts > 0 && counts < most).toBe(true);
    }
    expect(kept).toBeGreaterThan(80);
  });

  it('takes a sensor as it was measured in both lights', () => {
    const made = worked('dusk-controller', { sensor: { lit: 60e3, dark: 2e3 } });
    const rows = ownSums(made.sums).rule!.rows;
    expect(rows.find(({ scene }) => scene === 'dusk')!.ohms).toBeCloseTo(60e3, 3);
    expect(rows.find(({ scene }) => scene === 'classroom')!.ohms).toBeCloseTo(2e3, 3);
  });

  it('is built on its board as wanted, read lit and dark, and lights at its last gate', () => {
    const sheet = patternSheet('dusk-controller', {});
    expect(sheet.built.asWanted).toBe(true);
    expect(sheet.goals.filter(({ met }) => !met)).toEqual([]);
    const [lit, dark] = sheet.expected.points.filter(({ point }) => point.part === 'G14');
    expect(lit!.typical).toBeLessThan(dark!.typical);
    const gates = sheet.steps.filter((step) => 'gate' in step && step.gate.power);
    const last = gates[gates.length - 1]!;
    expect('gate' in last && last.gate.lit).toEqual(['D1']);
    // The lamp’s own resistor is read there, not the one beside the sensor, though both lead to ground.
    expect('gate' in last && last.gate.readings.map(({ id }) => id)).toEqual(['R1']);
    expect(partOf(sheet.built.circuit, 'G9')!.pins['pin']).not.toBe(
      partOf(sheet.built.circuit, 'G14')!.pins['pin'],
    );
  });

  it.each([
    [{ lit: 'dusk', dark: 'dusk' }, 'same-light', {}],
    [{ pins: { lamp: 9, reads: 5 } }, 'pin-does-not-read', { pin: 5, nearest: 12 }],
    [{ pins: { lamp: 14, reads: 14 } }, 'pin-twice', { pin: 14 }],
    [{ pins: { lamp: 99, reads: 14 } }, 'no-such-pin', { pin: 99 }],
    [{ threshold: 5 }, 'threshold-outside', { threshold: 5 }],
    [{ hysteresis: 900 }, 'hysteresis-wide', { hysteresis: 900 }],
    [{ sensor: { lit: 900, dark: 15_000 } }, 'sensor-backwards', {}],
  ] as const)('refuses %j', (wish, code, data) => {
    expect(refusedWith('dusk-controller', wish as never)).toMatchObject({ code, data });
  });

  it('names a threshold and a distance apart that work', () => {
    const outside = refusedWith('dusk-controller', { threshold: 5 })!.data as { nearest: number };
    expect(refusedWith('dusk-controller', { threshold: outside.nearest })).toBeUndefined();
    const wide = refusedWith('dusk-controller', { hysteresis: 900 })!.data as { most: number };
    expect(refusedWith('dusk-controller', { hysteresis: wide.most })).toBeUndefined();
  });
});
