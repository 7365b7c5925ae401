import { isArchedWire } from '../board/arches';
import fc from 'fast-check';
import { choiceWith, requestWith } from '../../../tests/support/sheets';
import { WISHES } from '../../../tests/support/wishes';
import { BOARD_CHOICES, type BoardChoice } from '../board/boards';
import { boardOf, copperOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import { layOut, type LaidOut } from '../board/layout/layOut';
import { placementProblems, planCovers, planSchema, type Plan } from '../board/plan';
import { readBack } from '../board/readBack';
import { sameCircuit } from '../board/sameCircuit';
import { isKind, type Circuit } from '../circuit/circuit';
import { PATTERN_IDS, type PatternId } from '../patterns/index';
import { makeSheet, workOut } from './sheet';

/** Random wishes a pattern; each is laid out on a board of its own. */
const RUNS = 16;
/** Lessons of two chips take the longest to work out. */
const RUNS_OF_TWO: Readonly<Record<string, number>> = { alternate: 6, chain: 8 };

const HABITS = fc.constantFrom('the same way' as const, 'either way' as const);

function circuitFor(pattern: PatternId, params: object): Circuit | undefined {
  const worked = workOut({ ...requestWith(), choice: choiceWith(pattern, params as never) }, true);
  return worked.ok ? worked.value.circuit : undefined;
}

function laidOn(circuit: Circuit, board: BoardChoice, more: object = {}) {
  return layOut({ circuit, board, wires: 'red and black', spacing: 'clear', ...more });
}

/** The rules of a good plan, whatever it is a plan of. */
function breaches({ plan }: LaidOut, circuit: Circuit): string[] {
  const board = boardOf(plan);
  const found: string[] = placementProblems(plan).map(({ code }) => code);
  const copper = copperOf(plan);
  for (const { part, kind, legs } of plan.placements) {
    const nets = Object.values(legs).map(copper);
    const joined = Object.values(circuit.parts.find(({ id }) => id === part)?.pins ?? {});
    const ownShort = new Set(joined).size < joined.length;
    if (!ownShort && new Set(nets).size < nets.length && kind === 'part') found.push(`${part} shorted`);
    if (kind === 'jumper' && nets[0] === nets[1]) found.push(`${part} joins what is joined`);
  }
  const overTrench = plan.placements.filter(({ part }) =>
    circuit.parts.some((p) => p.id === part && isKind(p, 'led')),
  );
  for (const { part, legs } of board.copper === 'rows' ? overTrench : []) {
    const [a, b] = Object.values(legs).map((hole) => holeOf(board, hole)!);
    if (b && Math.hypot(a!.x - b.x, a!.y - b.y) > 3) found.push(`${part} stretched`);
  }
  return [...found, ...overLegs(plan)];
}

/** Jumpers that lie right over a hole in use. */
function overLegs(plan: Plan): string[] {
  const board = boardOf(plan);
  if (board.copper === 'pads' || board.copper === 'tapes') return [];
  const place = (hole: string) => holeOf(board, hole)!;
  const used = plan.placements.flatMap(({ legs }) => Object.values(legs)).map(place);
  return (
    plan.placements
      // What is arched over a chip is in the air.
      .filter((placement) => placement.kind === 'jumper' && !isArchedWire(plan, placement))
      .flatMap(({ part, legs }) => {
        const [a, b] = Object.values(legs).map(place);
        const length = Math.hypot(b!.x - a!.x, b!.y - a!.y);
        const under = used.filter((hole) => {
          const along = ((hole.x - a!.x) * (b!.x - a!.x) + (hole.y - a!.y) * (b!.y - a!.y)) / length;
          const aside = ((hole.x - a!.x) * (b!.y - a!.y) - (hole.y - a!.y) * (b!.x - a!.x)) / length;
          return along > 1e-9 && along < length - 1e-9 && Math.abs(aside) < 1e-9;
        });
        return under.length > 0 ? [`${part} over ${under.map(({ name }) => name).join()}`] : [];
      })
  );
}

/** Which way each lamp points: its long leg above its short one, below, or straight across from rail to rail. */
function directions(plan: Plan, circuit: Circuit): Set<string> {
  const board = boardOf(plan);
  const lamps = new Set(circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id));
  return new Set(
    plan.placements.flatMap(({ part, legs }) => {
      if (!lamps.has(part)) return [];
      const [anode, cathode] = [legs['anode'], legs['cathode']].map((hole) => hole && holeOf(board, hole));
      if (!anode || !cathode) return [];
      const way = Math.sign(cathode.y - anode.y);
      return way === 0 ? `across ${Math.sign(cathode.x - anode.x)} ${anode.rail && cathode.rail}` : `${way}`;
    }),
  );
}

