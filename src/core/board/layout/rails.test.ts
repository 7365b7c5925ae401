import { worked } from '../../../../tests/support/sheets';
import { partOf } from '../../circuit/circuit';
import { PATTERN_IDS, type PatternId } from '../../patterns/index';
import { isArchedWire } from '../arches';
import { boardOf } from '../copper';
import { holeOf } from '../geometry';
import type { BoardChoice } from '../boards';
import type { Plan } from '../plan';
import { readBack } from '../readBack';
import { sameCircuit } from '../sameCircuit';
import { layOut } from './layOut';

const laid = (pattern: PatternId, board: BoardChoice, rails: 'legs' | 'wires only' = 'legs') => {
  const { circuit } = worked(pattern).design;
  const made = layOut({ circuit, board, wires: 'red and black', spacing: 'clear', rails });
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  return { circuit, ...made.value };
};

const placesOf = (plan: Plan, legs: Readonly<Record<string, string>>) =>
  Object.entries(legs).map(([pin, name]) => ({ pin, ...holeOf(boardOf(plan), name)! }));

const wiresOf = (plan: Plan) => plan.placements.filter(({ kind }) => kind === 'jumper');

/** Wires that a practised hand needs (by hand, links between the rails included where a chip wants both sides), and one more. */
const LEAST: Readonly<Partial<Record<PatternId, number>>> = {
  single: 0,
  'coin-light': 0,
  'walk-down': 0,
  pulsed: 0,
  hogging: 0,
  'lamp-cover': 0,
  sequence: 0,
  'dusk-controller': 0,
  dimmer: 1,
  rgb: 1,
  'light-switch': 1,
  blink: 6,
  'blink-simple': 6,
  'one-shot': 7,
  alternate: 12,
};

describe('legs in the rails', () => {
  it.each(Object.entries(LEAST) as [PatternId, number][])(
    '%s wants at most one wire more than %d',
    (id, least) => {
      for (const board of ['half', 'full'] as const) {
        expect(laid(id, board).quality.jumpers).toBeLessThanOrEqual(least + 1);
      }
    },
  );

  it.each(PATTERN_IDS.filter((id) => id !== 'panel'))(
    'of %s are those that reach, in rails of their own sign',
    (id) => {
      const { plan, circuit } = laid(id, 'full');
      expect(sameCircuit(readBack(plan, circuit), circuit)).toBe(true);
      for (const { part, kind, legs } of plan.placements) {
        const own = partOf(circuit, part);
        if (kind === 'jumper' || !own || own.kind === 'supply' || own.kind === 'signal') continue;
        for (const place of placesOf(plan, legs)) {
          if (!place.rail) continue;
          expect(['switch', 'potentiometer', 'transistor', 'timer']).not.toContain(own.kind);
          const net = (own.pins as Readonly<Record<string, string>>)[place.pin]!;
          expect([part, net]).toEqual([part, place.column.endsWith('+') ? 'plus' : circuit.ground]);
        }
      }
    },
  );

  it('lie flat along a row, but for what stands on thin legs', () => {
    for (const id of PATTERN_IDS.filter((one) => one !== 'panel')) {
      const { plan, circuit } = laid(id, 'full');
      for (const { part, legs } of plan.placements) {
        const places = placesOf(plan, legs);
        if (partOf(circuit, part)?.kind !== 'resistor' || !places.some(({ rail }) => rail)) continue;
        expect(new Set(places.map(({ y }) => y)).size).toBe(1);
      }
    }
  });

  it('are left out by who teaches parts in rows', () => {
    const { plan } = laid('strings', 'full', 'wires only');
    const railed = plan.placements.filter(({ kind, part }) => kind === 'part' && part !== 'B1');
    expect(railed.flatMap(({ legs }) => placesOf(plan, legs)).filter(({ rail }) => rail)).toEqual([]);
    expect(wiresOf(plan).length).toBeGreaterThan(wiresOf(laid('strings', 'full').plan).length);
  });
});

describe('around a chip', () => {
  const CHIPS = ['blink', 'blink-simple', 'one-shot', 'tone', 'alternate', 'chain', 'beam-alarm'] as const;

  it.each(CHIPS)('%s has the rails of both sides joined first, in two rows of their own', (id) => {
    const { plan } = laid(id, 'half');
    const links = wiresOf(plan).filter(({ legs }) => placesOf(plan, legs).every(({ rail }) => rail));
    expect(links.length).toBeGreaterThan(0);
    for (const { legs } of links) {
      const [a, b] = placesOf(plan, legs);
      expect(a!.row).toBe(b!.row);
      const inRow = plan.placements.filter(
        ({ legs: other }) =>
          other !== legs && placesOf(plan, other).some((at) => at.row === a!.row && !at.rail),
      );
      expect(inRow).toEqual([]);
    }
    expect(plan.placements.indexOf(links[0]!)).toBe(0);
  });

  it('a wire from pin 2 to pin 6 stands in an arch, and any other wire over a chip too', () => {
    const { plan } = laid('blink', 'half');
    const chip = placesOf(plan, plan.placements.find(({ part }) => part === 'U1')!.legs);
    const [first, last] = [Math.min(...chip.map(({ y }) => y)), Math.max(...chip.map(({ y }) => y))];
    const over = wiresOf(plan).filter(({ legs }) => {
      const [a, b] = placesOf(plan, legs);
      if (a!.x < 8.5 === b!.x < 8.5) return false;
      const middle = (a!.y + b!.y) / 2;
      return middle >= first && middle <= last;
    });
    expect(over.length).toBeGreaterThan(0);
    for (const wire of over) expect(isArchedWire(plan, wire)).toBe(true);
  });
});
