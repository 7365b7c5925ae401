import { lampLoop, ledPart, made, resistorPart } from '../../../tests/support/circuits';
import { answer, refusal } from '../../../tests/support/outcomes';
import { outputDriven } from '@/demo/circuits';
import { supplySpent } from '../catalogue/discharge';
import type { SupplyChoice } from '../catalogue/supplies';
import { solve } from '../solver/solve';
import { batteryLife, batteryLifeOf } from './battery';

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

  it('tell how far they are worked out', () => {
    const shares: number[] = [];
    answer(
      batteryLifeOf(lampLoop(4.8, 0.45, 'red', 330), 'B1', 'D1', cells, undefined, (share) =>
        shares.push(share),
      ),
    );
    expect(shares[shares.length - 1]).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares[0]).toBeLessThan(0.1);
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
