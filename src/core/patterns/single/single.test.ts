import fc from 'fast-check';
import { requestWith, sheetWith } from '../../../../tests/support/sheets';
import { LAMPS, LAMP_TYPES } from '../../catalogue/lamps';
import { seriesValues } from '../../catalogue/preferred';
import { BARE_SHELF } from '../../catalogue/shelf';
import { SUPPLY_KINDS, SUPPLIES } from '../../catalogue/supplies';
import { solve } from '../../solver/solve';
import { DEFAULT_STYLE } from '../style';
import { readLampAmps, readSupplyVolts } from '../wishes';
import { singleParams, type SingleParams } from './params';
import { single } from './single';
import { ownSums } from '../../../../tests/support/ownSums';

const means = { shelf: BARE_SHELF, style: DEFAULT_STYLE };
const base = single.defaults(DEFAULT_STYLE);

function refusal(params: Partial<SingleParams>) {
  const designed = single.design({ ...base, ...params }, means);
  return designed.ok ? undefined : designed.findings[0]!;
}

describe('the sums of one lamp', () => {
  it('go line by line as on the board', () => {
    const { loop: working, sums } = sheetWith();
    expect(sums.supplyFigures.volts).toBeCloseTo(4.8, 12);
    expect(working.lampVolts).toBeCloseTo(1.8847, 3);
    expect(working.voltsLeft).toBeCloseTo(4.8 - working.lampVolts, 12);
    expect(working.loopOhms).toBeCloseTo(working.voltsLeft / 0.01, 9);
    expect(working.exactOhms).toBeCloseTo(working.loopOhms - 0.45, 9);
    expect(working.around).toEqual({ down: 270, up: 330, nearest: 270 });
    expect(working.chosen).toBe(330);
    expect(working.bands4).toEqual(['orange', 'orange', 'brown', 'gold']);
    expect(working.bands5).toEqual(['orange', 'orange', 'black', 'black', 'brown']);
    expect(sums.design.amps).toBeCloseTo(8.8505e-3, 6);
    expect(sums.hottest.hottest!.watts).toBeCloseTo(sums.design.amps ** 2 * 330, 9);
    expect(sums.rating).toBe(0.125);
    expect(working.hours).toBeCloseTo(2.4 / sums.ages[1]!.amps, 6);
    // Along the discharge the current falls from fresh to empty, so the hours lie between those of its ends.
    expect(sums.life!.toEmpty).toBeGreaterThan(2.4 / sums.ages[0]!.amps);
    expect(sums.life!.toDim).toBe(Infinity);
  });

  it('agree with the solver at every age', () => {
    const { sums, circuit } = sheetWith({ lamp: 'blue', amps: 0.005 });
    const outcome = solve(circuit);
    expect(outcome.ok && outcome.value.parts['D1']!.amps).toBeCloseTo(sums.design.amps, 9);
    expect(outcome.ok && outcome.value.parts['R1']!.watts).toBeCloseTo(sums.design.hottest!.watts, 9);
  });

  it('show the other schools with what they lead to', () => {
    const { schools } = sheetWith().loop;
    const of = (question: string, choice: string) =>
      schools.find((s) => s.question === question && s.choice === choice)!;
    expect(of('value', 'up')).toMatchObject({ ohms: 330, house: true });
    expect(of('value', 'nearest')).toMatchObject({ ohms: 270, house: false });
    expect(of('value', 'nearest').ages[0]!.amps).toBeCloseTo(10.758e-3, 6);
    expect(of('value', 'walk').ohms).toBe(560);
    expect(of('value', 'walk').ages[0]!.amps).toBeGreaterThan(5e-3);
    expect(of('age', 'nominal').ohms).toBe(270);
    expect(of('current', 'full rated').ohms).toBe(150);
  });

  it('let the lesson overrule the house', () => {
    expect(sheetWith({ rounding: 'nearest' }).loop.chosen).toBe(270);
    expect(sheetWith({ values: 'E24' }).loop.chosen).toBe(300);
    const drawer = { shelf: { ...BARE_SHELF, drawer: [470, 220] } };
    expect(sheetWith({}, drawer).loop.chosen).toBe(470);
    expect(sheetWith({}, { ...drawer, style: { ...DEFAULT_STYLE, rounding: 'nearest' } }).loop.chosen).toBe(
      220,
    );
  });

  it('never pass the wanted current when rounding up, for any supply, lamp and wish', () => {
    const wishes = fc.record({
      kind: fc.constantFrom(...SUPPLY_KINDS),
      cells: fc.integer({ min: 1, max: 10 }),
      age: fc.constantFrom('fresh', 'nominal', 'tired') as fc.Arbitrary<'fresh' | 'nominal' | 'tired'>,
      lamp: fc.constantFrom(...LAMP_TYPES),
      amps: fc.double({ min: 5e-4, max: 0.03, noNaN: true }),
      side: fc.constantFrom('plus', 'minus') as fc.Arbitrary<'plus' | 'minus'>,
    });
    fc.assert(
      fc.property(wishes, ({ kind, cells, age, lamp, amps, side }) => {
        const supply = { kind, cells: Math.min(cells, SUPPLIES[kind].cellsMost), age };
        const designed = single.design({ supply, lamp, amps, side }, means);
        if (!designed.ok) return;
        const { design } = designed.value.sums;
        const { loop } = ownSums(designed.value.sums);
        expect(seriesValues('E12')).toContain(loop!.chosen);
        expect(design.amps).toBeLessThanOrEqual(amps * (1 + 1e-9));
        const solved = solve(designed.value.circuit);
        expect(solved.ok && solved.value.parts['D1']!.amps / design.amps).toBeCloseTo(1, 6);
      }),
    );
  });

  it('carry the same current with the resistor on either side', () => {
    const plus = sheetWith({ side: 'plus' });
    const minus = sheetWith({ side: 'minus' });
    expect(minus.sums.design.amps).toBe(plus.sums.design.amps);
    expect(minus.circuit.parts.find((p) => p.id === 'R1')!.pins['b']).toBe('minus');
  });
});

