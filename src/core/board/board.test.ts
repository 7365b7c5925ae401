import fc from 'fast-check';
import { LAMP_TYPES } from '../catalogue/lamps';
import type { Circuit } from '../circuit/circuit';
import { circuitOf, lampLoop, ledPart, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { asBuilt, type AsBuilt } from './asBuilt';
import { moveLeg, shiftPart, standInFor, turnPart } from './edits';
import { BOARDS } from './boards';
import { boardHoles, holeOf, railHoleNear } from './geometry';
import { layOut } from './layout/layOut';
import { placementProblems, planCovers, planSchema, takenHoles, type Plan } from './plan';
import { readBack } from './readBack';
import { sameCircuit } from './sameCircuit';

function planOf(circuit: Circuit): Plan {
  const laid = layOut({
    circuit,
    board: 'half',
    wires: 'red and black',
    spacing: 'clear',
    rails: 'wires only',
  });
  if (!laid.ok) throw new Error(JSON.stringify(laid.findings));
  return laid.value.plan;
}

function edited(plan: ReturnType<typeof moveLeg>): Plan {
  if (!plan.ok) throw new Error(JSON.stringify(plan.findings));
  return plan.value;
}

const wanted = lampLoop(4.8, 0.45, 'red', 330);
const plan = planOf(wanted);
const places = ({ placements }: Plan) => placements.map(({ part, legs }) => ({ part, legs }));
const codes = (built: AsBuilt) => built.findings.map((f) => f.code);

describe('the half-size board', () => {
  it('has 300 holes in rows and 25 on each rail', () => {
    const holes = boardHoles(BOARDS.half);
    expect(holes.filter((h) => !h.rail)).toHaveLength(300);
    expect(holes.filter((h) => h.rail)).toHaveLength(100);
    expect(new Set(holes.map((h) => h.name)).size).toBe(400);
  });

  it('joins five holes a side in each row, and each rail along its length', () => {
    const strips = new Map<string, number>();
    for (const { strip } of boardHoles(BOARDS.half)) strips.set(strip, (strips.get(strip) ?? 0) + 1);
    expect(strips.size).toBe(64);
    expect(strips.get('5 a–e')).toBe(5);
    expect(strips.get('5 f–j')).toBe(5);
    expect(strips.get('L+')).toBe(25);
  });

  it('knows its holes by name and no others', () => {
    expect(holeOf(BOARDS.half, 'a5')).toMatchObject({ row: 5, strip: '5 a–e', rail: false });
    expect(holeOf(BOARDS.half, 'L+3')).toMatchObject({ strip: 'L+', rail: true });
    for (const name of ['a0', 'a31', 'k5', 'L+6', 'M+3', '', 'a', '5']) {
      expect(holeOf(BOARDS.half, name)).toBeUndefined();
    }
    expect(railHoleNear(BOARDS.half, 'L-', 12)).toBe('L-13');
  });
});

describe('laying out one loop', () => {
  it('reads back as the circuit it was made from, for any supply, side and lamp', () => {
    const loops = fc.record({
      lamp: fc.constantFrom(...LAMP_TYPES),
      volts: fc.double({ min: 4, max: 24, noNaN: true }),
      lampFirst: fc.boolean(),
      more: fc.integer({ min: 0, max: 2 }),
    });
    fc.assert(
      fc.property(loops, ({ lamp, volts, lampFirst, more }) => {
        const kinds = ['R', 'D', ...Array.from({ length: more }, () => 'R')];
        if (lampFirst) kinds.reverse();
        const parts = kinds.map((kind, i) => {
          const [a, b] = [i === 0 ? 'plus' : `n${i}`, i === kinds.length - 1 ? '0' : `n${i + 1}`];
          return kind === 'R' ? resistorPart(`R${i}`, a, b, 220) : ledPart(`D${i}`, a, b, lamp);
        });
        const circuit = circuitOf([supplyPart(volts, 1), ...parts]);
        const made = planOf(circuit);
        expect(placementProblems(made)).toEqual([]);
        expect(planCovers(made, circuit)).toBe(true);
        expect(sameCircuit(readBack(made, circuit), circuit)).toBe(true);
        expect(planSchema.parse(JSON.parse(JSON.stringify(made)))).toEqual(made);
      }),
    );
  });

  it('puts no two legs in one hole', () => {
    expect(takenHoles(plan).size).toBe(plan.placements.flatMap((p) => Object.values(p.legs)).length);
  });
});

describe('moving and turning parts', () => {
  it('keeps to the holes there are, and to one leg a hole', () => {
    const off = moveLeg(plan, 'R1', 'a', 'z9');
    expect(off.ok || off.findings[0]).toMatchObject({
      code: 'hole-missing',
      data: { hole: 'z9', part: 'R1' },
    });
    const taken = moveLeg(plan, 'R1', 'a', 'a3');
    expect(taken.ok || taken.findings[0]).toMatchObject({ code: 'hole-taken', data: { other: 'W1' } });
    const double = moveLeg(plan, 'R1', 'a', 'c8');
    expect(double.ok || double.findings[0]!.code).toBe('hole-taken');
    const beyond = shiftPart(plan, 'R1', -5, 0);
    expect(beyond.ok).toBe(false);
  });

  it('turning twice, and there and back, change nothing', () => {
    expect(places(edited(turnPart(edited(turnPart(plan, 'D1')), 'D1')))).toEqual(places(plan));
    expect(places(edited(shiftPart(edited(shiftPart(plan, 'R1', 2, -1)), 'R1', -2, 1)))).toEqual(
      places(plan),
    );
  });

  it('a move along the same rows is the same circuit', () => {
    const moved = edited(shiftPart(plan, 'R1', 0, -1));
    const built = asBuilt(moved, wanted);
    expect(built.asWanted).toBe(true);
    expect(codes(built)).toEqual(['lamp-glow']);
  });

  it('turning the resistor round changes nothing but looks', () => {
    expect(asBuilt(edited(turnPart(plan, 'R1')), wanted).asWanted).toBe(true);
  });
});

describe('what would happen', () => {
  it('as planned: bright, with its share of the limit', () => {
    const built = asBuilt(plan, wanted);
    expect(built.asWanted).toBe(true);
    expect(built.findings[0]).toMatchObject({ code: 'lamp-glow', data: { brightness: 'bright' } });
    expect(built.seen!.parts['D1']!.amps).toBeCloseTo(8.8505e-3, 6);
  });

  it('lamp turned round: dark, the whole supply across it', () => {
    const built = asBuilt(edited(turnPart(plan, 'D1')), wanted);
    expect(built.asWanted).toBe(false);
    expect(built.findings).toMatchObject([{ code: 'reversed', data: { part: 'D1' } }]);
    expect(built.seen!.parts['D1']!.volts).toBeCloseTo(-4.8, 4);
    expect(built.seen!.parts['R1']!.volts).toBeCloseTo(0, 4);
  });

  it('lamp turned round on nine volts: beyond its reverse limit', () => {
    const nine = lampLoop(9.5, 1.7, 'yellow', 1000);
    expect(codes(asBuilt(edited(turnPart(planOf(nine), 'D1')), nine))).toEqual(['reverse-limit']);
  });

  it('both legs of the lamp in one row: dark, and half as much current again', () => {
    const built = asBuilt(edited(moveLeg(plan, 'D1', 'cathode', 'b8')), wanted);
    expect(codes(built)).toContain('shorted-by-row');
    expect(built.lamps[0]!.brightness).toBe('dark');
  });

  it('both legs in one row that still closes the loop lets V/R flow past the lamp', () => {
    const joined = edited(moveLeg(plan, 'W2', 'b', 'a8'));
    const built = asBuilt(edited(moveLeg(joined, 'D1', 'cathode', 'b8')), wanted);
    expect(built.seen!.parts['R1']!.amps).toBeCloseTo(4.8 / 330.45, 5);
    expect(built.lamps[0]!.brightness).toBe('dark');
  });

  it('both legs of the resistor in one row: far too bright', () => {
    const at = edited(moveLeg(plan, 'W1', 'b', 'a8'));
    const built = asBuilt(edited(moveLeg(at, 'R1', 'a', 'b8')), wanted);
    expect(codes(built)).toEqual(expect.arrayContaining(['shorted-by-row', 'will-fail']));
  });

  it('a leg one row off: dark, and which row is empty', () => {
    const built = asBuilt(edited(moveLeg(plan, 'R1', 'b', 'c7')), wanted);
    expect(built.asWanted).toBe(false);
    expect(built.findings).toEqual(
      expect.arrayContaining([
        expect.objectContaining({
          code: 'open-leg',
          data: { part: 'R1', kind: 'resistor', pin: 'b', hole: 'c7', strip: '7 a–e' },
        }),
        expect.objectContaining({ code: 'dark' }),
      ]),
    );
  });

  it('a wire in place of the resistor: how much over, and what would fail', () => {
    const built = asBuilt(standInFor(plan, 'R1', { kind: 'wire' }), wanted);
    const failure = built.findings.find((f) => f.code === 'will-fail');
    expect(failure).toMatchObject({ data: { part: 'D1', limit: 0.02 } });
    expect(built.seen!.parts['D1']!.amps).toBeGreaterThan(0.6);
    expect(codes(built)).toContain('no-resistor');
  });

  it('another value or colour in place: computed, and not as wanted', () => {
    const ten = asBuilt(standInFor(plan, 'R1', { kind: 'resistor', ohms: 3300 }), wanted);
    expect(ten.asWanted).toBe(false);
    const { amps, volts } = ten.seen!.parts['D1']!;
    expect(amps).toBeCloseTo((4.8 - volts) / 3300.45, 9);
    expect(amps).toBeLessThan(1e-3);
    const blue = asBuilt(standInFor(plan, 'D1', { kind: 'led', type: 'blue' }), wanted);
    expect(blue.seen!.parts['D1']!.volts).toBeGreaterThan(2.8);
  });

  it('a part joined to nothing is named, and the rest is still solved', () => {
    const away = edited(moveLeg(edited(moveLeg(plan, 'R1', 'a', 'g20')), 'R1', 'b', 'g25'));
    const built = asBuilt(away, wanted);
    expect(built.findings).toEqual(
      expect.arrayContaining([expect.objectContaining({ code: 'cut-off', data: { part: 'R1' } })]),
    );
    expect(built.seen).toBeDefined();
  });

  it('the supply shorted by a jumper is said first of all', () => {
    const built = asBuilt(edited(moveLeg(plan, 'W1', 'b', 'L-4')), wanted);
    expect(codes(built)).toContain('supply-shorted');
  });
});
