import { worked } from '../../../../tests/support/sheets';
import { LAMPS } from '../../catalogue/lamps';
import { isKind } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { stringsOf } from './strings';

const volts = (type: 'blue' | 'red') => new Junction(LAMPS[type]).voltsAt(0.008);

describe('strings: three blue and two red off nine volts, 8 mA', () => {
  const { sums, design } = worked('strings', { way: { kind: 'strings', length: 2 } });
  const way = (kind: string, length: number) =>
    sums.ways.find((w) => w.kind === kind && w.length === length && w.supply === sums.supply)!;

  it('of two light all lamps, fresh and tired, at least current', () => {
    expect(sums.ways.find(({ taken }) => taken)).toMatchObject({ kind: 'strings', length: 2 });
    expect(design.circuit.parts.filter((part) => isKind(part, 'resistor'))).toHaveLength(3);
    expect(sums.design.lamps.every(({ amps }) => amps > 6.9e-3 && amps <= 8.0e-3)).toBe(true);
  });

  it('has the sum of each string as by hand', () => {
    const blue = new Junction(LAMPS.blue).voltsAt(0.008);
    const sum = sums.strings[0]!;
    expect(sum.lampVolts).toBeCloseTo(2 * blue, 9);
    expect(sum.voltsLeft).toBeCloseTo(9.5 - 2 * blue, 9);
    // Three strings pass through the block's own 1.7 Ω.
    expect(sum.exactOhms).toBeCloseTo((9.5 - 2 * blue) / 0.008 - 3 * 1.7, 6);
    expect(sum.chosen).toBe(470);
  });

  it('shows the others with their reason: strings too long, and one resistor for all', () => {
    expect(way('own', 1)).toMatchObject({ works: true, figures: { lamps: 5, litFresh: 5, litTired: 5 } });
    expect(way('own', 1).figures!.amps).toBeGreaterThan(1.5 * way('strings', 2).figures!.amps);
    expect(way('strings', 2).figures!.hours!).toBeGreaterThan(1.5 * way('own', 1).figures!.hours!);
    expect(way('strings', 3)).toMatchObject({ works: false, figures: { litFresh: 5, litTired: 2 } });
    expect(way('strings', 4).why[0]).toMatchObject({
      code: 'cannot-light',
      // Two strings would pass through the block's own 1.7 Ω.
      data: { needVolts: expect.closeTo(3 * volts('blue') + volts('red') + 2 * 1.7 * 0.008, 9) },
    });
    const shared = way('shared', 1);
    expect(shared.works).toBe(false);
    expect(shared.why[0]).toMatchObject({ code: 'unequal-lamps', data: { dark: 3, over: 2 } });
    const amps = shared.why[0]!.code === 'unequal-lamps' ? shared.why[0]!.data.lamps.map((l) => l.amps) : [];
    expect(amps[0]!).toBeLessThan(1e-6);
    expect(amps[4]!).toBeGreaterThan(0.02);
  });

  it('compares other supplies, and prices what the store can price', () => {
    const elsewhere = sums.ways.filter((w) => w.supply !== sums.supply);
    expect(elsewhere.map((w) => w.supply.kind)).toEqual(['usb', 'aa-alkaline', 'aa-alkaline']);
    expect(way('own', 1).figures!.cents).toBeUndefined();
    const stock = [
      { spec: { kind: 'led', lamp: 'blue' }, have: 9, packSize: 10, packCents: 200 },
      { spec: { kind: 'led', lamp: 'red' }, have: 9, packSize: 10, packCents: 100 },
      { spec: { kind: 'resistor', ohms: 470 }, have: 9, packSize: 10, packCents: 30 },
      { spec: { kind: 'resistor', ohms: 820 }, have: 9, packSize: 10, packCents: 30 },
    ];
    const priced = worked('strings', { way: { kind: 'strings', length: 2 } }, { stock }).sums.ways.find(
      ({ taken }) => taken,
    )!;
    expect(priced.figures!.cents).toBeCloseTo(3 * 20 + 2 * 10 + 3 * 3, 9);
  });

  it('lets the educator overrule', () => {
    const own = worked('strings', { way: { kind: 'own' } });
    expect(own.design.circuit.parts.filter((part) => isKind(part, 'resistor'))).toHaveLength(5);
    const shared = worked('strings', { way: { kind: 'shared' } });
    expect(shared.design.findings.map(({ code }) => code)).toContain('unequal-lamps');
  });

  it('puts like lamps together, and what is left over in a string of its own', () => {
    expect(stringsOf(['blue', 'blue', 'blue', 'red', 'red'], 2)).toEqual([
      ['blue', 'blue'],
      ['red', 'red'],
      ['blue'],
    ]);
    expect(stringsOf(['red', 'blue'], 2)).toEqual([['red', 'blue']]);
  });
});
