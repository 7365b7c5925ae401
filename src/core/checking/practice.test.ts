import { requestWith, sheetWith } from '../../../tests/support/sheets';
import { faultContext } from '../sheet/expectation';
import { faultsOf } from './faults/index';
import { canBeSwept, madeUpBuild, sweptSupply } from './practice';

const sheet = sheetWith();
const context = faultContext(sheet, requestWith());
const wrong = (code: string) => faultsOf(context).find((one) => one.code === code)!.circuit;
const at = (circuit: typeof sheet.circuit, volts: number) => sweptSupply(circuit, [volts])[0]!;

describe('a bench on a supply that is turned', () => {
  it('takes what the loop says: the volts that the lamp leaves, over the resistor', () => {
    for (const volts of [3, 4.5, 6]) {
      const { amps, looks } = at(sheet.circuit, volts);
      // A red lamp holds 1.7 V to 2.0 V between a tenth and all of its current.
      expect(amps).toBeGreaterThan((volts - 2.0) / 330);
      expect(amps).toBeLessThan((volts - 1.7) / 330);
      expect(looks).toEqual({ D1: 'lit' });
    }
    const off = at(sheet.circuit, 0);
    expect(off.amps).toBeCloseTo(0, 12);
    expect(off.looks).toEqual({ D1: 'dark' });
  });

  it('comes alive though its own pack is dead or tired: that pack is not there', () => {
    for (const code of ['supply-dead', 'supply-tired', 'bad-contact'])
      expect(at(wrong(code), 4.5).amps).toBeCloseTo(at(sheet.circuit, 4.5).amps, 9);
  });

  it('stays dark where a lead or the lamp is turned round', () => {
    for (const code of ['supply-reversed', 'lamp-reversed'])
      expect(at(wrong(code), 6).looks).toEqual({ D1: 'dark' });
  });

  it('is not offered of what moves', () => {
    expect(canBeSwept(sheet)).toBe(true);
    expect(canBeSwept({ circuit: sheet.circuit, shows: { D1: {} } })).toBe(false);
  });
});

describe('a made-up class', () => {
  const build = (bench: number, seed = 3, mended = false) => madeUpBuild(context, { seed, bench, mended });

  it('is the same by the same number, and another by another', () => {
    const codes = (seed: number) => Array.from({ length: 30 }, (_, i) => build(i + 1, seed).candidate.code);
    expect(codes(3)).toEqual(codes(3));
    expect(codes(3)).not.toEqual(codes(4));
  });

  it('keeps parts and meter of a bench that is mended', () => {
    for (let bench = 1; bench <= 20; bench++) {
      expect(build(bench, 3, true).candidate.code).toBe('right');
      expect(build(bench, 3, true).chance).toEqual(build(bench).chance);
    }
  });

  it('has no slip of the meter in it, nor a state of a right build taken for a mistake', () => {
    for (let bench = 1; bench <= 60; bench++) {
      const { candidate } = build(bench);
      expect(candidate.use).toBe('right');
      expect(['knob-elsewhere', 'supply-used']).not.toContain(candidate.code);
    }
  });
});
