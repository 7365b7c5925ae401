import { patternSheet, ROWS_ONLY, sheetWith } from '../../../tests/support/sheets';
import type { Outcome } from '../findings/finding';
import { asBuilt } from './asBuilt';
import { copperOf } from './copper';
import { addJumper, addPart, moveLeg, recolour, shiftPart, stepsBetween, swapParts, takeAway } from './edits';
import { placementOf, planSchema, type Plan } from './plan';
import { readBack } from './readBack';

function made(plan: Outcome<Plan>): Plan {
  if (!plan.ok) throw new Error(JSON.stringify(plan.findings));
  return plan.value;
}

describe('changing places, wires and colours', () => {
  const sheet = patternSheet('panel', { rows: 1, columns: 2, lamp: 'red' }, 'half', ROWS_ONLY);
  const { plan, circuit } = sheet;

  it('two like parts change places, and the circuit stays what it was', () => {
    const swapped = made(swapParts(plan, 'R1', 'R2'));
    expect(placementOf(swapped, 'R1')!.legs).toEqual(placementOf(plan, 'R2')!.legs);
    expect(placementOf(swapped, 'R2')!.legs).toEqual(placementOf(plan, 'R1')!.legs);
    expect(asBuilt(made(swapParts(swapped, 'D1', 'D2')), circuit).asWanted).toBe(true);
  });

  it('parts with other legs do not', () => {
    const rgb = patternSheet('rgb', {}, 'half');
    expect(swapParts(rgb.plan, 'R1', 'D1')).toMatchObject({ ok: false, findings: [{ code: 'not-alike' }] });
  });

  it('a further jumper takes the next free name, and is read', () => {
    const first = placementOf(plan, 'R1')!.legs['a']!;
    const second = placementOf(plan, 'R1')!.legs['b']!;
    const free = (hole: string) => `a${hole.slice(1)}`;
    const at = [free(first), free(second)].map((hole) =>
      planTaken(plan, hole) ? `b${hole.slice(1)}` : hole,
    );
    const shorted = made(addJumper(plan, at[0]!, at[1]!, 'yellow'));
    const wires = plan.placements.filter(({ kind }) => kind === 'jumper').length;
    expect(placementOf(shorted, `W${wires + 1}`)).toMatchObject({
      kind: 'jumper',
      colour: 'yellow',
      fixed: true,
    });
    const built = asBuilt(shorted, circuit);
    expect(built.asWanted).toBe(false);
    expect(built.findings.map(({ code }) => code)).toContain('will-fail');
  });

  it('a part from the store is read with its own figures, and is no part of the lesson', () => {
    const one = sheetWith({}, ROWS_ONLY);
    const more = made(addPart(one.plan, { kind: 'resistor', ohms: 330 }, 'b3', 'b8'));
    const built = asBuilt(more, one.circuit);
    expect(built.asWanted).toBe(false);
    // Two of 330 Ω side by side are 165 Ω.
    const { amps, volts } = built.seen!.parts['D1']!;
    expect(amps).toBeCloseTo((4.8 - volts) / (165 + 0.45), 9);
    const lamp = made(addPart(one.plan, { kind: 'led', type: 'blue' }, 'b8', 'b9'));
    expect(placementOf(lamp, 'D2')!.legs).toEqual({ anode: 'b8', cathode: 'b9' });
    expect(asBuilt(lamp, one.circuit).lamps.map(({ part }) => part)).toEqual(['D1', 'D2']);
  });

  it('a jumper wants holes that are there and free', () => {
    expect(addJumper(plan, 'z1', 'a30', 'red')).toMatchObject({
      ok: false,
      findings: [{ code: 'hole-missing' }],
    });
    const taken = placementOf(plan, 'R1')!.legs['a']!;
    expect(addJumper(plan, taken, 'j30', 'red')).toMatchObject({
      ok: false,
      findings: [{ code: 'hole-taken' }],
    });
  });

  it('a colour changes nothing else', () => {
    const blue = recolour(plan, 'W1', 'blue');
    expect(placementOf(blue, 'W1')!.colour).toBe('blue');
    expect(readBack(blue, circuit)).toEqual(readBack(plan, circuit));
  });

  it('what is taken away is missed', () => {
    const gone = takeAway(plan, 'D1');
    expect(placementOf(gone, 'D1')).toBeUndefined();
    expect(asBuilt(gone, circuit).asWanted).toBe(false);
  });

  it('a piece moved by hand is remembered as such', () => {
    const moved = made(shiftPart(sheetWith({}, ROWS_ONLY).plan, 'R1', 0, -1));
    expect(placementOf(moved, 'R1')!.fixed).toBe(true);
    expect(planSchema.parse(moved)).toEqual(moved);
  });

  function planTaken(of: Plan, hole: string): boolean {
    return of.placements.some(({ legs }) => Object.values(legs).includes(hole));
  }
});

