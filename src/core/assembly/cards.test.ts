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
      const first = sheet.steps.find((step) =>
        idsOf(step).some((id) => caution.about!.some((part) => part === id || part.startsWith(`${id}.`))),
      );
      expect(at[0]).toBe(first);
    }
  });
});

describe('a controller', () => {
  it('has its program before anything hangs on its pins, and before any test', () => {
    const { steps } = patternSheet('sequence', {}, 'half', ROUGH);
    expect(steps[0]).toMatchObject({ action: 'send-program', part: 'B1' });
    expect(steps.filter(({ action }) => action === 'send-program')).toHaveLength(1);
    expect(steps[steps.length - 2]).toMatchObject({ action: 'plug-in' });
  });
});

describe('lamps that live on the limit of a bench supply', () => {
  it('have a caution in the kit that says so, and no such caution where resistors guard them', () => {
    const hogging = patternSheet('hogging', {}, 'half', ROUGH);
    expect(hogging.cautions).toContainEqual({ code: 'limit-guards', place: 'kit' });
    const cover = patternSheet('lamp-cover', {}, 'full', ROUGH);
    expect(cover.cautions.map(({ code }) => code)).not.toContain('limit-guards');
  });
});
