import fc from 'fast-check';
import { choiceWith, patternSheet, requestWith } from '../../../tests/support/sheets';
import { WISHES } from '../../../tests/support/wishes';
import { layOut } from '../board/layout/layOut';
import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { lampsSeen } from '../observe/looks';
import { observe } from '../observe/observe';
import { MINUS, PLUS } from '../patterns/steady/parts';
import { workOut } from '../sheet/sheet';
import { isolationsOf } from './isolate';
import { idsOf, type Isolation } from './step';
import { ownSums } from '../../../tests/support/ownSums';

/** The half as it is meant, without any board: one chip taken away, and its output's net on a rail through the resistor. */
function meant(circuit: Circuit, { without, ohms }: Isolation, rail: 'plus' | 'minus'): Circuit {
  const out = circuit.parts.find(({ id }) => id === without)!.pins['output']!;
  const parked: Part = {
    id: 'RP',
    kind: 'resistor',
    pins: { a: out, b: rail === 'plus' ? PLUS : MINUS },
    params: { ohms, tolerance: 0.05, watts: 0.25 },
  };
  return { ...circuit, parts: [...circuit.parts.filter(({ id }) => id !== without), parked] };
}

/** What is seen of a half as it is meant, lamps with their rate to two digits. */
function shown(circuit: Circuit): Record<string, string> {
  const seen = observe(circuit);
  if (!seen.ok) throw new Error(JSON.stringify(seen.findings));
  return Object.fromEntries(
    lampsSeen(seen.value)
      .filter(({ glow }) => glow >= 1e-3)
      .map(({ part, hertz }) => [part, hertz === undefined ? 'lit' : hertz.toPrecision(2)]),
  );
}

function told({ gate }: Isolation['parkings'][number]): Record<string, string> {
  return Object.fromEntries(
    gate.lit.map((part) => [
      part,
      gate.blinks[part] === undefined ? 'lit' : gate.blinks[part].toPrecision(2),
    ]),
  );
}

/** The halves of a wish on a full board, without what else a sheet has. */
function halvesOf(pattern: 'alternate' | 'chain', params: object) {
  const worked = workOut({ ...requestWith(), choice: choiceWith(pattern, params as never, 'full') }, true);
  if (!worked.ok) return undefined;
  const { circuit } = worked.value;
  const laid = layOut({ circuit, board: 'full', wires: 'red and black', spacing: 'clear' });
  if (!laid.ok) return undefined;
  return { circuit, isolations: isolationsOf({ plan: laid.value.plan, circuit, held: {} }, 470) };
}

describe('one half alone', () => {
  it.each(['alternate', 'chain'] as const)('of %s shows what the half as it is meant does', (pattern) => {
    const wishes = [{}, ...fc.sample(WISHES[pattern] as fc.Arbitrary<object>, { numRuns: 4, seed: 5 })];
    let halves = 0;
    for (const params of wishes) {
      const made = halvesOf(pattern, params);
      for (const isolation of made?.isolations ?? []) {
        halves++;
        for (const parking of isolation.parkings)
          expect(told(parking)).toEqual(shown(meant(made!.circuit, isolation, parking.rail)));
      }
    }
    expect(halves).toBeGreaterThanOrEqual(3);
  });

  const sheet = patternSheet('alternate', {}, 'full');

  it('flashes one colour with its end on plus and the other with it on minus, at the chip’s own rate', () => {
    for (const { chip, parkings } of sheet.isolations) {
      const [plus, minus] = parkings.map(({ gate }) => gate);
      const own = ownSums(sheet.sums).timing!.find((times) => times.chip === chip)!;
      expect([...plus!.lit, ...minus!.lit].sort()).toEqual(['D1', 'D2']);
      for (const gate of [plus!, minus!])
        expect(Object.values(gate.blinks)[0]! / own.hertz).toBeCloseTo(1, 1);
    }
    // The second chip's low lights the first lamp, which then needs its other end up.
    expect(sheet.isolations.find(({ chip }) => chip === 'U2')!.parkings[0]!.gate.lit).toEqual(['D1']);
  });

  it('says between what its rates lie, by the shares of the finished build’s', () => {
    const steps = sheet.steps.flatMap((step) => (step.action === 'isolate' ? [step.isolation] : []));
    const readings = [...sheet.isolations, ...steps].flatMap(({ parkings }) =>
      parkings.flatMap(({ gate }) => gate.readings),
    );
    expect(readings.length).toBeGreaterThan(3);
    const { typical, low, high } = sheet.expected.points.find(({ id }) => id === 'D1 rate')!;
    for (const reading of readings) {
      expect(reading.low / reading.typical).toBeCloseTo(low / typical, 1);
      expect(reading.high / reading.typical).toBeCloseTo(high / typical, 1);
      expect(reading.high).toBeGreaterThan(1.1 * reading.low);
    }
  });

  it('comes on the card before the second chip does, with both lamps there, in holes that nothing else takes', () => {
    const at = sheet.steps.findIndex(({ action }) => action === 'isolate');
    const step = sheet.steps[at]!;
    if (step.action !== 'isolate') throw new Error('no such step');
    const there = new Set(sheet.steps.slice(0, at).flatMap(idsOf));
    expect([...there]).toEqual(expect.arrayContaining(['U1', 'D1', 'D2']));
    expect(there.has('U2')).toBe(false);
    const taken = sheet.plan.placements.flatMap(({ legs }) => Object.values(legs));
    for (const { legs } of step.isolation.parkings)
      for (const hole of Object.values(legs)) expect(taken).not.toContain(hole);
    expect(idsOf(step)).toEqual([]);
    expect(sheet.kit.lines.find(({ key }) => key === `resistor ${step.isolation.ohms}`)?.parts).toContain(
      'parked',
    );
  });

  it('is no matter of lessons with one chip', () => {
    expect(patternSheet('blink').isolations).toEqual([]);
    expect(patternSheet('blink').circuit.parts.filter((part) => isKind(part, 'timer'))).toHaveLength(1);
  });
});