describe('steps from hole to hole', () => {
  it('are those that a part is shifted by, on every kind of board', () => {
    const boards = ['half', 'strip', 'pad', 'card'] as const;
    for (const board of boards) {
      const { plan } = patternSheet('coin-light', { copies: 2, resistor: true, lamp: 'red' }, board);
      const [from] = Object.values(placementOf(plan, 'R1')!.legs) as [string];
      const [to] = Object.values(placementOf(plan, 'R2')!.legs) as [string];
      const steps = stepsBetween(plan, from, to)!;
      const alone = takeAway(takeAway(plan, 'R2'), 'D2');
      const moved = shiftPart(alone, 'R1', steps.rows, steps.columns);
      if (moved.ok) expect(Object.values(placementOf(moved.value, 'R1')!.legs)[0]).toBe(to);
    }
    expect(stepsBetween(sheetWith({}, ROWS_ONLY).plan, 'L+3', 'a3')).toBeUndefined();
  });
});

describe('copper that is cut', () => {
  const { plan, circuit } = patternSheet('panel', { rows: 1, columns: 3 }, 'strip');

  it('falls into two nets at the cut, whose own hole belongs to neither', () => {
    const cut = plan.cuts![0]!;
    const [strip, x] = [cut.charAt(0), Number(cut.slice(1))];
    const copper = copperOf(plan);
    expect(copper(`${strip}${x - 1}`)).not.toBe(copper(`${strip}${x + 1}`));
    expect(copper(cut)).toBe(`${cut} cut`);
    const whole = copperOf({ board: 'strip' });
    expect(whole(`${strip}${x - 1}`)).toBe(whole(`${strip}${x + 1}`));
  });

  it('left uncut joins what must be apart', () => {
    const uncut = { ...plan, cuts: plan.cuts!.slice(1) };
    expect(asBuilt(plan, circuit).asWanted).toBe(true);
    expect(asBuilt(uncut, circuit).asWanted).toBe(false);
  });

  it('takes no leg', () => {
    const cut = plan.cuts![0]!;
    expect(moveLeg(plan, 'R1', 'a', cut)).toMatchObject({ ok: false, findings: [{ code: 'hole-cut' }] });
  });
});

describe('pads and tapes', () => {
  it('join nothing by themselves: without its links a pad board is a heap of parts', () => {
    const { plan, circuit } = patternSheet('single', {}, 'pad');
    const bare = { ...plan, placements: plan.placements.filter(({ kind }) => kind === 'part') };
    const nets = new Set(readBack(bare, circuit).parts.flatMap(({ pins }) => Object.values(pins)));
    expect(nets.size).toBe(6);
    expect(asBuilt(plan, circuit).asWanted).toBe(true);
  });

  it('a lamp the wrong way round on the card is seen as on a board', () => {
    const { plan, circuit } = patternSheet('coin-light', {}, 'card');
    const legs = placementOf(plan, 'D1')!.legs;
    const turned = {
      ...plan,
      placements: plan.placements.map((p) =>
        p.part === 'D1' ? { ...p, legs: { anode: legs['cathode']!, cathode: legs['anode']! } } : p,
      ),
    };
    expect(asBuilt(turned, circuit).findings.map(({ code }) => code)).toEqual(['reversed']);
  });
});
