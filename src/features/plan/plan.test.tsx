import { renderToStaticMarkup } from 'react-dom/server';
import { circuitWith, PLACED_KINDS } from '../../../tests/support/kinds';
import { patternSheet, ROUGH } from '../../../tests/support/sheets';
import { layOut, PATTERN_IDS } from '@/core';
import { BoardDrawing } from './BoardDrawing';
import { UNIT, windowAround } from './geometry';
import { labelsOf } from './labels';
import { CHARACTER, LETTERS, namesApart, overlap } from './lettering';
import { PlanSvg } from './PlanSvg';
import { SymbolDrawing } from './symbols';

const supply = { kind: 'block-9v', cells: 1, age: 'fresh' } as const;

describe.each(PLACED_KINDS)('a %s on a board', (kind) => {
  const { circuit, part } = circuitWith(kind);
  const laid = layOut({ circuit, board: 'full', wires: 'red and black', spacing: 'compact' });
  if (!laid.ok) throw new Error(JSON.stringify(laid.findings));
  const { plan } = laid.value;
  const markup = renderToStaticMarkup(
    <BoardDrawing plan={plan} circuit={circuit} sorts={{ D9: 'red' }} supply={supply} title="plan" />,
  );

  it('is drawn and named', () => {
    expect(markup).toContain(part.id);
    expect(markup).not.toContain('NaN');
  });

  it('has a symbol between its two ends', () => {
    const symbol = renderToStaticMarkup(
      <SymbolDrawing part={part} x={50} top={0} foot={80} upright resistors="box" />,
    );
    expect(symbol).toMatch(/^<path d="M50 0 V[\d.]+ M50 [\d.]+ V80"/u);
    expect(symbol).toMatch(/translate\(50 40\)"><(?:path|rect|circle)/u);
  });
});

describe('the window on a long board', () => {
  it('shows all of a short one, and of a long one what it is about with a few rows more', () => {
    expect(windowAround([{ x: 0, y: 90 }], 300, 20 * UNIT)).toEqual({
      x: 0,
      y: 0,
      width: 300,
      height: 20 * UNIT,
    });
    const long = windowAround([{ x: 50, y: 40 * UNIT }], 300, 64 * UNIT);
    expect(long.height).toBe(22 * UNIT);
    expect(long.y).toBeLessThan(40 * UNIT);
    expect(long.y + long.height).toBeGreaterThan(40 * UNIT);
    const flat = windowAround([{ x: 60 * UNIT, y: 50 }], 64 * UNIT, 300);
    expect(flat.x + flat.width).toBeCloseTo(64 * UNIT, 9);
    expect(windowAround([], 300, 64 * UNIT).height).toBe(64 * UNIT);
  });

  it('is wide enough for all that it is about', () => {
    const ends = [5, 50].map((row) => ({ x: 10, y: row * UNIT }));
    const { y, height } = windowAround(ends, 300, 64 * UNIT);
    expect(y).toBeLessThan(5 * UNIT);
    expect(y + height).toBeGreaterThan(50 * UNIT);
  });
});

describe('a plan as a file', () => {
  it('is in true millimetres: ten pitches are 25.4 mm', () => {
    const markup = renderToStaticMarkup(
      <PlanSvg width={10 * UNIT} height={20 * UNIT} title="x">
        <g />
      </PlanSvg>,
    );
    expect(markup).toContain('width="25.40mm"');
    expect(markup).toContain('height="50.80mm"');
  });
});

describe('names on a plan', () => {
  it('lie apart where joints lie close', () => {
    const points = [0, 1, 2].flatMap((row) =>
      [0, 1].map((column) => ({
        x: 100 + column * UNIT,
        y: 100 + row * 2 * UNIT,
        name: `D${row}${column} +`,
      })),
    );
    const boxes = namesApart(points).map(({ x, y, anchor }, i) => {
      const width = points[i]!.name.length * CHARACTER * LETTERS.joint;
      const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
      return { left, right: left + width, top: y - 0.7 * LETTERS.joint, foot: y };
    });
    boxes.forEach((box, i) => {
      for (const other of boxes.slice(i + 1)) expect(overlap(box, other)).toBe(false);
    });
  });

  it.each(PATTERN_IDS)('of %s bear their values and lie over no other name', (pattern) => {
    const { plan, circuit, sorts } = patternSheet(pattern, {}, 'full', ROUGH);
    const labels = labelsOf({ plan, circuit, sorts, view: 'plain' });
    const boxes = labels.map(({ x, y, anchor, text }) => {
      const width = CHARACTER * LETTERS.label * text.length;
      const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
      return { text, left, right: left + width, top: y - 0.7 * LETTERS.label, foot: y + 2 };
    });
    const over = boxes.flatMap((box, i) =>
      boxes.slice(i + 1).flatMap((other) => (overlap(box, other) ? [`${box.text} | ${other.text}`] : [])),
    );
    expect(over).toEqual([]);
    if (plan.placements.length > 40) return;
    for (const { id } of circuit.parts.filter(({ kind }) => kind === 'resistor'))
      expect(labels.find(({ part }) => part === id)!.text).toMatch(/^R\d+ \d/u);
  });
});