describe.each(PATTERN_IDS)('plans of %s', (pattern) => {
  it('read back as the circuit that was meant, on any board, for any wishes', () => {
    fc.assert(
      fc.property(WISHES[pattern], fc.constantFrom(...BOARD_CHOICES), HABITS, (params, board, lamps) => {
        const circuit = circuitFor(pattern, params);
        if (!circuit) return;
        const laid = laidOn(circuit, board, { lamps });
        if (!laid.ok) {
          expect(['does-not-fit', 'not-for-card']).toContain(laid.findings[0]!.code);
          return;
        }
        const { plan } = laid.value;
        expect(breaches(laid.value, circuit)).toEqual([]);
        if (lamps === 'the same way') expect(directions(plan, circuit).size).toBeLessThan(2);
        expect(planCovers(plan, circuit)).toBe(true);
        expect(sameCircuit(readBack(plan, circuit), circuit)).toBe(true);
        expect(planSchema.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
      }),
      { numRuns: RUNS_OF_TWO[pattern] ?? RUNS, seed: 20 },
    );
  });

  it('keep what was fixed by hand when the rest is laid out again', () => {
    const circuit = circuitFor(pattern, {});
    const first = laidOn(circuit!, 'full');
    if (!first.ok) return;
    const keep = first.value.plan.placements
      .filter(({ kind }) => kind === 'part')
      .slice(0, 2)
      .map((placement) => ({ ...placement, fixed: true }));
    const again = laidOn(circuit!, 'full', { keep, seed: 7 });
    expect(again.ok).toBe(true);
    if (!again.ok) return;
    expect(again.value.plan.placements).toEqual(expect.arrayContaining(keep));
    expect(sameCircuit(readBack(again.value.plan, circuit!), circuit!)).toBe(true);
  });
});

describe('what does not fit', () => {
  it('says how much is left over, and which boards would do', () => {
    const panel = circuitFor('panel', { rows: 3, columns: 8 })!;
    const laid = laidOn(panel, 'mini');
    expect(laid.ok).toBe(false);
    const finding = laid.findings[0]!;
    expect(finding).toMatchObject({ code: 'does-not-fit', data: { board: 'mini', of: 48 } });
    const would = finding.code === 'does-not-fit' ? finding.data.would.split(' ') : [];
    expect(would).toEqual(expect.arrayContaining(['strip', 'pad']));
    for (const board of would) expect(laidOn(panel, board as BoardChoice).ok).toBe(true);
  });

  it.each(['strip-large', 'pad-large'] as const)(
    'the largest panel, but for %s, whose rows go on after Z',
    (board) => {
      const on = (one: BoardChoice) =>
        makeSheet({
          ...requestWith(),
          choice: choiceWith('panel', { rows: 5, columns: 8 }, one),
          outline: true,
        });
      const small = on(board === 'strip-large' ? 'strip' : 'pad');
      const finding = small.ok ? undefined : small.findings[0];
      if (finding?.code !== 'does-not-fit') throw new Error('it fits the small one');
      expect(finding.data.would.split(' ')).toContain(board);
      const large = on(board);
      if (!large.ok) throw new Error('it does not fit');
      const { plan, circuit } = large.value;
      expect(sameCircuit(readBack(plan, circuit), circuit)).toBe(true);
      const holes = plan.placements.flatMap(({ legs }) => Object.values(legs));
      expect(holes.some((hole) => /^A[A-N]\d+$/u.test(hole))).toBe(true);
      for (const hole of holes) expect(holeOf(boardOf(plan), hole)).toBeDefined();
    },
  );

  it('on a card: more lanes than it has, and the boards that hold them', () => {
    const laid = laidOn(circuitFor('panel', { rows: 3, columns: 8 })!, 'card');
    const finding = laid.ok ? undefined : laid.findings[0];
    expect(finding).toMatchObject({ code: 'does-not-fit', data: { board: 'card', left: 24, of: 48 } });
    expect(finding?.code === 'does-not-fit' && finding.data.would.split(' ')).toContain('pad');
  });

  it('on a card: things with three legs', () => {
    const laid = laidOn(circuitFor('dimmer', {})!, 'card');
    expect(laid.ok || laid.findings[0]).toMatchObject({ code: 'not-for-card', data: { part: 'R1' } });
  });
});

describe('strings alike', () => {
  const circuit = circuitFor('panel', { rows: 1, columns: 4 })!;
  const rowsOf = (plan: Plan, parts: readonly string[]) =>
    parts.map((part) => {
      const legs = plan.placements.find((p) => p.part === part)!.legs;
      return Object.values(legs).map((hole) => holeOf(boardOf(plan), hole)!);
    });

  it.each(['half', 'strip', 'pad'] as const)(
    'are laid alike on a %s board, each moved as a whole',
    (board) => {
      const laid = laidOn(circuit, board);
      if (!laid.ok) throw new Error(JSON.stringify(laid.findings));
      const first = rowsOf(laid.value.plan, ['R1', 'D1']).flat();
      for (const n of [2, 3, 4]) {
        const other = rowsOf(laid.value.plan, [`R${n}`, `D${n}`]).flat();
        const shifts = other.map((hole, i) => `${hole.x - first[i]!.x} ${hole.y - first[i]!.y}`);
        expect(new Set(shifts).size).toBe(1);
      }
    },
  );

  it('stay in rows of their own unless they are asked to be close', () => {
    const spread = (spacing: 'clear' | 'compact') => {
      const laid = laidOn(circuit, 'half', { spacing, rails: 'wires only' });
      if (!laid.ok) throw new Error(JSON.stringify(laid.findings));
      const used = rowsOf(laid.value.plan, ['R1', 'D1', 'R2', 'D2', 'R3', 'D3', 'R4', 'D4']).flat();
      return Math.max(...used.map(({ row }) => row));
    };
    expect(spread('compact')).toBeLessThan(spread('clear'));
  });
});