describe('wishes that cannot be met', () => {
  it('mains, and more than 24 V', () => {
    const bench = (volts: number) => ({ supply: { kind: 'bench', cells: 1, age: 'fresh', volts } as const });
    expect(refusal(bench(230))).toMatchObject({ code: 'mains-refused', data: { volts: 230 } });
    expect(refusal(bench(30))).toMatchObject({ code: 'supply-too-high', data: { volts: 30, limit: 24 } });
    expect(refusal(bench(24))).toBeUndefined();
  });

  it('a lamp that the supply cannot light, with what it needs', () => {
    const two = {
      supply: { kind: 'aa-alkaline', cells: 2, age: 'nominal' } as const,
      lamp: 'violet' as const,
    };
    expect(refusal(two)).toMatchObject({ code: 'cannot-light', data: { supply: 3, lamp: 'violet' } });
    const limited = {
      supply: { kind: 'bench', cells: 1, age: 'fresh', volts: 9, limitAmps: 0.005 } as const,
    };
    expect(refusal(limited)!.code).toBe('cannot-light');
  });

  it('a current beyond the lamp, or a drawer that ends below', () => {
    const weak = { ...BARE_SHELF, lamps: { ...LAMPS, red: { ...LAMPS.red, absoluteAmps: 0.005 } } };
    const designed = single.design(base, { ...means, shelf: weak });
    expect(designed.ok || designed.findings[0]!.code).toBe('current-over-limit');
    const empty = single.design(base, { ...means, shelf: { ...BARE_SHELF, drawer: [10, 100] } });
    expect(empty.ok || empty.findings[0]).toMatchObject({
      code: 'no-resistor-in-drawer',
      data: { largest: 100 },
    });
  });

  it('are told apart from warnings that leave the sheet standing', () => {
    const codes = (params: Partial<SingleParams>) => sheetWith(params).findings.map((f) => f.code);
    const usb = { kind: 'usb', cells: 1, age: 'nominal' } as const;
    expect(
      codes({ lamp: 'blue', supply: { kind: 'aa-alkaline', cells: 2, age: 'fresh' }, amps: 0.002 }),
    ).toContain('little-headroom');
    expect(codes({ amps: 0.03, values: 'E96' })).toEqual(expect.arrayContaining(['over-current']));
    expect(codes({ supply: { kind: 'coin-20mm', cells: 2, age: 'fresh' } })).toContain('over-drawn-cell');
    expect(codes({ supply: { kind: 'lead-acid-12v', cells: 1, age: 'fresh' }, amps: 0.02 })).toContain(
      'runs-hot',
    );
    expect(codes({ supply: usb })).toEqual(['assumed-figure']);
  });
});

describe('what is typed into the sentence', () => {
  it('supply volts', () => {
    expect(readSupplyVolts('12 V')).toMatchObject({ ok: true, value: 12 });
    for (const mains of ['230', '230 V AC', '110V', '12 V ac', '~24', 'mains', '230,5 V']) {
      const read = readSupplyVolts(mains);
      expect(read.ok || read.findings[0]!.code).toBe('mains-refused');
    }
    const codeOf = (typed: string) => {
      const read = readSupplyVolts(typed);
      return read.ok ? 'taken' : read.findings[0]!.code;
    };
    expect(codeOf('25')).toBe('supply-too-high');
    expect(codeOf('0.1')).toBe('out-of-range');
    expect(codeOf('')).toBe('empty-figure');
    expect(codeOf('nine')).toBe('not-a-figure');
  });

  it('lamp currents, bare numbers in mA', () => {
    expect(readLampAmps('12')).toMatchObject({ ok: true, value: 0.012 });
    expect(readLampAmps('12m')).toMatchObject({ ok: true, value: 0.012 });
    expect(readLampAmps('2 A')).toMatchObject({ ok: false });
    expect(readLampAmps('-5')).toMatchObject({ ok: false });
  });

  it('parameters out of a file are checked whole', () => {
    const supply = { kind: 'usb', cells: 1, age: 'nominal' };
    expect(singleParams.safeParse({ ...base, supply }).success).toBe(true);
    expect(singleParams.safeParse({ ...base, supply: { ...supply, cells: 3 } }).success).toBe(false);
    expect(singleParams.safeParse({ ...base, lamp: 'pink' }).success).toBe(false);
    expect(singleParams.safeParse({ ...base, extra: 1 }).success).toBe(false);
    expect(requestWith().choice.params).toEqual(base);
  });
});
