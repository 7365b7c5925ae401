import { patternSheet, ROUGH } from '../../../tests/support/sheets';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import { bodyShape, lies, stands } from '../board/room';
import { PATTERN_IDS } from '../patterns/index';
import { thingsOf } from '../parts/thing';
import { cautionsAt } from '../sheet/cautions';
import { idsOf } from './step';

describe.each(PATTERN_IDS)('the card of %s', (pattern) => {
  const sheet = patternSheet(pattern, {}, 'full', ROUGH);

  it('lays no wire under what stands there already', () => {
    const board = boardOf(sheet.plan);
    const things = new Map(thingsOf(sheet.circuit).map((thing) => [thing.id, thing]));
    const holes = (part: string) =>
      Object.values(sheet.plan.placements.find((one) => one.part === part)?.legs ?? {}).flatMap(
        (name) => holeOf(board, name) ?? [],
      );
    const standing: string[] = [];
    for (const step of sheet.steps) {
      if (step.action === 'place-jumper') {
        const [from, to] = holes(step.part);
        for (const id of standing) {
          const shape = bodyShape(things.get(id)!, holes(id));
          for (let share = 0; share <= 1; share += 0.02) {
            const at = { x: from!.x + share * (to!.x - from!.x), y: from!.y + share * (to!.y - from!.y) };
            expect([step.part, id, lies(at, shape)]).toEqual([step.part, id, false]);
          }
        }
      }
      standing.push(...idsOf(step).filter((id) => things.has(id) && stands(things.get(id)!)));
    }
  });

  it('has every caution about a part where the first of these parts goes in', () => {
    for (const caution of sheet.cautions) {
      if (!caution.about) continue;
      const at = sheet.steps.filter((step) =>
        cautionsAt(step, sheet.cautions, sheet.steps).some(({ code }) => code === caution.code),
      );
      expect([caution.code, at.length]).toEqual([caution.code, 1]);
      const first = sheet.steps.find((step) => idsOf(step).some((id) => caution.about!.includes(id)));
      expect(at[0]).toBe(first);
    }
  });
});

describe('a three-colour lamp', () => {
  it('has its caution where the house goes in that its three lamps share', () => {
    const { steps, cautions } = patternSheet(
      'rgb',
      { amps: { red: 0.012, green: 0.012, blue: 0.012 } },
      'half',
      ROUGH,
    );
    const bright = cautions.find(({ code }) => code === 'bright-lamp')!;
    expect(bright.about).toEqual(['D1']);
    const at = steps.filter((step) => cautionsAt(step, cautions, steps).includes(bright));
    expect(at.map(({ id }) => id)).toEqual(['D1']);
  });
});

describe('a controller', () => {
  it('has its program before anything hangs on its pins, and before any test', () => {
    const { steps } = patternSheet('sequence', {}, 'half', ROUGH);
    expect(steps[0]).toMatchObject({ action: 'send-program', part: 'B1' });
    expect(steps[steps.length - 3]).toMatchObject({ action: 'plug-in' });
    expect(steps[steps.length - 2]).toMatchObject({ at: 'after-power' });
  });
});

describe('lamps that live on the limit of a bench supply', () => {
  it('have a caution in the kit that says so, and no such caution where resistors guard them', () => {
    const hogging = patternSheet('hogging', {}, 'half', ROUGH);
    expect(hogging.cautions).toContainEqual({ code: 'limit-guards', place: 'kit' });
    const codes = (...asked: Parameters<typeof patternSheet>) =>
      patternSheet(...asked).cautions.map(({ code }) => code);
    expect(codes('lamp-cover', {}, 'full', ROUGH)).not.toContain('limit-guards');
    // Sound without a lamp, off a bench supply that is far from its limit.
    const bench = { kind: 'bench', cells: 1, age: 'fresh', volts: 9, limitAmps: 0.5 } as const;
    expect(codes('tone', { supply: bench }, 'full', ROUGH)).not.toContain('limit-guards');
  });
});
