import fc from 'fast-check';
import { circuitOf, ledPart, made, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { lockGate, nightWatch, soundLights } from '../../demo/circuits';
import { WISHES } from '../../../tests/support/wishes';
import { choiceWith, patternSheet, requestWith } from '../../../tests/support/sheets';
import { PATTERN_IDS } from '../patterns/index';
import { workOut } from '../sheet/sheet';
import { diagramOf } from './diagram';
import type { Diagram } from './shapes';
import { seriesParallel } from './tree';

/** Which symbols hang together, by the points that wires and symbols share. */
function netsDrawn({ symbols, wires, chips }: Diagram): number {
  const points: [number, number][] = [];
  const parent: number[] = [];
  const find = (i: number): number => (parent[i] === i ? i : find(parent[i]!));
  const join = (i: number, j: number) => (parent[find(i)] = find(j));
  const point = (x: number, y: number) => {
    points.push([x, y]);
    parent.push(parent.length);
    return parent.length - 1;
  };
  const ends = [
    ...symbols.flatMap(({ x, top, foot, tap }) => [
      point(x, top),
      point(x, foot),
      ...(tap ? [point(tap.x, tap.y)] : []),
    ]),
    ...chips.flatMap(({ pins }) => pins.map(({ x, y }) => point(x, y))),
  ];
  const lines = wires.map((w) => ({ ...w, a: point(w.x1, w.y1), b: point(w.x2, w.y2) }));
  for (const { a, b } of lines) join(a, b);
  points.forEach(([x, y], i) => {
    points.forEach(([u, v], j) => {
      if (Math.hypot(x - u, y - v) < 1e-9) join(i, j);
    });
    for (const { x1, y1, x2, y2, a } of lines) {
      const across = Math.abs((x2 - x1) * (y - y1) - (y2 - y1) * (x - x1)) < 1e-9;
      const within =
        x >= Math.min(x1, x2) - 1e-9 &&
        x <= Math.max(x1, x2) + 1e-9 &&
        y >= Math.min(y1, y2) - 1e-9 &&
        y <= Math.max(y1, y2) + 1e-9;
      if (across && within) join(i, a);
    }
  });
  return new Set(ends.map(find)).size;
}

describe('a circuit in series and parallel', () => {
  it('comes apart as it was put together', () => {
    const tree = seriesParallel(
      circuitOf([
        supplyPart(9, 1),
        resistorPart('R1', 'plus', 'm', 100),
        ledPart('D1', 'm', '0', 'red'),
        ledPart('D2', 'm', '0', 'blue'),
      ]),
    );
    expect(tree).toMatchObject({
      form: 'series',
      parts: [
        { form: 'part', part: { id: 'R1' } },
        { form: 'parallel', parts: [{ part: { id: 'D1' } }, { part: { id: 'D2' } }] },
      ],
    });
  });

  it('is not looked for in a ladder too deep to be drawn', () => {
    const rungs = (count: number) =>
      circuitOf([
        supplyPart(9, 0, { pins: { plus: 'n0', minus: '0' } }),
        ...Array.from({ length: count }, (_, i) => [
          resistorPart(`A${i}`, `n${i}`, `n${i + 1}`, 100),
          resistorPart(`C${i}`, `n${i + 1}`, '0', 100),
        ]).flat(),
      ]);
    expect(seriesParallel(rungs(40))).toMatchObject({ form: 'series', depth: 79 });
    expect(seriesParallel(rungs(1500))).toBeUndefined();
  });

  it('is not found in a bridge', () => {
    const bridge = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'a', 1),
      resistorPart('R2', 'plus', 'b', 1),
      resistorPart('R3', 'a', '0', 1),
      resistorPart('R4', 'b', '0', 1),
      resistorPart('R5', 'a', 'b', 1),
    ]);
    expect(seriesParallel(bridge)).toBeUndefined();
    expect(diagramOf(bridge)).toBeUndefined();
  });
});

describe('a circuit with transistors', () => {
  it.each([
    ['one that lights itself', nightWatch()],
    ['two that hold one another', lockGate()],
    ['one that listens, with four of them', soundLights([20, 440, 8000])],
  ])('%s is drawn with every base at its own net', (_, json) => {
    const circuit = made(json);
    const diagram = diagramOf(circuit)!;
    expect(diagram.symbols.map(({ part }) => part.id).sort()).toEqual(
      circuit.parts.map(({ id }) => id).sort(),
    );
    const nets = new Set(circuit.parts.flatMap(({ pins }) => Object.values(pins)));
    expect(netsDrawn(diagram)).toBe(nets.size);
    const bases = diagram.symbols.filter(({ tap }) => tap).map(({ part }) => part.id);
    expect(bases.sort()).toEqual(
      circuit.parts
        .filter(({ kind }) => kind === 'transistor')
        .map(({ id }) => id)
        .sort(),
    );
  });

  it('has a collector above an emitter where that is the higher rail’s side', () => {
    const { symbols } = diagramOf(made(nightWatch()))!;
    const own = (id: string) => symbols.find(({ part }) => part.id === id)!;
    expect(own('Q1').upright).toBe(true);
    expect(own('D1').foot).toBeCloseTo(own('Q1').top, 9);
  });
});

describe.each(PATTERN_IDS)('the diagram of %s', (pattern) => {
  it('joins its symbols into as many nets as the circuit has, for any wishes', () => {
    fc.assert(
      fc.property(WISHES[pattern], (params) => {
        const worked = workOut({ ...requestWith(), choice: choiceWith(pattern, params as never) }, true);
        if (!worked.ok) return;
        const { circuit } = worked.value;
        const diagram = diagramOf(circuit)!;
        expect([...diagram.symbols, ...diagram.chips].map(({ part }) => part.id).sort()).toEqual(
          circuit.parts.map(({ id }) => id).sort(),
        );
        expect(netsDrawn(diagram)).toBe(
          new Set(circuit.parts.flatMap(({ pins }) => Object.values(pins))).size,
        );
      }),
      { numRuns: 8, seed: 4 },
    );
  });
});

describe('a long row of branches', () => {
  it('goes on in shelves of eight, none over another', () => {
    const diagram = diagramOf(patternSheet('panel', { rows: 2, columns: 8 }, 'strip').circuit)!;
    const lamps = diagram.symbols.filter(({ part }) => part.kind === 'led');
    expect(new Set(lamps.map(({ top }) => top)).size).toBe(2);
    expect(new Set(lamps.map(({ x, top }) => `${x} ${top}`)).size).toBe(16);
  });
});
